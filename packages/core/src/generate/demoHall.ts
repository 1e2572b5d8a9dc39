import { newGridLine, newLayout } from '../document/blanks'
import type { Layout, Rec, Section, WallSurface } from '../document/recordKinds'
import type { Point } from '../geometry/point'
import { buildUp, id, key, level, on, random, typed } from './demoParts'
import { hallFrame, hallStock, type HallStock } from './hall'
import type { HallBrief } from './hallSentence'

/** Four bays of 6 m beside the north-east wing, 0.6 m off it, eaves 6 m over the base: lower than the second floor. */
export function workshopHall(steel: HallStock['steel']): readonly Rec[] {
  const brief: HallBrief = {
    span: 12,
    bays: 4,
    bay: 6,
    eaves: 6,
    pitch: Math.PI / 15,
    frames: 'trusses',
    purlins: 2,
    family: 'EN',
    units: 'metric',
    set: null,
  }
  const sure = (section: Section): Section => ({ ...section, assumed: false })
  const assumed = hallStock(brief, random)
  const parts: HallStock = {
    steel,
    column: sure(assumed.column),
    main: sure(assumed.main),
    bottom: sure(assumed.bottom),
    web: sure(assumed.web),
    purlin: sure(assumed.purlin),
    brace: sure(assumed.brace),
  }
  const roofUp = buildUp('Workshop roof', typed('sheeting', 0.12), typed('insulation', 0.08), typed('services', 0.15))
  const roofKey = key('Workshop roof', roofUp, 'H', null, null)
  const eaves = level('Eaves', 5.4)
  const layout = newLayout('Workshop roof', roofKey.id, random)
  const lines = Array.from({ length: 5 }, (_, i) => newGridLine('x', String(5 + i), 22.2 + 6 * i, random))
  const { steel: known, ...sections } = parts
  return [
    ...lines,
    eaves,
    ...Object.values<Section>(sections),
    roofUp,
    roofKey,
    layout,
    on(layout, eaves),
    ...hallFrame(brief, layout, [22.2, 9], { ...parts, steel: known }, random).map(numberedOn),
  ]
}

/** Columns after those of the library, which stand on the same levels. */
const numberedOn = (record: Rec): Rec =>
  record.kind === 'member' && record.role === 'column'
    ? { ...record, label: record.label.replace(/\d+$/, (number) => String(Number(number) + 20)) }
    : record

const pressed = (from: WallSurface['pressures'][number]['from'], what: string, pressure: number) =>
  ({ what, nature: 'wind', use: null, from, top: pressure, foot: pressure }) as const

/** Wind on the workshop's long side, from column to column, and on its east gable, from the ground to the truss. */
export function hallFacades(layout: Layout['id']): readonly WallSurface[] {
  const facade = (
    label: string,
    path: readonly Point[],
    sharing: WallSurface['sharing'],
    pressures: WallSurface['pressures'],
  ): WallSurface => ({
    kind: 'wallSurface',
    id: id('wallSurface'),
    layout,
    label,
    path,
    closed: false,
    above: 0,
    depth: null,
    sharing,
    overOpenings: 'bridged',
    openings: [],
    pressures,
  })
  const [west, east, south, north] = [22.2, 46.2, 9, 21]
  return [
    facade(
      'O1',
      [
        [east, north],
        [west, north],
      ],
      'level',
      [pressed('north', 'zone D', 650), pressed('south', 'zone E', -300)],
    ),
    facade(
      'O2',
      [
        [east, south],
        [east, north],
      ],
      'upright',
      [pressed('east', 'zone D', 650), pressed('west', 'zone E', -300)],
    ),
  ]
}
