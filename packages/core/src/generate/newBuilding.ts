import type { Random } from '../document/document'
import type { Basis, Rec } from '../document/recordKinds'
import type { FamilyId } from '../standards/family'
import { bayGrid } from './bayGrid'
import { hall } from './hall'
import { readHallSentence } from './hallSentence'
import { readOpeningSentence } from './openingSentence'

/** What an opening sentence makes: its records, and what to say of them. */
export interface NewBuilding {
  readonly family: FamilyId
  /** Feet and inches where the sentence says lengths so. */
  readonly units: Basis['units']
  /** “4 storeys of 3 by 3 bays”. */
  readonly summary: string
  /** All floors or the roof, in plan, m². */
  readonly area: number
  readonly records: (name: string, random: Random) => readonly Rec[]
}

type Read = { readonly ok: true; readonly building: NewBuilding } | { readonly ok: false; readonly problem: string }

/** Reads the sentence of a new building: one that begins with “Hall” is a hall, any other a frame of bays and storeys. */
export function readNewBuilding(text: string): Read {
  if (/^\s*(an? |the )?hall\b/i.test(text)) {
    const read = readHallSentence(text)
    if (!read.ok) return read
    const { brief } = read
    const what = brief.frames === 'trusses' ? 'trusses' : 'rafters'
    return {
      ok: true,
      building: {
        family: brief.family,
        units: brief.units,
        summary: `A hall of ${brief.bays} ${brief.bays === 1 ? 'bay' : 'bays'} on ${brief.bays + 1} ${what}`,
        area: brief.span * brief.bays * brief.bay,
        records: (name, random) => hall(brief, name, random),
      },
    }
  }
  const read = readOpeningSentence(text)
  if (!read.ok) return read
  const { brief } = read
  const { baysX, spanX, baysY, spanY, storeys } = brief
  return {
    ok: true,
    building: {
      family: brief.family,
      units: brief.units,
      summary: `${storeys} ${storeys === 1 ? 'storey' : 'storeys'} of ${baysX} by ${baysY} bays`,
      area: baysX * spanX * baysY * spanY * storeys,
      records: (name, random) => bayGrid(brief, name, random),
    },
  }
}
