import type { BuildUp, Material } from '../document/recordKinds'
import { formula } from '../trace/formula'
import { given, tracedSum, type Traced, type TracedTerm } from '../trace/traced'

/** Weight of a layer of a build-up or of a slab per area. */
export const layerWeight = formula({
  symbol: 'g',
  quantity: 'pressure',
  clause: 'EN 1991-1-1 5.2.1(1)',
  inputs: { t: 'smallLength', gamma: 'unitWeight' },
  expression: 't * gamma',
  evaluate: ({ t, gamma }) => t * gamma,
})

/** Weight of a member per length, from its section: counted once, in the case of self-weight. */
export const memberWeight = formula({
  symbol: 'g_0',
  quantity: 'lineLoad',
  clause: 'EN 1991-1-1 5.2.1(1)',
  inputs: { A: 'sectionArea', gamma: 'unitWeight' },
  expression: 'A * gamma',
  evaluate: ({ A, gamma }) => A * gamma,
})

/** Weight of a stretch of bearing wall per metre of its height. */
export const stretchWeight = formula({
  symbol: 'g_0',
  quantity: 'lineLoad',
  clause: 'EN 1991-1-1 5.2.1(1)',
  inputs: { t: 'smallLength', l: 'length', gamma: 'unitWeight', o: 'factor' },
  expression: 't * l * gamma * (1 - o)',
  evaluate: ({ t, l, gamma, o }) => t * l * gamma * (1 - o),
})

/** Weight of a bearing wall per area of its face, less its openings. */
export const faceWeight = formula({
  symbol: 'g_0',
  quantity: 'pressure',
  clause: 'EN 1991-1-1 5.2.1(1)',
  inputs: { t: 'smallLength', gamma: 'unitWeight', o: 'factor' },
  expression: 't * gamma * (1 - o)',
  evaluate: ({ t, gamma, o }) => t * gamma * (1 - o),
})

/** Weight of a whole bar. */
export const barWeight = formula({
  symbol: 'G',
  quantity: 'force',
  clause: 'EN 1991-1-1 5.2.1(1)',
  inputs: { g: 'lineLoad', l: 'length' },
  expression: 'g * l',
  evaluate: ({ g, l }) => g * l,
})

/** Weight of a truss per length of its top chord: chords and web by their lengths, connections excluded. */
export const trussWeight = formula({
  symbol: 'g_0',
  quantity: 'lineLoad',
  clause: 'EN 1991-1-1 5.2.1(1), connections excluded',
  inputs: {
    A_t: 'sectionArea',
    L_t: 'length',
    A_b: 'sectionArea',
    L_b: 'length',
    A_w: 'sectionArea',
    L_w: 'length',
    gamma: 'unitWeight',
  },
  expression: '(A_t * L_t + A_b * L_b + A_w * L_w) * gamma / L_t',
  evaluate: ({ A_t, L_t, A_b, L_b, A_w, L_w, gamma }) => ((A_t * L_t + A_b * L_b + A_w * L_w) * gamma) / L_t,
})

/** An own weight per length, as often as the project counts it. */
export const factoredLine = formula({
  symbol: 'g',
  quantity: 'lineLoad',
  clause: 'factor on self-weight, set in the project',
  inputs: { f: 'factor', g_0: 'lineLoad' },
  expression: 'f * g_0',
  evaluate: ({ f, g_0 }) => f * g_0,
})

/** An own weight per area, as often as the project counts it. */
export const factoredArea = formula({
  symbol: 'g',
  quantity: 'pressure',
  clause: 'factor on self-weight, set in the project',
  inputs: { f: 'factor', g_0: 'pressure' },
  expression: 'f * g_0',
  evaluate: ({ f, g_0 }) => f * g_0,
})

/** An own weight, N/m or Pa, with the project's factor where that is not 1. */
export function timesFactor(weight: Traced<'lineLoad'> | Traced<'pressure'>, factor: number): Traced {
  if (factor === 1) return weight
  const f = given('f', 'factor', factor, 'of the project')
  return weight.quantity === 'lineLoad'
    ? factoredLine({ f, g_0: { ...weight, quantity: 'lineLoad' } })
    : factoredArea({ f, g_0: { ...weight, quantity: 'pressure' } })
}

/** What lies in a slope, per area in plan. */
export const loadOnPlan = formula({
  symbol: 'g',
  quantity: 'pressure',
  clause: 'true area of a slope over its area in plan',
  inputs: { g_s: 'pressure', alpha: 'angle' },
  expression: 'g_s / cos(alpha)',
  evaluate: ({ g_s, alpha }) => g_s / Math.cos(alpha),
})

/** A slope's own area over what it covers in plan. */
export const slopeArea = formula({
  symbol: 'A',
  quantity: 'area',
  clause: 'true area of a slope over its area in plan',
  inputs: { A_plan: 'area', alpha: 'angle' },
  expression: 'A_plan / cos(alpha)',
  evaluate: ({ A_plan, alpha }) => A_plan / Math.cos(alpha),
})

/** What a value is of, with the table that it was taken from. */
export const withSource = ({ name, source }: { readonly name: string; readonly source: string }): string =>
  source === '' ? name : `${name}, ${source}`

/** Self-weight of a slab per area. */
export const slabWeight = (thickness: number, material: Material): Traced<'pressure'> =>
  layerWeight({
    t: given('t', 'smallLength', thickness, 'slab'),
    gamma: given('γ', 'unitWeight', material.unitWeight, withSource(material)),
  })

/** A layer weighs its thickness × unit weight, or what was typed for it. */
export function buildUpWeight(buildUp: Pick<BuildUp, 'layers'> | undefined): Traced<'pressure'> {
  const terms = (buildUp?.layers ?? []).map(({ name, thickness, unitWeight, load, source }): TracedTerm => {
    if (load !== null) return { label: `${name}, entered`, value: load }
    if (thickness === null || unitWeight === null) return { label: `${name}, no weight given`, value: 0 }
    const traced = layerWeight({
      t: given('t', 'smallLength', thickness, name),
      gamma: given('γ', 'unitWeight', unitWeight, name),
    })
    const factors: TracedTerm['factors'] = [
      { value: thickness, quantity: 'smallLength' },
      { value: unitWeight, quantity: 'unitWeight' },
    ]
    return { label: withSource({ name, source }), value: traced.value, factors }
  })
  return tracedSum('g', 'pressure', 'EN 1991-1-1 5.2.1(1), sum of the layers', terms)
}
