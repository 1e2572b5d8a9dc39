import { formatQuantity, meanOf, type FloorView, type NumberFormat, type TypedLoadView } from '@hedrion/core'
import { typedText } from './describe'
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
    labels: area ? typed.filter(({ load }) => load !== 0).map((load) => labelOf(load, format)) : [],
    targets: typed.map((load): Target => ({
      id: load.expandedId,
      kind: 'load',
      shape: load.kind === 'line' ? { kind: 'path', points: [load.a, load.b] } : { kind: 'point', at: load.a },
      text: typedText(stretchesOf(load.expandedId), format),
    })),
  }
}

function shapesOf({ kind, a, b, load, notCarried }: TypedLoadView, tone: Tone): readonly Shape[] {
  const colour: Tone = notCarried > 1e-6 ? 'warm' : load === 0 ? 'border' : tone
  if (kind === 'line')
    return [{ kind: 'line', points: [a, b], stroke: { tone: colour, width: load === 0 ? 1.4 : 4, dash: [7, 3] } }]
  // a ring about a point: it stands on members, whose columns are squares
  return [
    { kind: 'dot', at: a, size: load === 0 ? 9 : 13, tone: colour, round: true },
    { kind: 'dot', at: a, size: load === 0 ? 4 : 5, tone: 'hairline', round: true },
  ]
}

const labelOf = ({ kind, a, b, load, expandedId }: TypedLoadView, format: NumberFormat): Label => ({
  of: expandedId,
  text: formatQuantity(load, kind === 'line' ? 'lineLoad' : 'force', format),
  at: meanOf([a, b]),
  priority: 58,
  bold: true,
  // beside a line that runs up the sheet, above any other
  ...(Math.abs(b[1] - a[1]) > Math.abs(b[0] - a[0]) ? { dx: 8, align: 'left' as const } : { dy: -13 }),
})
