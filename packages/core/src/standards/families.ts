import type { Layer } from '../document/recordKinds'
import { uncapitalized } from '../outcome/letters'
import { inWordsOf } from '../outcome/vocabulary'
import { asceEditions } from './asce/editions'
import { asceFamily } from './asce/family'
import { bsFamily } from './bs/family'
import { enFamily } from './en/family'
import { germany } from './en/germany'
import type { ActionId, Family, FamilyId } from './family'
import { isFamily } from './is/family'
import { resolveLayers, type Standard, type StandardLayer } from './layer'

/** Meanings of parameters come from tables that families share. */
function inItsWords(family: Family): Family {
  const meanings = Object.entries(family.meanings).map(([key, meaning]) => [
    key,
    { ...meaning, name: inWordsOf(family.words, meaning.name) },
  ])
  return { ...family, meanings: Object.fromEntries(meanings) as Family['meanings'] }
}

export const families: Readonly<Record<FamilyId, Family>> = {
  EN: enFamily,
  ASCE: inItsWords(asceFamily),
  IS: inItsWords(isFamily),
  BS: inItsWords(bsFamily),
}

/** Groups of uses that keep a part of their load when they are reduced, of whichever family. */
export const keptGroups: ReadonlySet<string> = new Set(
  Object.values(families).flatMap(({ keptGroup }) => keptGroup ?? []),
)

export const familyOf = (id: FamilyId): Family => families[id]

/** National sets and editions that ship with this version, by family; a project that uses one embeds a copy. */
export const shippedSets: Readonly<Record<FamilyId, readonly StandardLayer[]>> = {
  EN: [germany],
  ASCE: asceEditions,
  IS: [],
  BS: [],
}

/** A national set or edition as the record that a project keeps. */
export const embedded = (family: FamilyId, set: StandardLayer, id: Layer['id']): Layer => ({
  kind: 'layer',
  id,
  family,
  standing: 'national',
  name: set.name,
  values: Object.fromEntries(
    Object.entries(set.values).map(([key, { value, clause, fromMemory }]) => [
      key,
      { value, clause, fromMemory: fromMemory ?? false },
    ]),
  ),
  tables: Object.fromEntries(
    Object.entries(set.tables).map(([key, table]) => [key, { ...table, fromMemory: table.fromMemory ?? false }]),
  ),
  methods: set.methods,
  uses: set.uses ?? {},
})

/** The family's own values ← national set or edition ← the project's own changes. Layers of another family are left out. */
export function standardOf(id: FamilyId, layers: readonly Layer[]): Standard {
  const standing = (wanted: Layer['standing']) =>
    layers.filter((layer) => layer.standing === wanted && layer.family === id)
  return resolveLayers(familyOf(id), [...standing('national'), ...standing('own')])
}

export type Terms = Readonly<Record<ActionId, string>>

/** Actions as a family calls them within a sentence: live load in one is imposed load in another. */
export const termsOf = (family: FamilyId): Terms => {
  const { actionNames } = familyOf(family)
  return Object.fromEntries(Object.entries(actionNames).map(([id, name]) => [id, uncapitalized(name)])) as Terms
}
