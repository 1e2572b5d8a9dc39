import type { Box, Point } from '@hedrion/core'

/** How metres become pixels: x to the right, y upwards in metres and downwards in pixels. */
export interface Viewport {
  readonly width: number
  readonly height: number
  /** Pixels per metre. */
  readonly scale: number
  /** Pixels of the origin. */
  readonly x: number
  readonly y: number
}

export interface Margins {
  readonly top: number
  readonly right: number
  readonly bottom: number
  readonly left: number
}

export const toScreen = ({ scale, x, y }: Viewport, [px, py]: Point): Point => [x + px * scale, y - py * scale]

export const toWorld = ({ scale, x, y }: Viewport, [sx, sy]: Point): Point => [(sx - x) / scale, (y - sy) / scale]

/** A plane that is drawn in: how its places become pixels and back. */
export interface Plane {
  /** Of a place so many metres over the plane, which a plan does not show; null where it is not in sight. */
  readonly seen: (at: Point, over?: number) => Point | null
  /** Null where the line of sight does not meet the plane. */
  readonly under: (pixels: Point) => Point | null
  readonly pixelsPerMetre: number
}

/** The plan itself. */
export const planPlane = (view: Viewport): Plane => ({
  seen: (at) => toScreen(view, at),
  under: (pixels) => toWorld(view, pixels),
  pixelsPerMetre: view.scale,
})

/** The plane of an elevation, seen along y (to the right x) or along x, at one height; a place is one of the plan, so deep in it as a given one. */
export const elevationPlane = (view: Viewport, axis: 'x' | 'y', z: number, deep: Point): Plane => ({
  seen: ([x, y], over = 0) => toScreen(view, [axis === 'x' ? x : y, z + over]),
  under: (pixels) => {
    const [u] = toWorld(view, pixels)
    return axis === 'x' ? [u, deep[1]] : [deep[0], u]
  },
  pixelsPerMetre: view.scale,
})

/** Fits a box into the size of the view, inside margins that hold grid labels and scale. */
export function fit(box: Box, width: number, height: number, margins: Margins): Viewport {
  const w = Math.max(box.x1 - box.x0, 0.5)
  const h = Math.max(box.y1 - box.y0, 0.5)
  const [roomX, roomY] = [width - margins.left - margins.right, height - margins.top - margins.bottom]
  const scale = Math.max(0.01, Math.min(roomX / w, roomY / h))
  return {
    width,
    height,
    scale,
    x: margins.left + (roomX - w * scale) / 2 - box.x0 * scale,
    y: margins.top + (roomY + h * scale) / 2 + box.y0 * scale,
  }
}

/** Zooms about a point of the screen. */
export function zoomAt(view: Viewport, [sx, sy]: Point, factor: number): Viewport {
  const scale = Math.min(2000, Math.max(0.02, view.scale * factor))
  const ratio = scale / view.scale
  return { ...view, scale, x: sx + (view.x - sx) * ratio, y: sy + (view.y - sy) * ratio }
}

export const pan = (view: Viewport, dx: number, dy: number): Viewport => ({ ...view, x: view.x + dx, y: view.y + dy })

/** The largest of 1, 2 and 5 times a power of ten that a positive value reaches. */
export function roundBelow(value: number): number {
  const power = 10 ** Math.floor(Math.log10(value))
  return ([5, 2, 1].find((step) => step * power <= value) ?? 1) * power
}

/** A round length near a number of pixels, for the scale bar; in a unit of so many metres. */
export const roundLength = (view: Viewport, pixels: number, unit = 1): number => roundBelow(pixels / view.scale / unit)
