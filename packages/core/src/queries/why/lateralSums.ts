import { armOf, momentAbout } from '../../actions/lateral/diaphragm'
import { elementDirect, elementTurning } from '../../actions/lateral/elementShare'
import { sidewaysForcesOf } from '../../derivation/storeyForces'
import type { StoreyForcesOfCase } from '../../derivation/storeyForcesOfCase'
import { shareStoreyForces, type ElementForce, type StoreyShear } from '../../derivation/storeyShears'
import { storeysOf } from '../../derivation/storeys'
import type { ProjectState } from '../../derivation/project'
import { splitExpanded } from '../../document/labels'
import { given, tracedSum, type Traced, type TracedTerm } from '../../trace/traced'
import { splitCase } from './sums'

/** `stiffness:ELEMENT@LEVEL`. */
export function stiffnessOfElement(state: ProjectState, expandedId: string): Traced | null {
  const elements = storeysOf(state).flatMap((storey) => storey.elements)
  return elements.find((element) => element.expandedId === expandedId)?.stiffness ?? null
}

/** `element:ELEMENT@LEVEL:CASE`: what a stiff element takes of the shear of its storey. */
export function elementForce(state: ProjectState, rest: string): Traced | null {
  const found = findElement(state, rest)
  if (!found) return null
  const { shear, taken, forces } = found
  const { element, direct, turning } = taken
  const { level } = shear.storey.floor
  const k = element.stiffness ?? given('k', 'stiffness', 0, 'no stiffness')
  const V_t = given(
    'V_t',
    'force',
    shear.shear.fx * element.along[0] + shear.shear.fy * element.along[1],
    `storey shear below level ${level.name} along it`,
  )
  const terms: readonly TracedTerm[] = [
    { label: 'direct, through the centre of stiffness', value: direct, traced: directOf(shear, taken, V_t, k) },
    ...(turning === 0 ? [] : [{ label: 'from torsion', value: turning, traced: turningOf(shear, taken, k) }]),
  ]
  return tracedSum('V', 'force', `rigid diaphragm, case ${forces.caseId}`, terms)
}

/** By stiffness among those that run its way, where that is what the equations come to. */
function directOf(
  { storey }: StoreyShear,
  { element, direct }: ElementForce,
  V_t: Traced<'force'>,
  k: Traced<'stiffness'>,
): Traced {
  const sum = storey.elements.reduce((total, { along, stiffness }) => {
    const cosine = along[0] * element.along[0] + along[1] * element.along[1]
    return total + (stiffness?.value ?? 0) * cosine * cosine
  }, 0)
  const simple = sum === 0 ? 0 : (V_t.value * k.value) / sum
  if (Math.abs(simple - direct) > 1e-9 * Math.max(Math.abs(direct), Math.abs(V_t.value)))
    return given('V_1', 'force', direct, 'three equations of the rigid diaphragm; elements in several directions')
  return elementDirect({ V_t, k, k_sum: given('k_sum', 'stiffness', sum, 'all elements in this direction') })
}

function turningOf(
  { storey: { diaphragm }, shear }: StoreyShear,
  { element }: ElementForce,
  k: Traced<'stiffness'>,
): Traced {
  const centre = diaphragm.centre ?? [0, 0]
  const { a: at, along } = element
  return elementTurning({
    T: given('T', 'moment', momentAbout(shear, centre), 'of the storey shear about the centre of stiffness'),
    k,
    r: given('r', 'length', armOf({ at, along }, centre), 'of its line from the centre of stiffness'),
    J: given('J', 'moment', diaphragm.turning, 'sum of k r² of the storey'),
  })
}

/** `elementMoment:ELEMENT@LEVEL:CASE`: over its foot. */
export function elementMoment(state: ProjectState, rest: string): Traced | null {
  const found = findElement(state, rest)
  if (!found) return null
  const { taken, shear, forces } = found
  const { height } = shear.storey
  const own = taken.shear * height
  const terms: readonly TracedTerm[] = [
    {
      label: 'storey shear over the storey height',
      value: own,
      factors: [
        { value: taken.shear, quantity: 'force' },
        { value: height, quantity: 'length' },
      ],
      address: `element:${taken.element.expandedId}:${forces.caseId}`,
    },
    ...(taken.moment === own ? [] : [{ label: 'from the element above', value: taken.moment - own }]),
  ]
  return tracedSum('M', 'moment', 'by storey', terms)
}

interface Found {
  readonly forces: StoreyForcesOfCase
  readonly shear: StoreyShear
  readonly taken: ElementForce
}

function findElement(state: ProjectState, rest: string): Found | null {
  const [expandedId, caseId] = splitCase(rest)
  const [, levelId] = splitExpanded(expandedId)
  const forces = sidewaysForcesOf(state, caseId)
  if (!forces) return null
  const { storeys } = shareStoreyForces(state, forces)
  const shear = storeys.find(({ storey }) => storey.floor.level.id === levelId)
  const taken = shear?.elements.find(({ element }) => element.expandedId === expandedId)
  return shear && taken ? { forces, shear, taken } : null
}
