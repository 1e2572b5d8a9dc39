import type { ProjectState } from '../derivation/project'
import { allSidewaysForces } from '../derivation/storeyForces'
import { hasStiffElements, overlap, shareStoreyForces, unheldOf } from '../derivation/storeyShears'
import { storeysOf, type Storey } from '../derivation/storeys'
import { recordsOf } from '../document/document'
import type { Concern } from '../outcome/outcome'
import { earthquakeRuleOf } from '../standards/earthquakeRules'
import { familyOf } from '../standards/families'

/** Storey forces without a rule, storeys that cannot hold the forces from above, elements without stiffness, and elements that stand on nothing. */
export function lateralConcerns(state: ProjectState): readonly Concern[] {
  return [...withoutRule(state), ...elementConcerns(state)]
}

/** Storey forces by clauses that the family in use does not have. */
const withoutRule = ({ document, standard }: ProjectState): readonly Concern[] =>
  recordsOf(document, 'storeyForces').flatMap(({ id, rule, name }): readonly Concern[] =>
    rule === 'earthquake' && !earthquakeRuleOf(standard.family)
      ? [
          {
            code: 'storey.no-earthquake-rule',
            about: [id],
            data: { name, family: familyOf(standard.family).name },
          },
        ]
      : [],
  )

function elementConcerns(state: ProjectState): readonly Concern[] {
  if (!hasStiffElements(state)) return []
  const storeys = storeysOf(state)
  return [
    ...unheldStoreys(state, storeys),
    ...withoutSection(storeys),
    ...standingOnNothing(storeys),
    ...bendingAlone(state, storeys),
  ]
}

/** One entry per storey, for the case that leaves most of its force there. */
function unheldStoreys(state: ProjectState, storeys: readonly Storey[]): readonly Concern[] {
  const shears = allSidewaysForces(state).map((forces) => shareStoreyForces(state, forces).storeys)
  return storeys.flatMap(({ floor: { level } }, i): Concern[] => {
    const lost = shears.flatMap((ofCase) => {
      const { shear, share } = ofCase[i] ?? {}
      const why = share ? unheldOf(share) : null
      return shear && why ? [{ why, force: Math.hypot(shear.fx, shear.fy) }] : []
    })
    if (lost.length === 0) return []
    const { why, force } = lost.reduce((most, entry) => (entry.force > most.force ? entry : most))
    return [{ code: 'storey.unheld', about: [level.id], data: { level: level.name, why, force } }]
  })
}

function withoutSection(storeys: readonly Storey[]): readonly Concern[] {
  const found = new Map(
    storeys.flatMap(({ elements }) =>
      elements.flatMap(({ record, stiffness }) => (stiffness ? [] : [[record.id, record.label] as const])),
    ),
  )
  return [...found].map(([id, label]) => ({
    code: 'stiffElement.no-section',
    about: [id],
    data: { label },
  }))
}

/** By E I alone walls can be told from walls; beside anything else they are far too stiff. */
function bendingAlone({ basis }: ProjectState, storeys: readonly Storey[]): readonly Concern[] {
  if (!basis || basis.wallStiffness !== 'bending') return []
  const mixed = storeys.find(({ elements }) => {
    const sorts = new Set(elements.map(({ record: { sort } }) => sort))
    return sorts.has('wall') && sorts.size > 1
  })
  if (!mixed) return []
  const data = { level: mixed.floor.level.name }
  return [{ code: 'storey.walls-bend-alone', about: [basis.id], data }]
}

/** The force of an element that ends above the ground goes on through the floor; its moment does not. */
function standingOnNothing(storeys: readonly Storey[]): readonly Concern[] {
  return storeys.flatMap(({ elements: lower, above }) =>
    above.flatMap((i) => {
      const { floor, elements = [] } = storeys[i] ?? {}
      return elements
        .filter((element) => !lower.some((under) => overlap(element, under) > 0))
        .map(({ record: { id, label } }): Concern => ({
          code: 'stiffElement.on-nothing',
          about: [id],
          data: { label, level: floor?.level.name ?? '' },
        }))
    }),
  )
}
