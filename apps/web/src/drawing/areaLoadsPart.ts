import {
  centroid,
  formatQuantity,
  type AreaLoadView,
  type FloorView,
  type NumberFormat,
  type Point,
  largest,
  smallest,
} from '@hedrion/core'
import { said } from './said'
import type { Label, Scene, Shape, Target, Tone } from './scene'
import type { TypedOptions } from './typedLoadsPart'

/** Typed area loads: a dashed outline, with its values where it begins and where it ends. */
export function areaLoadsPart(
  { areaLoads }: Pick<FloorView, 'areaLoads'>,
  { format, mark, area }: TypedOptions,
): Pick<Scene, 'shapes' | 'labels' | 'targets'> {
  const tone: Tone = mark === 'imposed' ? 'imposed' : 'permanent'
  return {
    shapes: areaLoads.flatMap((load) => shapesOf(load, tone)),
    labels: area ? areaLoads.filter(({ acts }) => acts).flatMap((load) => labelsOf(load, format)) : [],
    targets: areaLoads.map((load): Target => ({
      id: load.expandedId,
      kind: 'load',
      shape: { kind: 'area', region: [load.outline] },
      text: areaLoadText(load, format),
    })),
  }
}

const measureWords = { plan: '', slope: ' per true area', square: ', normal to the slope' } as const

const varies = ({ value, endValue }: AreaLoadView): boolean => value !== endValue

/** "Area load U1, snow drift, 3.00 to 0.80 kN/m²". */
export function areaLoadText(load: AreaLoadView, format: NumberFormat): string {
  const { label, what, value, endValue, measured, notCarried } = load
  const values = varies(load)
    ? `from ${formatQuantity(value, 'pressure', format)} to ${formatQuantity(endValue, 'pressure', format)}`
    : formatQuantity(value, 'pressure', format)
  const lost = notCarried > 1e-6 ? ', not fully carried' : ''
  return `Area load ${label}${what === '' ? '' : `, ${what}`}, ${values}${measureWords[measured]}${lost}`
}

function shapesOf(load: AreaLoadView, tone: Tone): readonly Shape[] {
  const { outline, acts, notCarried } = load
  const colour: Tone = notCarried > 1e-6 ? 'warm' : acts ? tone : 'border'
  const border: Shape = {
    kind: 'line',
    points: outline,
    closed: true,
    stroke: { tone: colour, width: acts ? 2.4 : 1.4, dash: [7, 3] },
  }
  if (!acts || !varies(load)) return [border]
  const [from, to] = endsOf(load)
  return [border, { kind: 'line', points: [from, to], stroke: { tone: colour, width: 1 } }]
}

/** Where a line along its way through the middle of its outline begins and ends. */
function endsOf({ outline, angle }: AreaLoadView): readonly [Point, Point] {
  const way: Point = [Math.cos(angle), Math.sin(angle)]
  const along = ([x, y]: Point) => x * way[0] + y * way[1]
  const middle = centroid([outline])
  const places = outline.map(along)
  // a little inside, so that the values stand within the outline
  const [low, high] = [smallest(places), largest(places)]
  const at = (part: number): Point => {
    const s = low + part * (high - low) - along(middle)
    return [middle[0] + s * way[0], middle[1] + s * way[1]]
  }
  return [at(0.08), at(0.92)]
}

function labelsOf(load: AreaLoadView, format: NumberFormat): readonly Label[] {
  const { expandedId, outline, value, endValue, measured } = load
  const label = (text: ReturnType<typeof said>, at: Point): Label => ({
    of: expandedId,
    ...text,
    at,
    priority: 57,
    bold: true,
  })
  if (!varies(load))
    return [
      label(
        said(value, 'pressure', format, (number) => `${number}${measureWords[measured]}`),
        centroid([outline]),
      ),
    ]
  const [from, to] = endsOf(load)
  return [label(said(value, 'pressure', format), from), label(said(endValue, 'pressure', format), to)]
}
