import { pointsOf, type Drawn, type Point } from '@hedrion/core'

/** The outline or line of a record as the data of a path; one point as a cross with arms of so many pixels. */
export function recordPath(record: Drawn, place: (point: Point, index: number) => Point | null, arm: number): string {
  const all = pointsOf(record).map(place)
  const points = all.filter((point) => point !== null)
  const [first] = points
  // what is out of sight is not drawn in part
  if (!first || points.length < all.length) return ''
  const [x0, y0] = first
  if (points.length === 1) return `M${x0 - arm} ${y0}h${2 * arm}M${x0} ${y0 - arm}v${2 * arm}`
  const closed = 'outline' in record || ('closed' in record && record.closed)
  return `M${points.map(([x, y]) => `${x.toFixed(1)} ${y.toFixed(1)}`).join('L')}${closed ? 'Z' : ''}`
}
