import type { Box, GridLine, Point, Region } from '@hedrion/core'

/** What a mark stands for; each has a hatch of its own, so that colour is never the only sign. */
export type Mark = 'permanent' | 'imposed' | 'wind' | 'snow' | 'notCarried' | 'plain'

/** The area of a load key: hatches differ by number, so that neighbours can be told apart in grey. */
export interface KeyHatch {
  readonly mark: Mark
  readonly number: number
}

export type Tone =
  'ink' | 'quiet' | 'hairline' | 'accent' | 'warm' | 'border' | 'permanent' | 'imposed' | 'wind' | 'snow'

export interface Stroke {
  readonly tone: Tone
  /** Pixels. */
  readonly width: number
  readonly dash?: readonly number[]
}

/** A shape in metres; what is given in pixels keeps its size when the view is zoomed. */
export type Shape =
  | {
      readonly kind: 'area'
      readonly region: Region
      readonly ground?: 'floor' | 'accentSoft' | 'film' | 'warmSoft'
      readonly hatch?: KeyHatch
      readonly stroke?: Stroke
    }
  | { readonly kind: 'line'; readonly points: readonly Point[]; readonly stroke: Stroke; readonly closed?: boolean }
  /** A square or a disc of a size in pixels. */
  | {
      readonly kind: 'dot'
      readonly at: Point
      readonly size: number
      readonly tone: Tone
      readonly round?: boolean
      /** Open in the middle: what hangs, where a column would be solid. */
      readonly hollow?: boolean
      /** No text may hide it. */
      readonly clear?: boolean
    }
  /** An upright bar in pixels above its point: outlined to its height, filled to a lower one. */
  | {
      readonly kind: 'bar'
      readonly at: Point
      readonly dx: number
      readonly width: number
      readonly height: number
      readonly filled: number
    }
  /** An arrow in pixels: from its point, to its point, or about it; dx to the right, dy upwards. */
  | {
      readonly kind: 'arrow'
      readonly at: Point
      readonly dx: number
      readonly dy: number
      readonly tone: Tone
      readonly width?: number
      readonly heads?: 'end' | 'both'
      readonly tail?: 'at' | 'away' | 'middle'
    }
  /** Line load on a member: ordinates stand across it, to a scale in pixels per N/m. */
  | {
      readonly kind: 'ordinates'
      readonly a: Point
      readonly b: Point
      readonly lines: readonly (readonly [number, number, number, number])[]
      readonly scale: number
      readonly mark: Mark
    }
  /** The sign of a support, hatched below. */
  | { readonly kind: 'support'; readonly at: Point }
  /** Ground: a line with short strokes below it. */
  | { readonly kind: 'ground'; readonly from: Point; readonly to: Point }

export interface Label {
  readonly text: string
  /** Of a number: its size in SI, its unit, and its text with the unit. */
  readonly value?: { readonly size: number; readonly unit: string; readonly text: string }
  /** Expanded id of what it belongs to, where it is a number or name of one thing. */
  readonly of?: string
  readonly at: Point
  /** Pixels from the point. */
  readonly dx?: number
  readonly dy?: number
  readonly align?: 'left' | 'center' | 'right'
  readonly tone?: Tone
  readonly bold?: boolean
  /** Higher is placed first; a label that would collide is left out unless it must be there. */
  readonly priority: number
  readonly must?: boolean
  /** It would mean something else beside its place: there, or left out. */
  readonly stays?: boolean
  /** It may move along its member, in a direction on the screen (right and down), so many metres to each side, and no other way. */
  readonly slides?: { readonly way: Point; readonly reach: number }
  /** How far it stands off for the ordinate that it belongs to: shrinks with it. */
  readonly over?: Point
  /** Without room it goes further down, and nowhere else: what is over it is drawn there for a reason. */
  readonly downwards?: boolean
}

/** Something that can be picked, with the shape that a click must meet. */
export interface Target {
  /** Expanded id, or the id of a grid line or level. */
  readonly id: string
  readonly kind:
    | 'beam'
    | 'strut'
    | 'column'
    | 'panel'
    | 'patch'
    | 'opening'
    | 'slope'
    | 'wall'
    | 'load'
    | 'stair'
    | 'barrier'
    | 'wallSurface'
    | 'stiff'
    | 'reductionRegion'
    | 'gridLine'
    | 'level'
    | 'reaction'
  readonly shape:
    | { readonly kind: 'point'; readonly at: Point }
    | { readonly kind: 'path'; readonly points: readonly Point[] }
    | { readonly kind: 'area'; readonly region: Region }
  /** Said in the list "What is drawn". */
  readonly text: string
}

/** A grid line, as its record has it. */
export type GridMark = Pick<GridLine, 'id' | 'axis' | 'label' | 'at' | 'path'>

/** Everything that a view draws, in metres of its own plane (x to the right, y upwards). */
export interface Scene {
  readonly box: Box
  readonly shapes: readonly Shape[]
  readonly labels: readonly Label[]
  readonly targets: readonly Target[]
  readonly grid: readonly GridMark[]
  /** A plan has a north arrow; both have a scale bar. */
  readonly north: boolean
  /** Forces stand beside it. */
  readonly pushed?: boolean
  /** Scale of ordinates, to be said beside the scale bar. */
  readonly ordinateScale?: {
    readonly pixels: number
    readonly text: string
    /** Metres between members that carry ordinates: these are no taller than they leave room. */
    readonly room: number
  }
}

export const emptyBox: Box = { x0: 0, y0: 0, x1: 20, y1: 14 }
