import type { BuildUp, WallRun } from '../document/recordKinds'
import { formula } from '../trace/formula'
import { given, tracedSum, type Traced } from '../trace/traced'
import { buildUpWeight } from './ownWeight'

/** Which depth is taken off the storey height, said explicitly by the rule. */
export const netHeight = formula({
  symbol: 'h_net',
  quantity: 'length',
  clause: 'common practice',
  inputs: { h_storey: 'length', h_beam: 'length', h_slab: 'length' },
  expression: 'max(h_storey - h_beam - h_slab, 0)',
  evaluate: ({ h_storey, h_beam, h_slab }) => Math.max(h_storey - h_beam - h_slab, 0),
})

export const wallLineLoad = formula({
  symbol: 'g_line',
  quantity: 'lineLoad',
  clause: 'EN 1991-1-1 5.2.1(1)',
  inputs: { g_wall: 'pressure', h_net: 'length', o: 'factor' },
  expression: 'g_wall * h_net * (1 - o)',
  evaluate: ({ g_wall, h_net, o }) => g_wall * h_net * (1 - o),
})

/** The same with openings by their area over the whole run, taken off evenly along it. */
export const wallLineLoadLess = formula({
  symbol: 'g_line',
  quantity: 'lineLoad',
  clause: 'EN 1991-1-1 5.2.1(1)',
  inputs: { g_wall: 'pressure', h_net: 'length', A_o: 'area', l: 'length' },
  expression: 'g_wall * max(h_net - A_o / l, 0)',
  evaluate: ({ g_wall, h_net, A_o, l }) => g_wall * Math.max(h_net - A_o / l, 0),
})

/** Area of the openings of a run, size by size. */
export const openingsArea = (sizes: WallRun['openingSizes']): Traced<'area'> =>
  tracedSum(
    'A_o',
    'area',
    'openings by their sizes',
    sizes.map(({ count, width, height }) => ({
      label: `${count} ${count === 1 ? 'opening' : 'openings'}`,
      value: count * width * height,
      factors: [
        { value: count, quantity: 'count' },
        { value: width, quantity: 'length' },
        { value: height, quantity: 'length' },
      ],
    })),
  )

/** Weight per area of wall face: the sum of its layers, else what was typed. */
export const wallWeight = (
  { weight, label }: Pick<WallRun, 'weight' | 'label'>,
  buildUp?: BuildUp,
): Traced<'pressure'> => (buildUp ? buildUpWeight(buildUp) : given('g_wall', 'pressure', weight, `wall run ${label}`))

/** What is above a stretch of wall: storey height to the next carrying level, and the depths found there (null: nothing). */
export interface WallHead {
  readonly storeyHeight: number | null
  readonly beamDepth: number | null
  readonly slabDepth: number | null
}

/**
 * The line load of a wall run under a given head, or null where no height follows (a wall on the top level).
 * @param buildUp - the layers that it is made of, where it is
 * @param length - of the whole run, m, for openings by their sizes
 */
export function wallLoad(
  run: Pick<WallRun, 'weight' | 'heightRule' | 'height' | 'openingShare' | 'openingSizes' | 'label'>,
  head: WallHead,
  buildUp: BuildUp | undefined,
  length: number,
): Traced | null {
  const height = wallHeight(run, head)
  if (!height) return null
  if (run.openingSizes.length > 0)
    return wallLineLoadLess({
      g_wall: wallWeight(run, buildUp),
      h_net: height,
      A_o: openingsArea(run.openingSizes),
      l: given('l', 'length', length, `length of ${run.label}`),
    })
  return wallLineLoad({
    g_wall: wallWeight(run, buildUp),
    h_net: height,
    o: given('o', 'factor', run.openingShare, `openings in ${run.label}`),
  })
}

/** Whether a rule for the net height takes off the depth of the beam or of the slab above. */
export const takesOff = (rule: WallRun['heightRule'], what: 'beam' | 'slab'): boolean =>
  rule === 'lessBoth' || rule === (what === 'beam' ? 'lessBeam' : 'lessSlab')

/** The net height of a wall run under a given head by its rule, or null where none follows. */
export function wallHeight(
  run: Pick<WallRun, 'heightRule' | 'height' | 'label'>,
  head: WallHead,
): Traced<'length'> | null {
  if (run.heightRule === 'typed') return given('h_net', 'length', run.height ?? 0, `entered for ${run.label}`)
  if (head.storeyHeight === null) return null
  const takesBeam = takesOff(run.heightRule, 'beam')
  const takesSlab = takesOff(run.heightRule, 'slab')
  return netHeight({
    h_storey: given('h_storey', 'length', head.storeyHeight, 'storey height'),
    h_beam: given('h_beam', 'length', takesBeam ? (head.beamDepth ?? 0) : 0, takesBeam ? 'beam above' : 'not deducted'),
    h_slab: given('h_slab', 'length', takesSlab ? (head.slabDepth ?? 0) : 0, takesSlab ? 'slab above' : 'not deducted'),
  })
}
