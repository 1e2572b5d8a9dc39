import {
  lengthAlong,
  distance,
  formatQuantity,
  formatValue,
  sliverArea,
  unitOf,
  type BarrierView,
  type BeamView,
  type ColumnOnPlan,
  type NumberFormat,
  type OpeningView,
  type RegionView,
  type SlopeView,
  type StairView,
  type StrutView,
  type SurfaceOnPlan,
  type TypedLoadView,
  type WallView,
} from '@hedrion/core'

export const roleNames: Readonly<Record<BeamView['role'], string>> = {
  beam: 'Beam',
  girder: 'Girder',
  joist: 'Joist',
  rafter: 'Rafter',
  purlin: 'Purlin',
  truss: 'Truss',
  column: 'Column',
  hanger: 'Hanger',
  wall: 'Bearing wall',
}

/** "Beam B14, 7.20 m, 9.00 then 4.50 kN/m": what a reader hears instead of the picture. */
export function beamText(
  { role, label, path, lines, points, stable, takesLoad }: BeamView,
  format: NumberFormat,
): string {
  const length = formatQuantity(lengthAlong(path), 'length', format)
  const values = lines.map(([, , q0, q1]) =>
    Math.abs(q0 - q1) < 0.005 * Math.max(Math.abs(q0), Math.abs(q1))
      ? formatValue(q0, 'lineLoad', format)
      : `${formatValue(q0, 'lineLoad', format)} to ${formatValue(q1, 'lineLoad', format)}`,
  )
  const load = values.length === 0 ? 'no direct load' : `${values.join(' then ')} ${unitOf('lineLoad', format)}`
  const more = points.length === 0 ? '' : `, ${points.length} point load${points.length === 1 ? '' : 's'}`
  return `${roleNames[role]} ${label}, ${length}, ${load}${more}${takesLoad ? '' : ', excluded from panel loads'}${stable ? '' : ', not carried'}`
}

export const columnText = ({ label, force, passing, hangs, far }: ColumnOnPlan, format: NumberFormat): string =>
  hangs
    ? `Hanger ${label}${far ? ', raking' : ''}, ${formatQuantity(force, 'force', format)} tension at the top`
    : `Column ${label}${far ? ', raking' : ''}${passing ? ', continuous through this level' : ''}, ${formatQuantity(force, 'force', format)} at base`

export function regionText(
  { label, keyName, patchId, area, pressure, notCarriedArea }: RegionView,
  format: NumberFormat,
): string {
  const what = keyName === '' ? 'no use' : `“${keyName}”${patchId ? ' in patches' : ''}`
  const lost = notCarriedArea > sliverArea ? `, ${formatQuantity(notCarriedArea, 'area', format)} not carried` : ''
  return `Panel ${label}, ${what}, ${formatQuantity(area, 'area', format)}, ${formatQuantity(pressure, 'pressure', format)}${lost}`
}

/** A wall run is one thing, whatever its stretches: its length and the sum of its load in the case. */
export function wallText(stretches: readonly WallView[], format: NumberFormat): string {
  const sum = (of: (wall: WallView) => number) => stretches.reduce((total, wall) => total + of(wall), 0)
  const length = sum(({ a, b }) => distance(a, b))
  const force = sum(({ a, b, load }) => distance(a, b) * load)
  const count = stretches.length === 1 ? '' : `${stretches.length} stretches, `
  return `Wall run ${stretches[0]?.label ?? ''}, ${count}${formatQuantity(length, 'length', format)}, ${formatQuantity(force, 'force', format)}`
}

/** A typed load as one thing: its value, where it comes from, and what nothing carries of it. */
export function typedText(stretches: readonly TypedLoadView[], format: NumberFormat): string {
  const [first] = stretches
  if (!first) return ''
  const quantity = first.kind === 'line' ? 'lineLoad' : 'force'
  const [start, end] = first.values
  const last = formatQuantity(end, quantity, format)
  const value = start === end ? last : `${formatValue(start, quantity, format)} to ${last}`
  const length = stretches.reduce((total, { a, b }) => total + distance(a, b), 0)
  const along = first.kind === 'line' ? `, ${formatQuantity(length, 'length', format)}` : ''
  const lost = stretches.some(({ notCarried }) => notCarried > 1e-6) ? ', not carried' : ''
  const what = first.what === '' ? '' : `, ${first.what}`
  return `${first.kind === 'line' ? 'Line' : 'Point'} load ${first.label}${what}${along}, ${value}${lost}`
}

/** "Flight Z1, 3.20 m in plan, 9.86 kN/m on each end". */
export function stairText({ label, foot, head, load, notCarriedWidth }: StairView, format: NumberFormat): string {
  const lost = notCarriedWidth > 1e-6 ? ', one end not carried' : ''
  return `Flight ${label}, ${formatQuantity(distance(foot, head), 'length', format)} in plan, ${formatQuantity(load, 'lineLoad', format)} on each end${lost}`
}

/** A barrier as one thing, whatever its stretches. */
export function barrierText(stretches: readonly BarrierView[], format: NumberFormat): string {
  const [first] = stretches
  if (!first) return ''
  const length = stretches.reduce((total, { a, b }) => total + distance(a, b), 0)
  const press = first.value === null ? 'no load defined' : `${formatQuantity(first.value, 'lineLoad', format)} outwards`
  return `Barrier ${first.label}, ${formatQuantity(length, 'length', format)}, ${press}`
}

export const strutNames: Readonly<Record<StrutView['role'], string>> = {
  brace: 'Brace',
  girt: 'Girt',
  tie: 'Tie',
  post: 'Post',
  chord: 'Chord',
  web: 'Truss member',
}

const over = (height: number, format: NumberFormat): string =>
  `${height > 0 ? '+' : ''}${formatQuantity(height, 'length', format)}`

export const roleText = (role: BeamView['role'] | StrutView['role']): string =>
  role in strutNames ? strutNames[role as StrutView['role']] : roleNames[role as BeamView['role']]

/** "Brace K1, from -6.00 m to +0.00 m above the level". */
export const strutText = (
  { role, label, startHeight, endHeight, notCarried }: StrutView,
  format: NumberFormat,
): string =>
  `${strutNames[role]} ${label}, from ${over(startHeight, format)} to ${over(endHeight, format)} above the level${notCarried > 0 ? ', not carried' : ''}`

export const slopeText = ({ label, pitch, low, high }: SlopeView, format: NumberFormat): string =>
  `Roof slope ${label}, ${formatQuantity(pitch, 'angle', format)}, from ${over(low, format)} to ${over(high, format)} above the level`

export const openingText = ({ label }: OpeningView): string => `Opening ${label}`

/** "1.00 kN/m²", "0.00 to 12.00 kN/m² from its top to its foot". */
export const pressureText = ({ top, foot }: Pick<SurfaceOnPlan, 'top' | 'foot'>, format: NumberFormat): string =>
  top === foot
    ? formatQuantity(top, 'pressure', format)
    : `${formatValue(top, 'pressure', format)} to ${formatQuantity(foot, 'pressure', format)}`

/** A wall surface as one thing, whatever its stretches. */
export function surfaceText(stretches: readonly SurfaceOnPlan[], format: NumberFormat): string {
  const [first] = stretches
  if (!first) return ''
  const length = stretches.reduce((total, { a, b }) => total + distance(a, b), 0)
  const [applied, lost] = [sumOf(stretches, 'applied'), sumOf(stretches, 'notCarried')]
  const press =
    first.top === 0 && first.foot === 0
      ? 'no pressure in this case'
      : `${pressureText(first, format)} on its outer face, ${formatQuantity(applied, 'force', format)}`
  return `Pressure surface ${first.label}, ${formatQuantity(length, 'length', format)}, ${press}${Math.abs(lost) >= 1 ? ', not fully carried' : ''}`
}

const sumOf = (stretches: readonly SurfaceOnPlan[], of: 'applied' | 'notCarried'): number =>
  stretches.reduce((total, stretch) => total + stretch[of], 0)
