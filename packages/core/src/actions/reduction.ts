import { own } from '../outcome/own'
import type { ReductionTable } from '../document/recordKinds'
import { parameterIf, parameterOf, type Standard } from '../standards/layer'
import { formula } from '../trace/formula'
import { readTable } from '../trace/readTable'
import { given, type Traced } from '../trace/traced'
import { liveReductionOf, type LiveSupported } from './liveReduction'
import { ownReduction } from './ownReduction'

/** For the area that a member supports. */
export const areaReduction = formula({
  symbol: 'alpha_A',
  quantity: 'factor',
  clause: 'EN 1991-1-1 6.3.1.2(10), (6.1)',
  inputs: { psi_0: 'factor', A_0: 'area', A: 'area', alpha_min: 'factor' },
  expression: 'max(min(5 / 7 * psi_0 + A_0 / A, 1), alpha_min)',
  evaluate: ({ psi_0, A_0, A, alpha_min }) => Math.max(Math.min((5 / 7) * psi_0 + A_0 / A, 1), alpha_min),
})

/** For the storeys that a column or wall supports; one or two of them are not reduced. */
export const storeyReduction = formula({
  symbol: 'alpha_n',
  quantity: 'factor',
  clause: 'EN 1991-1-1 6.3.1.2(11), (6.2)',
  inputs: { n: 'count', psi_0: 'factor' },
  expression: '(2 + (max(n, 2) - 2) * psi_0) / max(n, 2)',
  evaluate: ({ n, psi_0 }) => (2 + (Math.max(n, 2) - 2) * psi_0) / Math.max(n, 2),
})

/** The same of the German annex, with a constant in place of 5/7 psi_0. */
export const areaReductionGermany = formula({
  symbol: 'alpha_A',
  quantity: 'factor',
  clause: 'DIN EN 1991-1-1/NA, NDP 6.3.1.2(10)',
  inputs: { a: 'factor', A_0: 'area', A: 'area' },
  expression: 'min(a + A_0 / A, 1)',
  evaluate: ({ a, A_0, A }) => Math.min(a + A_0 / A, 1),
})

export const storeyReductionGermany = formula({
  symbol: 'alpha_n',
  quantity: 'factor',
  clause: 'DIN EN 1991-1-1/NA, NDP 6.3.1.2(11)',
  inputs: { a: 'factor', b: 'factor', n: 'count' },
  expression: 'a + b / max(n, 2)',
  evaluate: ({ a, b, n }) => a + b / Math.max(n, 2),
})

/** What a table spares is taken off. */
export const whatIsLeft = formula({
  symbol: 'alpha',
  quantity: 'factor',
  clause: 'common practice',
  inputs: { r: 'factor' },
  expression: '1 - r',
  evaluate: ({ r }) => 1 - r,
})

function leftBy(standard: Standard, key: string, at: Traced): Traced<'factor'> | null {
  const table = own(standard.tables, key)
  const read = table && readTable(table, 'spared', at)
  return read?.ok ? whatIsLeft({ r: read.value as Traced<'factor'> }) : null
}

function byOwnTable({ by, area, storeys }: Supported, table: ReductionTable): Reductions | null {
  const n = given('n', 'count', storeys, 'levels above with such load')
  const factor = ownReduction(table, { by, area, storeys: n })
  if (factor === null) return null
  return table.form === 'area' || by === 'beam'
    ? { byArea: factor, byStoreys: null }
    : { byArea: null, byStoreys: factor }
}

/** Imposed load that may be reduced, with what heavy floors bring of it and what of that stays, N. */
export interface ReducibleLoad {
  readonly load: number
  readonly heavy: number
  readonly kept: number
}

/** What a factor takes off, N: of heavy floors no more than leaves what they keep; with what they keep, 0 where the factor leaves more. */
export function sparedOf({ load, heavy, kept }: ReducibleLoad, factor: number) {
  const [byFactor, most] = [(1 - factor) * heavy, heavy - kept]
  return {
    spared: (1 - factor) * (load - heavy) + Math.max(0, Math.min(byFactor, most)),
    kept: byFactor > most ? kept : 0,
  }
}

/** What a beam or one length of a column supports of one group of uses. */
export interface Supported extends LiveSupported {
  readonly by: 'beam' | 'column'
}

/** By area and by storeys; null where the standard reduces columns in one of both ways only. */
export interface Reductions {
  readonly byArea: Traced<'factor'> | null
  readonly byStoreys: Traced<'factor'> | null
}

const whatCounts = (method: string | undefined): string =>
  method === 'tablesAllFloors'
    ? 'floors carried by the column, including the roof'
    : 'levels above with load of the category'

/**
 * The two factors on the imposed load of a group; of them one may be used, and not beside psi (EN 1991-1-1 3.3.2). Null where the
 * standard has no rule that is there. An own table of the project goes before the standard, but for roofs.
 */
export function reductionsOf(
  supported: Supported,
  standard: Standard,
  own: ReductionTable | null = null,
): Reductions | null {
  const { by, area, storeys, onRoof } = supported
  if (own && !onRoof) return byOwnTable(supported, own)
  const method = standard.methods['imposed.reduction']
  if (method === 'rootOfArea') return { byArea: liveReductionOf(supported, standard), byStoreys: null }
  // the others have no rule for roofs
  if (onRoof) return null
  const n = given('n', 'count', storeys, whatCounts(method))
  if (method === 'alpha' || method === 'alphaGermany')
    return byMember(supported, standard, alphas(supported, standard, n))
  switch (method) {
    case 'tables':
    case 'tablesAllFloors':
      return {
        byArea: leftBy(standard, by === 'beam' ? 'reduction.beams' : 'reduction.area', area),
        byStoreys: leftBy(standard, 'reduction.storeys', n),
      }
    default:
      return null
  }
}

/** Categories whose load of several storeys may be reduced (EN 1991-1-1 6.2.2(2), 6.3.1.2(11)). */
const byStoreysToo: readonly string[] = ['A', 'B', 'C', 'D']

/**
 * alpha_A is for floors, beams and roofs (6.2.1(4), 6.3.1.2(10)), alpha_n for columns and walls (6.2.2(2), 6.3.1.2(11)); a national
 * set may let columns take alpha_A as well.
 */
function byMember({ by, group }: Supported, { methods }: Standard, { byArea, byStoreys }: Reductions): Reductions {
  if (by === 'beam') return { byArea, byStoreys: null }
  return {
    byArea: methods['imposed.columns'] === 'byAreaToo' ? byArea : null,
    byStoreys: byStoreysToo.includes(group) ? byStoreys : null,
  }
}

function alphas(supported: Supported, standard: Standard, n: Traced<'count'>): Reductions {
  if (standard.methods['imposed.reduction'] === 'alphaGermany') return germanReductions(supported, standard, n)
  const { group, area } = supported
  const psi_0 = parameterOf(standard, `basis.psi_0.${group}`, 'factor')
  const least = parameterIf(standard, `reduction.least.${group}`)
  const alpha_min = least
    ? parameterOf(standard, `reduction.least.${group}`, 'factor')
    : given('alpha_min', 'factor', 0, 'no minimum value for the category')
  const A_0 = parameterOf(standard, 'reduction.A_0', 'area')
  return { byArea: areaReduction({ psi_0, A_0, A: area, alpha_min }), byStoreys: storeyReduction({ n, psi_0 }) }
}

function germanReductions({ group, area }: Supported, standard: Standard, n: Traced<'count'>): Reductions {
  const clause = 'DIN EN 1991-1-1/NA, from memory'
  // homes and offices; then all others
  const a = given('a', 'factor', ['A', 'B'].includes(group) ? 0.5 : 0.7, clause)
  return {
    byArea: areaReductionGermany({ a, A_0: parameterOf(standard, 'reduction.A_0', 'area'), A: area }),
    byStoreys: storeyReductionGermany({
      a: given('a', 'factor', 0.7, clause),
      b: given('b', 'factor', 0.6, clause),
      n,
    }),
  }
}
