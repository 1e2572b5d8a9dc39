import { meanOf, type FloorView, type NumberFormat, type Point, type TypedLoadView } from '@hedrion/core'
import { typedText } from './describe'
import { said } from './said'
import type { Label, Mark, Scene, Shape, Target, Tone } from './scene'

/** How typed loads are shown. */
export interface TypedOptions {
  readonly format: NumberFormat
  readonly mark: Mark
  readonly area: boolean
}

/** Typed line and point loads: strong where they act in the case that is looked at, thin where they do not. */
export function typedLoadsPart(
  { typed }: Pick<FloorView, 'typed'>,
  { format, mark, area }: TypedOptions,
): Pick<Scene, 'shapes' | 'labels' | 'targets'> {
  const stretchesOf = (id: string) => typed.filter(({ expandedId }) => expandedId === id)
  return {
    shapes: typed.flatMap((load) => shapesOf(load, mark === 'imposed' ? 'imposed' : 'permanent')),
    labels: area ? typed.filter(acts).flatMap((load) => labelsOf(load, format)) : [],
    targets: typed.map((load): Target => ({
      id: load.expandedId,
      kind: 'load',
      shape: load.kind === 'line' ? { kind: 'path', points: [load.a, load.b] } : { kind: 'point', at: load.a },
      text: typedText(stretchesOf(load.expandedId), format),
    })),
  }
}

const acts = ({ loads }: TypedLoadView): boolean => loads.some((load) => load !== 0)

function shapesOf(load: TypedLoadView, tone: Tone): readonly Shape[] {
  const { kind, a, b, notCarried } = load
  const colour: Tone = notCarried > 1e-6 ? 'warm' : acts(load) ? tone : 'border'
  if (kind === 'line')
    return [{ kind: 'line', points: [a, b], stroke: { tone: colour, width: acts(load) ? 4 : 1.4, dash: [7, 3] } }]
  // a ring about a point: it stands on members, whose columns are squares
  return [
    { kind: 'dot', at: a, size: acts(load) ? 13 : 9, tone: colour, round: true },
    { kind: 'dot', at: a, size: acts(load) ? 5 : 4, tone: 'hairline', round: true },
  ]
}

/** One value in the middle, or one near each end. */
function labelsOf(load: TypedLoadView, format: NumberFormat): readonly Label[] {
  const { a, b, loads, kind } = load
  const quantity = kind === 'line' ? 'lineLoad' : 'force'
  const at = (t: number): Point => [a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t]
  if (loads[0] === loads[1]) return [labelAt(load, said(loads[0], quantity, format), meanOf([a, b]))]
  return [
    labelAt(load, said(loads[0], quantity, format), at(0.08)),
    labelAt(load, said(loads[1], quantity, format), at(0.92)),
  ]
}

const labelAt = ({ a, b, expandedId }: TypedLoadView, text: ReturnType<typeof said>, at: Point): Label => ({
  of: expandedId,
  ...text,
  at,
  priority: 58,
  bold: true,
  // beside a line that runs up the sheet, above any other
  ...(Math.abs(b[1] - a[1]) > Math.abs(b[0] - a[0]) ? { dx: 8, align: 'left' as const } : { dy: -13 }),
})
