import { isRoofCase } from '../actions/cases'
import type { KeyLoads } from '../actions/keyLoads'
import type { FamilyId } from '../standards/family'

type Reasons = readonly [reduced: string, whole: string]

const reasons: Readonly<Record<FamilyId, Reasons>> = {
  EN: [
    'reducible by area or storeys: EN 1991-1-1 6.3.1.2(10), (11)',
    'not reduced: EN 1991-1-1 6.3.1.2(10), (11) are for homes, offices, assembly and shops',
  ],
  ASCE: ['reducible by area: ASCE 7 4.7.2', 'not reduced: ASCE 7 4.7.3 to 4.7.5'],
  IS: [
    'reducible by storeys in columns, by area in beams: IS 875-2 3.2',
    'not reduced: IS 875-2 3.2.1 excludes storage, plant and garages',
  ],
  BS: [
    'reducible by storeys or area: BS 6399-1 6.2, 6.3',
    'not reduced: BS 6399-1 6.1 excludes storage, plant, garages and light factories',
  ],
}

/**
 * Why the imposed load of a key may be reduced, or why not; null where it has none. Partitions never are.
 * @param ownTable - name of the table that stands in place of the standard's factors
 */
export function reductionReason(family: FamilyId, loads: KeyLoads, ownTable: string | null = null): string | null {
  const { key, cases, imposed, reducible, kept } = loads
  if (!cases || !imposed) return null
  if (key.reducible === 'never') return 'not reduced, as entered'
  const onRoof = isRoofCase(cases.imposed)
  const clause = kept?.basis.kind === 'parameter' && ownTable === null ? kept.basis.clause : null
  const keeps = clause === null ? '' : `, not below the minimum for heavy floors: ${clause}`
  if (reducible) return `${howReduced(family, cases.group, onRoof, ownTable)}${keeps}`
  return onRoof ? null : reasons[family][1]
}

function howReduced(family: FamilyId, group: string, onRoof: boolean, ownTable: string | null): string {
  if (ownTable !== null && !onRoof) return `reducible by the project table “${ownTable}”`
  if (family === 'ASCE' && onRoof) return 'reducible by area: ASCE 7 4.8'
  if (family === 'ASCE' && group === 'Lp')
    return 'reduced by at most 20 %, below two floors or more: ASCE 7 4.7.3, 4.7.4'
  return reasons[family][0]
}
