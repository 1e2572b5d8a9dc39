import { formatValue } from '@hedrion/core'
import { useFormat, useRecords } from '../compute/SessionContext'

/** How often self-weight counts in the project: what is drawn times this is its load. */
export const useSelfWeightFactor = (): number => useRecords('basis')[0]?.selfWeightFactor ?? 1

/** The factor in the working of an own weight; once needs no words. */
export function TimesFactor() {
  const factor = useSelfWeightFactor()
  const format = useFormat()
  return factor === 1 ? null : <> · {formatValue(factor, 'factor', format)}</>
}
