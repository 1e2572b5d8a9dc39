import { documentOf, newId, seededRandom, type Document } from '../src/document/document'
import type { Layout, Level, LevelRange, Member, Panel, Rec } from '../src/document/recordKinds'
import { bayGrid } from '../src/generate/bayGrid'
import type { BuildingBrief } from '../src/generate/openingSentence'
import type { Point } from '../src/geometry/point'

/** Bays of a floor each way, and how many floors stand on each other, each with a layout of its own. */
export interface Size {
  readonly baysX: number
  readonly baysY: number
  readonly floors: number
}

const brief: BuildingBrief = {
  baysX: 1,
  spanX: 7.2,
  baysY: 1,
  spanY: 9,
  storeys: 1,
  storeyHeight: 3.5,
  // eight beams, a girder and a column to each bay
  beamSpacing: 9 / 8,
  slab: 0.15,
  sort: 'offices',
  family: 'EN',
  units: 'metric',
  set: null,
}

/** A building of so many bays; every floor is drawn for itself, so that nothing is shared between levels. */
export function floorsOf({ baysX, baysY, floors }: Size): Document {
  const random = seededRandom(7)
  const records = [...bayGrid({ ...brief, baysX, baysY }, 'bench', random)]
  const [roof] = records.filter((record): record is Layout => record.kind === 'layout')
  const top = records.filter((record): record is Level => record.kind === 'level').at(-1)
  if (!roof || !top) throw new Error('no floor')
  const drawn = records.filter(
    (record): record is Member | Panel => record.kind === 'member' || record.kind === 'panel',
  )
  const more: Rec[] = []
  for (let i = 1; i < floors; i++) {
    const level: Level = { kind: 'level', id: newId('level', random), name: `${i}`, elevation: top.elevation + 3.5 * i }
    const layout: Layout = { ...roof, id: newId('layout', random), name: `${i}` }
    const range: LevelRange = {
      kind: 'levelRange',
      id: newId('levelRange', random),
      layout: layout.id,
      from: level.id,
      to: level.id,
    }
    more.push(level, layout, range)
    for (const record of drawn) more.push({ ...record, id: newId(record.kind, random), layout: layout.id } as Rec)
  }
  return documentOf([...records, ...more])
}

/** The same with every panel a little out of square, so that no strip is like the next. */
export function skewed(document: Document): Document {
  const shift = ([x, y]: Point): Point => [x + 0.05 * Math.sin(y), y + 0.05 * Math.sin(x)]
  return documentOf(
    [...document.records.values()].map((record) =>
      record.kind === 'panel' ? { ...record, outline: record.outline.map(shift) } : record,
    ),
  )
}

/** The same with every panel shared by one rule. */
export const sharedBy = (document: Document, sharing: Panel['sharing']): Document =>
  documentOf(
    [...document.records.values()].map((record) => (record.kind === 'panel' ? { ...record, sharing } : record)),
  )
