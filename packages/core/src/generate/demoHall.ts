import { newGridLine, newLayout } from '../document/blanks'
import type { Rec, Section } from '../document/recordKinds'
import { buildUp, key, level, on, random, typed } from './demoParts'
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
    ...hallFrame(brief, layout, [22.2, 9], { ...parts, steel: known }, random),
  ]
}
