import { useRecords } from '../../compute/SessionContext'
import { Note } from '../../sheet/Sheet'

const words = {
  nowhere: 'Combinations take it whole.',
  withoutPsi: 'Combinations take it reduced where no ψ lowers it.',
  lower: 'Combinations take it reduced, or lowered by ψ: the lower of both.',
  everywhere: 'Combinations take it reduced; where ψ lowers it, for area alone.',
} as const

/** What combinations make of the reduction, as chosen there. */
export function ReductionNote({ before = '' }: { readonly before?: string }) {
  const [basis] = useRecords('basis')
  return (
    <Note>
      {before}
      {words[basis?.reductions ?? 'nowhere']}
    </Note>
  )
}
