import { blankLoadKey } from '../document/blanks'
import { newId, seededRandom } from '../document/document'
import type { BuildUp, Layout, Level, LevelRange, LoadKey, Rec } from '../document/recordKinds'

// What the block and the hall of the demo are made with; one source of ids, so that they are the same everywhere.
export const random = seededRandom(20261124)
export const id = <K extends Rec['kind']>(kind: K) => newId(kind, random)

export const buildUp = (name: string, ...layers: BuildUp['layers']): BuildUp => ({
  kind: 'buildUp',
  id: id('buildUp'),
  name,
  layers,
})
export const layer = (name: string, millimetres: number, kilonewtons: number) => ({
  name,
  thickness: millimetres / 1000,
  unitWeight: kilonewtons * 1000,
  load: null,
  source: '',
})
export const typed = (name: string, kilonewtons: number) => ({
  name,
  thickness: null,
  unitWeight: null,
  load: kilonewtons * 1000,
  source: '',
})

export const key = (
  name: string,
  up: BuildUp | null,
  use: LoadKey['use'],
  imposed: number | null,
  partitionWeight: number | null,
): LoadKey => ({ ...blankLoadKey(name, random), buildUp: up?.id ?? null, use, imposed, partitionWeight })
export const level = (name: string, elevation: number): Level => ({ kind: 'level', id: id('level'), name, elevation })
export const on = (layout: Layout, at: Level): LevelRange => ({
  kind: 'levelRange',
  id: id('levelRange'),
  layout: layout.id,
  from: at.id,
  to: at.id,
})
