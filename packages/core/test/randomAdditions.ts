import type { Layout, Member, Rec } from '../src/document/recordKinds'
import type { Point } from '../src/geometry/point'
import { type Building, pressure } from './build'
import { rectangle } from './shapes'

interface Lines {
  readonly xs: readonly number[]
  readonly ys: readonly number[]
}

type Addition = (building: Building, layouts: readonly Layout[], lines: Lines, seed: number) => void

/** What random buildings get without a throw of the dice, each where its seed says so: seeds that once failed still make the building that failed. */
const additions: readonly (readonly [wanted: (seed: number) => boolean, add: Addition])[] = [
  [() => true, ({ records }, _, __, seed) => makeContinuous(records, seed)],
  [(seed) => seed % 3 === 1, ({ records }, _, __, seed) => wallsInPlaceOfBeams(records, seed)],
  [(seed) => seed % 5 === 3, ({ records }, _, __, seed) => hangersInPlaceOfColumns(records, seed)],
  [(seed) => seed % 5 === 4 || seed % 10 === 3, ({ records }, _, __, seed) => rakeSome(records, seed)],
  [(seed) => seed % 4 === 2, addVaryingLoads],
  [
    (seed) => seed % 16 === 1,
    (building, layouts, lines, seed) =>
      layouts.forEach((layout, i) => addWallSurfaces(building, layout, lines, seed + i)),
  ],
  [(seed) => [0, 5, 6, 7, 8].includes(seed % 10), ({ records }, _, __, seed) => shareOtherwise(records, seed)],
  [
    (seed) => seed % 4 === 3,
    (building, layouts, _, seed) =>
      layouts.forEach((layout, i) => addMeetings(building, layout, layouts[i + 1], seed + i)),
  ],
  [(seed) => seed % 12 === 5, ({ records }, _, __, seed) => shareByStiffness(records, seed)],
]

export const addWithoutDice: Addition = (building, layouts, lines, seed) => {
  for (const [wanted, add] of additions) if (wanted(seed)) add(building, layouts, lines, seed)
}

function addVaryingLoads(building: Building, layouts: readonly Layout[], { xs, ys }: Lines, seed: number): void {
  for (const layout of layouts) {
    const [x, y] = [xs[0] ?? 0, ys[0] ?? 0]
    building.lineLoad(
      layout,
      [
        [x, y],
        [x + 3.17, y],
        [x + 4.03, y + 2.71],
      ],
      3000,
      { endValue: (seed % 7) * 500 - 900 },
    )
    building.areaLoad(layout, rectangle(1.0371, 0.5713, 5.1137, 4.0391), 1500, { endValue: 200, angle: seed % 6 })
  }
}

/**
 * Beams that end at one point of a longer one, from columns of their own and from nothing, and some that pass there; over it a column
 * or hanger of another layout, a force and the end of a wall.
 */
function addMeetings(building: Building, layout: Layout, above: Layout | undefined, seed: number): void {
  const girder = building.records.find(
    (record): record is Member =>
      record.kind === 'member' && record.layout === layout.id && record.role === 'beam' && record.path.length === 2,
  )
  const [a, b] = girder?.path ?? []
  if (!girder || !a || !b) return
  const at = (t: number, off: number): Point => {
    const [dx, dy] = [b[0] - a[0], b[1] - a[1]]
    const length = Math.hypot(dx, dy)
    return [a[0] + t * dx - (off * dy) / length, a[1] + t * dy + (off * dx) / length]
  }
  const point = at(0.31, 0)
  building.beam(layout, point, at(0.37, 3.17))
  building.column(layout, at(0.37, 3.17))
  if (seed % 3 !== 0) building.beam(layout, at(0.11, -2.73), point)
  if (seed % 3 === 1) building.beam(layout, at(0.2, -2.03), at(0.42, 2.03))
  if (seed % 5 === 2) building.beam(layout, at(0.3 - 0.29, 0), at(0.3 + 0.29, 0))
  building.pointLoad(layout, point, 7000 + (seed % 1000))
  if (above && seed % 2 === 0) building.column(above, point)
  if (above && seed % 2 === 1) building.member(layout, 'hanger', [at(0.6, 0)])
  if (above && seed % 7 === 3) building.member(above, 'wall', [point, at(0.33, 1.2)])
}

/** Round three sides of the grid or all four, with a girt and posts in its planes that may end at nothing. */
function addWallSurfaces(building: Building, layout: Layout, { xs, ys }: Lines, seed: number): void {
  const [x0, x1, y0, y1] = [xs[0] ?? 0, xs.at(-1) ?? 0, ys[0] ?? 0, ys.at(-1) ?? 0]
  building.wallSurface(layout, rectangle(x0, y0, x1, y1), {
    closed: seed % 32 < 16,
    sharing: (['upright', 'level', 'twoWay', 'surrounding'] as const)[Math.floor(seed / 16) % 4] ?? 'upright',
    above: seed % 3 === 0 ? 0.9 : 0,
    depth: seed % 7 === 0 ? 1.7 : null,
    overOpenings: seed % 2 === 0 ? 'bridged' : 'interrupting',
    openings: [{ along: 0.7 + (seed % 5), sill: 0.4, width: 1.3, height: 1.1 }],
    pressures: [pressure(900, seed % 3 === 1 ? -300 : 900), pressure(400, 400, { nature: 'wind', from: 'south' })],
  })
  const stock = { material: building.weightless.id, section: building.section.id }
  const middle = (x0 + x1) / 2
  building.strut(
    layout,
    [
      [x0, y0],
      [x1, y0],
    ],
    [-1.1, -1.1],
    { role: 'girt', ...stock },
  )
  building.strut(
    layout,
    [
      [middle, y0],
      [middle, y0],
    ],
    [-1.1, 0],
    { role: 'post', ...stock },
  )
  building.strut(
    layout,
    [
      [x1, y0],
      [x1, y1],
    ],
    [-2, -0.5],
    { role: seed % 2 === 0 ? 'girt' : 'brace', ...stock },
  )
}

/** Every third beam is continuous. */
function makeContinuous(records: Rec[], seed: number): void {
  records.forEach((record, i) => {
    if (record.kind === 'member' && (i + seed) % 3 === 0) records[i] = { ...record, spans: 'continuous' }
  })
}

/** Every fourth beam is a bearing wall. */
function wallsInPlaceOfBeams(records: Rec[], seed: number): void {
  records.forEach((record, i) => {
    if (record.kind === 'member' && record.role === 'beam' && (i + seed) % 4 === 0)
      records[i] = { ...record, role: 'wall' }
  })
}

/** Every third column is a hanger, on whichever floor. */
function hangersInPlaceOfColumns(records: Rec[], seed: number): void {
  records.forEach((record, i) => {
    if (record.kind === 'member' && record.role === 'column' && (i + seed) % 3 === 0)
      records[i] = { ...record, role: 'hanger' }
  })
}

/** Every third column or hanger rakes, half of them onto a place where others may stand. */
function rakeSome(records: Rec[], seed: number): void {
  const places = records.flatMap((record) =>
    record.kind === 'member' && record.path.length === 1 ? record.path.slice(0, 1) : [],
  )
  records.forEach((record, i) => {
    const [at] = record.kind === 'member' && record.path.length === 1 ? record.path : []
    if (record.kind !== 'member' || !at || (i + seed) % 3 !== 1) return
    const [x, y] = (i % 2 === 0 ? places[(i + seed) % places.length] : undefined) ?? [at[0] + 1.31, at[1] - 0.57]
    records[i] = { ...record, path: [at, [x, y]] }
  })
}

/** One panel that has a slab is a plate: one, since solving it takes longer than all the rest. */
function shareByStiffness(records: Rec[], seed: number): void {
  const slabs = records.flatMap((record, i) => (record.kind === 'panel' && record.slab ? [i] : []))
  const i = slabs[seed % Math.max(1, slabs.length)] ?? -1
  const panel = records[i]
  if (panel?.kind === 'panel') records[i] = { ...panel, sharing: 'stiffness' }
}

/** In half of the buildings panels share by all rules, and some members take nothing. */
function shareOtherwise(records: Rec[], seed: number): void {
  const rules = ['oneWay', 'twoWay', 'surrounding', 'even', 'corners', 'twoWay'] as const
  const spareable = records.flatMap((record) => (record.kind === 'member' ? [record.id] : [])).slice(0, 60)
  records.forEach((record, i) => {
    if (record.kind === 'panel')
      records[i] = {
        ...record,
        sharing: rules[(i + seed) % rules.length] ?? 'oneWay',
        sparedAngle: (i + seed) % 7 === 0 ? 0 : null,
        supportReach: (i + seed) % 5 === 0 ? 0.1 : null,
        spanLimit: (i + seed) % 4 === 0 ? 0.3 : null,
        sparedMembers: (i + seed) % 3 === 0 ? spareable.filter((_, k) => (k + i) % 5 === 0) : [],
      }
    if (record.kind === 'member' && (i + seed) % 13 === 0) records[i] = { ...record, takesLoad: false }
  })
}
