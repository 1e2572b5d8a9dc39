import { familyOf } from '@hedrion/core'
import { useRecords } from './SessionContext'

/** Clauses of the family as the set in use numbers them. */
export function useCited(): (clause: string) => string {
  const [basis] = useRecords('basis')
  const layers = useRecords('layer').filter(({ family }) => family === basis?.family)
  const cited = basis && familyOf(basis.family).cited
  return (clause) =>
    cited
      ? cited(
          layers.map(({ name }) => name),
          clause,
        )
      : clause
}
