import { own } from '../outcome/own'
import type { ProjectState } from '../derivation/project'
import { recordsOf } from '../document/document'
import { familyOf } from '../standards/families'
import { pressureRuleOf } from '../standards/pressureRules'
import { sourceTable, type SourceTable, type SourceTableId } from '../standards/sourceTable'
import type { Quantity } from '../units/quantity'
import { sourcePicture, type SourcePicture } from './sourcePicture'

/** Where a parameter stands: its table with the rows that the project takes, and what it does to this building. */
export interface Source {
  readonly table: SourceTable
  readonly taken: readonly string[]
  readonly quantity: Quantity
  /** What the family recommends; null for what a layer adds. */
  readonly recommended: number | null
  /** Least and greatest that a layer may put in its place. */
  readonly limits: readonly [least: number, greatest: number]
  readonly picture: SourcePicture | null
}

/** Null for a key that no layer in use knows. */
export function source(state: ProjectState, key: string): Source | null {
  const table = sourceTable(state.standard, key)
  const found = own(state.standard.values, key)
  if (!table || !found) return null
  const { quantity, min, max } = found.meaning
  return {
    table,
    taken: [...new Set(takenRows(state, table.id))],
    quantity,
    recommended: own(familyOf(state.standard.family).recommended.values, key)?.value ?? null,
    limits: [min, max],
    picture: sourcePicture(state, key, found.value),
  }
}

const takers: Readonly<Record<SourceTableId, (state: ProjectState) => readonly (string | null | undefined)[]>> = {
  uses: ({ document }) =>
    (['loadKey', 'barrier', 'lineLoad', 'pointLoad', 'areaLoad'] as const).flatMap((kind) =>
      recordsOf(document, kind).map(({ use }) => use),
    ),
  psi: ({ actions }) => actions.flatMap(({ cases }) => cases.map(({ group }) => group)),
  classes: ({ basis }) => [basis?.consequenceClass],
  terrains: ({ basis, standard }) => [basis && pressureRuleOf(standard.family)?.rowOf(basis.terrain)],
  soils: ({ standard }) => [String(standard.values['earthquake.soil']?.value ?? '')],
  combinations: () => [],
  single: () => [],
}

const takenRows = (state: ProjectState, id: SourceTableId): readonly string[] =>
  takers[id](state).flatMap((row) => row ?? [])
