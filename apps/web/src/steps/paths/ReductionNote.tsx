import { useRecords } from '../../compute/SessionContext'
import { Note } from '../../sheet/Sheet'

const words = {
  nowhere: 'Combinations use it unreduced.',
  withoutPsi: 'Combinations use it reduced where no ψ applies.',
  lower: 'Combinations use the lower of reduced and ψ-factored load.',
  everywhere: 'Combinations use it reduced; where ψ applies, by area only.',
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
