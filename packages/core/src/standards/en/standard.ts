import type { Layer } from '../../document/recordKinds'
import { resolveLayers, type Family, type Standard, type StandardLayer } from '../layer'
import { germany } from './germany'
import { peakPressureMethods } from './peakVelocityPressure'
import { enMeanings, enRecommended } from './recommended'

export const enFamily: Family = {
  meanings: enMeanings,
  methods: { 'wind.peakPressure': Object.keys(peakPressureMethods) },
  recommended: enRecommended,
}

/** National sets that ship with this version; a project that uses one embeds a copy. */
export const nationalSets: readonly StandardLayer[] = [germany]

/** A national set as the record that a project keeps. */
export const embedded = (set: StandardLayer, id: Layer['id']): Layer => ({
  kind: 'layer',
  id,
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
})

/** Recommended values ← national layer ← the project's own changes. */
export function enStandard(layers: readonly Layer[]): Standard {
  const standing = (wanted: Layer['standing']) => layers.filter((layer) => layer.standing === wanted)
  return resolveLayers(enFamily, [...standing('national'), ...standing('own')])
}
