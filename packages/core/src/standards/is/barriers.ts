import { barrierValues } from '../barriers'
import { isUseRows } from './uses'

const clause = 'IS 875-2 table 3'
const ids = isUseRows.map(({ id }) => id)
const dwellings = ids.filter((id) => id.startsWith('dwelling-'))
/** Places of assembly and schools, likely to be crowded. */
const crowded = ids.filter((id) =>
  /^(assembly-(fixed|open|restaurants|stages|corridors)|education-(class|corr))/.test(id),
)

/** IS 875 (Part 2), table 3, in kN/m at the handrail; light access stairs and gangways (0.25) are for the person to type. */
export const isBarriers = barrierValues(
  [
    { value: 0.35, clause, uses: dwellings },
    { value: 2.25, clause, uses: crowded },
    { value: 0.75, clause, uses: ids.filter((id) => !dwellings.includes(id) && !crowded.includes(id)) },
  ],
  1000,
)
