import type { Point3, SpaceView } from '@hedrion/core'
import {
  Box3,
  BoxGeometry,
  BufferAttribute,
  BufferGeometry,
  CanvasTexture,
  DoubleSide,
  Group,
  InstancedMesh,
  LineBasicMaterial,
  LineSegments,
  Matrix4,
  Mesh,
  MeshBasicMaterial,
  RepeatWrapping,
  SRGBColorSpace,
  Sphere,
  Sprite,
  SpriteMaterial,
  Vector3,
  type Material,
  type Object3D,
} from 'three'
import type { Palette } from '../../ui/tokens'
import { hatchTile } from '../hatches'
import type { GridMark, Mark } from '../scene'
import type { Bar } from './solids'

// What the scene in space is made of.

const light: ReadonlySet<string | undefined> = new Set(['brace', 'girt', 'tie', 'web'])
export const isLight = (role: string | undefined): boolean => light.has(role)

export function ballOf(bars: readonly Bar[], { faces, surfaces }: SpaceView): Sphere {
  const points = [
    ...bars.flatMap(({ a, b }) => [new Vector3(...a), new Vector3(...b)]),
    ...surfaces.flatMap(({ corners }) => corners.map((point) => new Vector3(...point))),
    ...faces.flatMap(({ rings }) => rings.flatMap((ring) => ring.map((point) => new Vector3(...point)))),
  ]
  return points.length === 0
    ? new Sphere(new Vector3(), 10)
    : new Box3().setFromPoints(points).getBoundingSphere(new Sphere())
}

export const edgesOf = (ring: readonly Point3[]): readonly (readonly [Point3, Point3])[] =>
  ring.map((point, i) => [point, ring[(i + 1) % ring.length] ?? point])

export function geometryOf(positions: Float32Array): BufferGeometry {
  const geometry = new BufferGeometry()
  geometry.setAttribute('position', new BufferAttribute(positions, 3))
  return geometry
}

export function segments(positions: Float32Array, material: LineBasicMaterial, order: number): LineSegments {
  const lines = new LineSegments(geometryOf(positions), material)
  lines.renderOrder = order
  return lines
}

/** A box for each bar: its length along it, its depth upright. */
export function solidsOf(bars: readonly Bar[], material: Material): InstancedMesh {
  const mesh = new InstancedMesh(new BoxGeometry(1, 1, 1), material, bars.length)
  bars.forEach((bar, i) => mesh.setMatrixAt(i, placeOf(bar)))
  return mesh
}

function placeOf({ a, b, depth, width }: Bar): Matrix4 {
  const [from, to] = [new Vector3(...a), new Vector3(...b)]
  const along = to.clone().sub(from)
  const length = Math.max(along.length(), 1e-6)
  along.divideScalar(length)
  // upright in the vertical plane of the member; global y for a vertical one
  const side = Math.abs(along.z) > 0.9999 ? new Vector3(1, 0, 0) : new Vector3(0, 0, 1).cross(along).normalize()
  const up = along.clone().cross(side).normalize()
  const turned = new Matrix4().makeBasis(along, side, up)
  const middle = from.add(to).divideScalar(2)
  return new Matrix4()
    .makeTranslation(middle)
    .multiply(turned)
    .multiply(new Matrix4().makeScale(length, Math.max(width, 0.02), Math.max(depth, 0.02)))
}

/** Where the corners of faces lie in plan, x y in turn. */
export function planPlaces(positions: Float32Array): Float32Array {
  const places = new Float32Array((positions.length / 3) * 2)
  for (let i = 0; i < positions.length / 3; i++) places.set([positions[3 * i] ?? 0, positions[3 * i + 1] ?? 0], 2 * i)
  return places
}

/** Loaded faces with the hatch of their mark, in metres of the places given for their corners. */
export function hatched(positions: Float32Array, places: Float32Array, palette: Palette, mark: Mark): Mesh {
  const geometry = geometryOf(positions)
  geometry.setAttribute(
    'uv',
    new BufferAttribute(
      places.map((place) => place / 2),
      2,
    ),
  )
  const texture = textureOf(hatchTile(palette, { mark, number: 0 }))
  texture.wrapS = texture.wrapT = RepeatWrapping
  const material = new MeshBasicMaterial({ map: texture, transparent: true, side: DoubleSide, depthWrite: false })
  const mesh = new Mesh(geometry, material)
  mesh.renderOrder = 1
  return mesh
}

/** The colours of a canvas are those of a screen. */
function textureOf(canvas: HTMLCanvasElement): CanvasTexture {
  const texture = new CanvasTexture(canvas)
  texture.colorSpace = SRGBColorSpace
  return texture
}

/** A word that faces the viewer and keeps its size. */
export function nameAt([x, y, z]: Point3, text: string, palette: Palette, font: string): Sprite {
  const canvas = document.createElement('canvas')
  const pen = canvas.getContext('2d')
  const size = 44
  if (pen) {
    pen.font = `400 ${size}px ${font}`
    canvas.width = Math.ceil(pen.measureText(text).width) + 12
    canvas.height = size * 1.4
    pen.font = `400 ${size}px ${font}`
    pen.fillStyle = palette.ink
    pen.textBaseline = 'middle'
    pen.fillText(text, 6, canvas.height / 2)
  }
  const sprite = new Sprite(new SpriteMaterial({ map: textureOf(canvas), sizeAttenuation: false }))
  sprite.position.set(x, y, z)
  const high = 0.02
  sprite.scale.set((high * canvas.width) / canvas.height, high, 1)
  sprite.center.set(1, 0.5)
  return sprite
}

/** Sides of the polygon that stands for a ring of the grid. */
const ringSides = 64

/** A grid on a level, past the building on every side, each line with its name at its south or east end, clear of the names of levels. */
export function gridAt(
  lines: readonly GridMark[],
  { min, max }: Box3,
  z: number,
  { palette, font }: { readonly palette: Palette; readonly font: string },
): Group {
  const group = new Group()
  const past = 0.06 * max.distanceTo(min)
  const stroke = new LineBasicMaterial({ color: palette.accent, depthTest: false, transparent: true, opacity: 0.7 })
  const pathOf = ({ axis, at, path: [a, b] }: GridMark): readonly Point3[] => {
    if (axis === 'x')
      return [
        [at, min.y - past, z],
        [at, max.y + past, z],
      ]
    if (axis === 'y')
      return [
        [min.x - past, at, z],
        [max.x + past, at, z],
      ]
    if (!a) return []
    if (axis === 'line')
      return b
        ? [
            [...a, z],
            [...b, z],
          ]
        : []
    return Array.from({ length: ringSides + 1 }, (_, i): Point3 => {
      const turn = (2 * Math.PI * i) / ringSides
      return [a[0] + at * Math.cos(turn), a[1] + at * Math.sin(turn), z]
    })
  }
  for (const line of lines) {
    const path = pathOf(line)
    const named = line.axis === 'y' ? path.at(-1) : path[0]
    if (!named) continue
    const pieces = path.slice(1).flatMap((point, i) => [...(path[i] ?? point), ...point])
    const name = nameAt(named, line.label, palette, font)
    // as the line is, over what stands before it
    name.material.depthTest = false
    name.center.set(0.2, 1)
    name.renderOrder = 6
    group.add(segments(Float32Array.from(pieces), stroke, 6), name)
  }
  return group
}

export function clear(group: Group): void {
  group.traverse((object: Object3D) => {
    const { geometry, material } = object as Partial<Mesh>
    geometry?.dispose()
    for (const one of material ? [material].flat() : []) {
      ;(one as MeshBasicMaterial).map?.dispose()
      one.dispose()
    }
  })
  group.clear()
}
