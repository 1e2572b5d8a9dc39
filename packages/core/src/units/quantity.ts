/** What a number measures. Inside the core every number is in SI base units (m, N, Pa, kg, s, rad). */
export const quantities = [
  'factor',
  'coefficient',
  'count',
  'length',
  'smallLength',
  'roughness',
  'area',
  'sectionArea',
  'angle',
  'force',
  'mass',
  'moment',
  'lineMoment',
  'lineLoad',
  'stiffness',
  'pressure',
  'unitWeight',
  'density',
  'velocity',
  'acceleration',
  'period',
] as const
export type Quantity = (typeof quantities)[number]

export type UnitSystem = 'metric' | 'us'

interface Unit {
  readonly symbol: string
  /** SI value of one unit. */
  readonly si: number
}

interface DisplayUnit {
  readonly symbol: string
  readonly decimals: number
}

const foot = 0.3048
const inch = 0.0254
const poundForce = 4.4482216152605
/** Standard acceleration of free fall, m/s² (3rd General Conference on Weights and Measures, 1901). */
export const gravity = 9.80665

const lengths: readonly Unit[] = [
  { symbol: 'm', si: 1 },
  { symbol: 'mm', si: 1e-3 },
  { symbol: 'cm', si: 1e-2 },
  { symbol: 'km', si: 1e3 },
  { symbol: 'ft', si: foot },
  { symbol: 'in', si: inch },
]
const squared = (units: readonly Unit[]): readonly Unit[] =>
  units.flatMap(({ symbol, si }) => [
    { symbol: `${symbol}²`, si: si * si },
    { symbol: `${symbol}2`, si: si * si },
  ])
const forces: readonly Unit[] = [
  { symbol: 'N', si: 1 },
  { symbol: 'kN', si: 1e3 },
  { symbol: 'MN', si: 1e6 },
  { symbol: 'lb', si: poundForce },
  { symbol: 'lbf', si: poundForce },
  { symbol: 'kip', si: 1e3 * poundForce },
]
const per = (over: readonly Unit[], under: readonly Unit[]): readonly Unit[] =>
  over.flatMap((a) => under.map((b) => ({ symbol: `${a.symbol}/${b.symbol}`, si: a.si / b.si })))
const cubed: readonly Unit[] = lengths.flatMap(({ symbol, si }) => [
  { symbol: `${symbol}³`, si: si ** 3 },
  { symbol: `${symbol}3`, si: si ** 3 },
])

/** Units that may be typed for a quantity. Source of the exact factors: NIST SP 811, appendix B. */
export const typedUnits: Readonly<Record<Quantity, readonly Unit[]>> = {
  factor: [{ symbol: '%', si: 0.01 }],
  coefficient: [{ symbol: '%', si: 0.01 }],
  count: [],
  length: lengths,
  smallLength: lengths,
  roughness: lengths,
  area: squared(lengths),
  sectionArea: squared(lengths),
  angle: [
    { symbol: '°', si: Math.PI / 180 },
    { symbol: 'deg', si: Math.PI / 180 },
    { symbol: 'rad', si: 1 },
  ],
  force: forces,
  mass: [
    { symbol: 'kg', si: 1 },
    { symbol: 't', si: 1e3 },
    { symbol: 'kip·s²/ft', si: (1e3 * poundForce) / foot },
  ],
  moment: [
    { symbol: 'Nm', si: 1 },
    { symbol: 'kNm', si: 1e3 },
    { symbol: 'kip-ft', si: 1e3 * poundForce * foot },
    { symbol: 'lb-ft', si: poundForce * foot },
  ],
  lineMoment: [
    { symbol: 'Nm/m', si: 1 },
    { symbol: 'kNm/m', si: 1e3 },
    { symbol: 'kip-ft/ft', si: 1e3 * poundForce },
  ],
  lineLoad: [
    ...per(forces, lengths),
    { symbol: 'plf', si: poundForce / foot },
    { symbol: 'klf', si: (1e3 * poundForce) / foot },
  ],
  stiffness: per(forces, lengths),
  pressure: [
    { symbol: 'Pa', si: 1 },
    { symbol: 'kPa', si: 1e3 },
    { symbol: 'MPa', si: 1e6 },
    ...per(forces, squared(lengths)),
    { symbol: 'psf', si: poundForce / foot ** 2 },
    { symbol: 'ksf', si: (1e3 * poundForce) / foot ** 2 },
  ],
  unitWeight: [...per(forces, cubed), { symbol: 'pcf', si: poundForce / foot ** 3 }],
  density: [
    { symbol: 'kg/m³', si: 1 },
    { symbol: 'kg/m3', si: 1 },
    { symbol: 'lb/ft³', si: poundForce / gravity / foot ** 3 },
    { symbol: 'lb/ft3', si: poundForce / gravity / foot ** 3 },
  ],
  velocity: [
    { symbol: 'm/s', si: 1 },
    { symbol: 'km/h', si: 1 / 3.6 },
    { symbol: 'mph', si: 0.44704 },
  ],
  acceleration: [{ symbol: 'm/s²', si: 1 }],
  period: [{ symbol: 's', si: 1 }],
}

/** How a quantity is shown: decimals belong to the quantity, not to the place. */
export const displayUnits: Readonly<Record<UnitSystem, Readonly<Record<Quantity, DisplayUnit>>>> = {
  metric: {
    factor: { symbol: '', decimals: 2 },
    coefficient: { symbol: '', decimals: 4 },
    count: { symbol: '', decimals: 0 },
    length: { symbol: 'm', decimals: 2 },
    smallLength: { symbol: 'mm', decimals: 0 },
    roughness: { symbol: 'm', decimals: 3 },
    area: { symbol: 'm²', decimals: 1 },
    sectionArea: { symbol: 'cm²', decimals: 1 },
    angle: { symbol: '°', decimals: 1 },
    force: { symbol: 'kN', decimals: 1 },
    mass: { symbol: 't', decimals: 1 },
    moment: { symbol: 'kNm', decimals: 1 },
    lineMoment: { symbol: 'kNm/m', decimals: 2 },
    lineLoad: { symbol: 'kN/m', decimals: 2 },
    stiffness: { symbol: 'MN/m', decimals: 1 },
    pressure: { symbol: 'kN/m²', decimals: 2 },
    unitWeight: { symbol: 'kN/m³', decimals: 1 },
    density: { symbol: 'kg/m³', decimals: 3 },
    velocity: { symbol: 'm/s', decimals: 1 },
    acceleration: { symbol: 'm/s²', decimals: 3 },
    period: { symbol: 's', decimals: 3 },
  },
  us: {
    factor: { symbol: '', decimals: 2 },
    coefficient: { symbol: '', decimals: 4 },
    count: { symbol: '', decimals: 0 },
    length: { symbol: 'ft', decimals: 2 },
    smallLength: { symbol: 'in', decimals: 1 },
    roughness: { symbol: 'ft', decimals: 3 },
    area: { symbol: 'ft²', decimals: 0 },
    sectionArea: { symbol: 'in²', decimals: 1 },
    angle: { symbol: '°', decimals: 1 },
    force: { symbol: 'kip', decimals: 1 },
    mass: { symbol: 'kip·s²/ft', decimals: 3 },
    moment: { symbol: 'kip-ft', decimals: 1 },
    lineMoment: { symbol: 'kip-ft/ft', decimals: 3 },
    lineLoad: { symbol: 'klf', decimals: 3 },
    stiffness: { symbol: 'kip/in', decimals: 1 },
    pressure: { symbol: 'psf', decimals: 1 },
    unitWeight: { symbol: 'pcf', decimals: 1 },
    density: { symbol: 'lb/ft³', decimals: 3 },
    velocity: { symbol: 'mph', decimals: 1 },
    acceleration: { symbol: 'm/s²', decimals: 3 },
    period: { symbol: 's', decimals: 3 },
  },
}

/** SI value of one display unit (1 for a plain number). */
export function displayFactor(quantity: Quantity, system: UnitSystem): number {
  const { symbol } = displayUnits[system][quantity]
  if (symbol === '') return 1
  const unit = typedUnits[quantity].find((candidate) => candidate.symbol === symbol)
  if (!unit) throw new Error(`No factor for ${quantity} in ${symbol}`)
  return unit.si
}
