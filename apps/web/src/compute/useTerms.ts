import { termsOf, type Terms } from '@hedrion/core'
import { useRecords } from './SessionContext'

/** What the family in use calls its actions. */
export function useTerms(): Terms {
  const [basis] = useRecords('basis')
  return termsOf(basis?.family ?? 'EN')
}
