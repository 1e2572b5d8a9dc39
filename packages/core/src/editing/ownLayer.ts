import { own } from '../outcome/own'
import { pressureRuleOf } from '../standards/pressureRules'
import { withTyped } from './typedText'
import type { Edit } from '../document/changes'
import { newId, recordsOf, type Document, type Random } from '../document/document'
import type { Basis, Layer, LoadKey } from '../document/recordKinds'
import { embedded, familyOf, shippedSets, standardOf } from '../standards/families'
import { useOfSort, type Family, type FamilyId, type Use } from '../standards/family'
import type { StandardLayer } from '../standards/layer'

const familyInUse = (document: Document): FamilyId => recordsOf(document, 'basis')[0]?.family ?? 'EN'

/** The name of the layer of a project's own values. */
export const ownLayerName = 'this project'

/** The layer of a standing in the family in use; layers of other families rest until their family is chosen again. */
export const layerInUse = (document: Document, standing: Layer['standing']): Layer | undefined =>
  recordsOf(document, 'layer').find((layer) => layer.standing === standing && layer.family === familyInUse(document))

const isEmpty = ({ values, tables, methods, uses }: Layer): boolean =>
  [values, tables, methods, uses].every((entries) => Object.keys(entries).length === 0)

/** The project's own value of a parameter, over all other layers; null takes it away again. */
export function ownValueEdits(document: Document, key: string, value: number | null, random: Random): readonly Edit[] {
  const before = layerInUse(document, 'own') ?? null
  const bare: Layer = before ?? {
    kind: 'layer',
    id: newId('layer', random),
    family: familyInUse(document),
    standing: 'own',
    name: ownLayerName,
    values: {},
    tables: {},
    methods: {},
    uses: {},
  }
  const { [key]: _, ...others } = bare.values
  const values = value === null ? others : { ...others, [key]: { value, clause: ownLayerName, fromMemory: false } }
  const after: Layer = { ...bare, values }
  return [{ id: bare.id, before, after: isEmpty(after) ? null : after }]
}

/** Another national set or edition, embedded whole; null leaves the family's own values alone. Uses go to their like. */
export function nationalSetEdits(document: Document, set: StandardLayer | null, random: Random): readonly Edit[] {
  const family = familyInUse(document)
  const before = layerInUse(document, 'national')
  const after = set ? embedded(family, set, newId('layer', random)) : null
  const layers = recordsOf(document, 'layer')
    .filter((layer) => layer !== before)
    .concat(after ?? [])
  return [
    ...(before ? [{ id: before.id, before, after: null }] : []),
    ...(after ? [{ id: after.id, before: null, after }] : []),
    ...keyEdits(document, standardOf(family, layers).uses, familyOf(family)),
  ]
}

/** A value that another family means otherwise: what it is there, and what it is here. */
export interface MeantOtherwise {
  /** m/s */
  readonly velocity: number
  readonly here: string
  readonly there: string
}

/** The velocity of the wind has its own averaging time and return period in every family; null where none is given. */
export function meantOtherwise({ basicWindVelocity, family: here }: Basis, family: FamilyId): MeantOtherwise | null {
  if (basicWindVelocity === null || here === family) return null
  const says = (id: FamilyId) => pressureRuleOf(id)?.velocity.says ?? 'a velocity that is not used yet'
  return { velocity: basicWindVelocity, here: says(here), there: says(family) }
}

/**
 * Another family of standards: load keys go over to the uses that are like theirs, layers of the other family rest, and a value that
 * is meant otherwise there is emptied, to be given anew.
 */
export function familyEdits(document: Document, basis: Basis, family: FamilyId): readonly Edit[] {
  if (basis.family === family) return []
  const { uses } = standardOf(family, recordsOf(document, 'layer'))
  const emptied = meantOtherwise(basis, family)
    ? withTyped({ ...basis, basicWindVelocity: null }, { path: 'basicWindVelocity', text: undefined })
    : basis
  return [{ id: basis.id, before: basis, after: { ...emptied, family } }, ...keyEdits(document, uses, familyOf(family))]
}

/** The sort of a use that the standard in use knows. */
function sortOf(document: Document, use: string): Use['sort'] {
  const standard = standardOf(familyInUse(document), recordsOf(document, 'layer'))
  return own(standard.uses, use)?.sort ?? null
}

/**
 * Load keys under other uses: a use that is still there stays, another goes to the one of the same sort, and one with
 * no like is left as it is, where a concern names it.
 */
function keyEdits(document: Document, uses: Readonly<Record<string, Use>>, family: Family): readonly Edit[] {
  return recordsOf(document, 'loadKey').flatMap((key): Edit[] => {
    const after = { ...key, ...likeUse(document, key, uses), ...likePartitions(document, key, family) }
    return after.use === key.use && after.partitionRule === key.partitionRule
      ? []
      : [{ id: key.id, before: key, after }]
  })
}

function likeUse(document: Document, { use }: LoadKey, uses: Readonly<Record<string, Use>>): Pick<LoadKey, 'use'> {
  if (use === null || own(uses, use)) return { use }
  const sort = sortOf(document, use)
  const like = sort === null ? undefined : useOfSort(uses, sort)
  return { use: like ?? use }
}

/** The allowance by a rule that the family has; one that would be lost is typed with its value. */
function likePartitions(
  document: Document,
  key: LoadKey,
  { partitionRules }: Family,
): Pick<LoadKey, 'partitionRule' | 'partitionLoad'> {
  const { partitionRule, partitionWeight, partitionLoad } = key
  if (partitionRules.includes(partitionRule)) return { partitionRule, partitionLoad }
  if (partitionRule === 'byWeight')
    return { partitionRule: partitionWeight === null ? 'typed' : 'least', partitionLoad: null }
  const least = standardOf(familyInUse(document), recordsOf(document, 'layer')).values['imposed.partitions.least']
  return { partitionRule: 'typed', partitionLoad: least?.value ?? partitionLoad }
}

/** National sets and editions that ship for the family in use. */
export const setsOnOffer = (document: Document): readonly StandardLayer[] => shippedSets[familyInUse(document)]
