import { withEdits, type Edit } from '../document/changes'
import { recordsOf, type Document, type Random } from '../document/document'
import { nationalSetEdits } from '../editing/ownLayer'
import { shippedSets } from '../standards/families'
import type { Basis, Rec } from '../document/recordKinds'
import type { FamilyId } from '../standards/family'
import { bayGrid } from './bayGrid'
import { hall } from './hall'
import { readHallSentence } from './hallSentence'
import { readOpeningSentence } from './openingSentence'

/** What an opening sentence makes: its records, and what to say of them. */
export interface NewBuilding {
  readonly family: FamilyId
  /** The national set or edition that it names; null where it names none. */
  readonly set: string | null
  /** Feet and inches where the sentence says lengths so. */
  readonly units: Basis['units']
  /** “4 storeys of 3 by 3 bays”. */
  readonly summary: string
  /** All floors or the roof, in plan, m². */
  readonly area: number
  readonly records: (name: string, random: Random) => readonly Rec[]
}

type Read = { readonly ok: true; readonly building: NewBuilding } | { readonly ok: false; readonly problem: string }

/**
 * Reads the sentence of a new building: one that begins with “Hall” is a hall, any other a frame of bays and storeys.
 * @param family - that of the project, which holds where the sentence names none
 */
export function readNewBuilding(text: string, family: FamilyId = 'EN'): Read {
  if (/^\s*(an? |the )?hall\b/i.test(text)) {
    const read = readHallSentence(text, family)
    if (!read.ok) return read
    const { brief } = read
    const what = brief.frames === 'trusses' ? 'trusses' : 'rafters'
    return {
      ok: true,
      building: {
        family: brief.family,
        set: brief.set,
        units: brief.units,
        summary: `A hall of ${brief.bays} ${brief.bays === 1 ? 'bay' : 'bays'} on ${brief.bays + 1} ${what}`,
        area: brief.span * brief.bays * brief.bay,
        records: (name, random) => hall(brief, name, random),
      },
    }
  }
  const read = readOpeningSentence(text, family)
  if (!read.ok) return read
  const { brief } = read
  const { baysX, spanX, baysY, spanY, storeys } = brief
  return {
    ok: true,
    building: {
      family: brief.family,
      set: brief.set,
      units: brief.units,
      summary: `${storeys} ${storeys === 1 ? 'storey' : 'storeys'} of ${baysX} by ${baysY} bays`,
      area: baysX * spanX * baysY * spanY * storeys,
      records: (name, random) => bayGrid(brief, name, random),
    },
  }
}

/** What makes the building in a project: its records, the family and units that the sentence names, and the set over it. */
export function buildingEdits(document: Document, building: NewBuilding, random: Random): readonly Edit[] {
  const { family, units: said, set } = building
  const [basis] = recordsOf(document, 'basis')
  // metres leave a project in feet as it is
  const units = said === 'us' ? 'us' : (basis?.units ?? 'metric')
  // the project has its basis already; everything else of the sentence is new
  const records = building.records('', random).filter(({ kind }) => kind !== 'basis')
  const edits: readonly Edit[] = [
    ...(basis && (basis.family !== family || basis.units !== units)
      ? [{ id: basis.id, before: basis, after: { ...basis, family, units } }]
      : []),
    ...records.map((record) => ({ id: record.id, before: null, after: record })),
  ]
  const shipped = shippedSets[family].find(({ name }) => name === set)
  if (!shipped) return edits
  const laid = nationalSetEdits(withEdits(document, edits), shipped, random)
  const later = new Map(laid.map((edit) => [edit.id, edit]))
  const own = new Set(edits.map(({ id }) => id))
  return [
    ...edits.map((edit) => ({ ...edit, after: later.get(edit.id)?.after ?? edit.after })),
    ...laid.filter(({ id }) => !own.has(id)),
  ]
}
