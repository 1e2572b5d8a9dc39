import type { Rec } from '../document/recordKinds'
import type { Concern } from '../outcome/outcome'
import type { Quantity } from '../units/quantity'

interface UsualRange {
  readonly field: string
  readonly name: string
  readonly quantity: Quantity
  readonly from: number
  readonly to: number
  readonly read: (record: Rec) => readonly number[]
}

// Common practice: what a checker would let pass without a question. Outside by a factor of ten is likely a slip of units.
const ranges: readonly UsualRange[] = [
  {
    field: 'imposed',
    name: 'imposed load',
    quantity: 'pressure',
    from: 300,
    to: 20_000,
    read: (r) => (r.kind === 'loadKey' && r.imposed !== null && r.imposed > 0 ? [r.imposed] : []),
  },
  {
    field: 'partitionWeight',
    name: 'partition weight',
    quantity: 'lineLoad',
    from: 300,
    to: 6_000,
    read: (r) => (r.kind === 'loadKey' && r.partitionWeight ? [r.partitionWeight] : []),
  },
  {
    field: 'unitWeight',
    name: 'unit weight',
    quantity: 'unitWeight',
    from: 300,
    to: 80_000,
    read: (r) =>
      r.kind === 'material'
        ? [r.unitWeight]
        : r.kind === 'buildUp'
          ? r.layers.flatMap((l) => (l.unitWeight === null ? [] : [l.unitWeight]))
          : [],
  },
  {
    field: 'thickness',
    name: 'thickness',
    quantity: 'smallLength',
    from: 0.002,
    to: 1.2,
    read: (r) =>
      r.kind === 'buildUp'
        ? r.layers.flatMap((l) => (l.thickness === null ? [] : [l.thickness]))
        : r.kind === 'panel' && r.slab
          ? [r.slab.thickness]
          : [],
  },
  {
    field: 'load',
    name: 'layer load',
    quantity: 'pressure',
    from: 20,
    to: 15_000,
    read: (r) =>
      r.kind === 'buildUp' ? r.layers.flatMap((l) => (l.load === null || l.load === 0 ? [] : [Math.abs(l.load)])) : [],
  },
  {
    field: 'weight',
    name: 'wall weight per area',
    quantity: 'pressure',
    from: 200,
    to: 12_000,
    read: (r) => (r.kind === 'wallRun' && r.buildUp === null ? [r.weight] : []),
  },
  {
    field: 'height',
    name: 'wall height',
    quantity: 'length',
    from: 0.3,
    to: 15,
    read: (r) => (r.kind === 'wallRun' && r.height !== null ? [r.height] : []),
  },
  {
    field: 'value',
    name: 'line load',
    quantity: 'lineLoad',
    from: 50,
    to: 100_000,
    read: (r) => (r.kind === 'lineLoad' && r.value !== 0 ? [Math.abs(r.value)] : []),
  },
  {
    field: 'endValue',
    name: 'line load at its end',
    quantity: 'lineLoad',
    from: 50,
    to: 100_000,
    read: (r) => (r.kind === 'lineLoad' && r.endValue ? [Math.abs(r.endValue)] : []),
  },
  {
    field: 'value',
    name: 'load on a barrier',
    quantity: 'lineLoad',
    from: 100,
    to: 10_000,
    read: (r) => (r.kind === 'barrier' && r.value !== null && r.value > 0 ? [r.value] : []),
  },
  {
    field: 'pressures',
    name: 'wind pressure',
    quantity: 'pressure',
    from: 50,
    to: 5000,
    read: (r) => pressuresOf(r, true),
  },
  {
    field: 'pressures',
    name: 'pressure on a wall',
    quantity: 'pressure',
    from: 50,
    to: 300_000,
    read: (r) => pressuresOf(r, false),
  },
  {
    field: 'thickness',
    name: 'thickness of a stiff wall',
    quantity: 'smallLength',
    from: 0.05,
    to: 2,
    read: (r) => (r.kind === 'stiffElement' && r.sort === 'wall' ? [r.thickness] : []),
  },
  {
    field: 'waist',
    name: 'waist of a flight',
    quantity: 'smallLength',
    from: 0.06,
    to: 0.5,
    read: (r) => (r.kind === 'stair' && r.waist > 0 ? [r.waist] : []),
  },
  {
    field: 'riser',
    name: 'step of a flight',
    quantity: 'smallLength',
    from: 0.1,
    to: 0.25,
    read: (r) => (r.kind === 'stair' && r.riser > 0 ? [r.riser] : []),
  },
  {
    field: 'value',
    name: 'point load',
    quantity: 'force',
    from: 100,
    to: 2e6,
    read: (r) => (r.kind === 'pointLoad' && r.value !== 0 ? [Math.abs(r.value)] : []),
  },
  {
    field: 'basicWindVelocity',
    name: 'basic wind velocity',
    quantity: 'velocity',
    from: 18,
    to: 50,
    read: (r) => (r.kind === 'basis' && r.basicWindVelocity !== null ? [r.basicWindVelocity] : []),
  },
  {
    field: 'area',
    name: 'section area',
    quantity: 'sectionArea',
    from: 2e-4,
    to: 2.5,
    read: (r) => (r.kind === 'section' ? [r.area] : []),
  },
  {
    field: 'depth',
    name: 'section depth',
    quantity: 'smallLength',
    from: 0.04,
    to: 3,
    read: (r) => (r.kind === 'section' ? [r.depth] : []),
  },
]

/** Each value once, whichever way it acts; none is one that is left open. */
function pressuresOf(record: Rec, ofWind: boolean): readonly number[] {
  if (record.kind !== 'wallSurface') return []
  const values = record.pressures
    .filter(({ nature }) => (nature === 'wind') === ofWind)
    .flatMap(({ top, foot }) => [Math.abs(top), Math.abs(foot)])
  return [...new Set(values)].filter((value) => value > 0)
}

/** A value outside its usual range, and whether a slip by ten would explain it. */
export function unusualValues(records: Iterable<Rec>): readonly Concern[] {
  const found: Concern[] = []
  for (const record of records)
    for (const { field, name, quantity, from, to, read } of ranges)
      for (const value of read(record)) {
        if (value >= from && value <= to) continue
        const tenth =
          value / 10 >= from && value / 10 <= to
            ? value / 10
            : value * 10 >= from && value * 10 <= to
              ? value * 10
              : undefined
        found.push({
          code: tenth === undefined ? 'value.unusual' : 'value.factor-of-ten',
          about: [record.id],
          data: { field, name, quantity, value, from, to, ...(tenth === undefined ? {} : { meant: tenth }) },
        })
      }
  return found
}
