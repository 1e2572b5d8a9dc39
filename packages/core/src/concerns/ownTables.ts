import { largest } from '../outcome/lists'
import type { ProjectState } from '../derivation/project'
import { recordsOf } from '../document/document'
import type { ReductionTable } from '../document/recordKinds'
import type { Concern } from '../outcome/outcome'

/** A step between rows that is so many times any other is asked about: 100 typed for 1000. */
const jump = 5

/** Rows of the project's own tables of reduction that are out of order, whose factor grows, or that leap. */
export const doubtfulTables = ({ document }: ProjectState): readonly Concern[] =>
  recordsOf(document, 'reductionTable').flatMap(doubtsOf)

/** What is doubtful of a table, row by row (counted from 1). */
export function doubtsOf(table: ReductionTable): readonly Concern[] {
  const { rows, id, name, form: by } = table
  const steps = rows.slice(1).map(({ from }, i) => from - (rows[i]?.from ?? from))
  return rows.slice(1).flatMap((row, i): readonly Concern[] => {
    const before = rows[i]
    if (!before) return []
    const found = (code: Concern['code'], data: Concern['data'] = {}): Concern => ({
      code,
      about: [id],
      data: { table: name, row: i + 2, by, from: row.from, before: before.from, ...data },
    })
    // by area two rows may say where a step is
    const isStep = table.form === 'area' && row.from === before.from && rows[i - 1]?.from !== row.from
    if (row.from <= before.from && !isStep) return [found('table.rows-out-of-order')]
    const others = Math.max(largest(steps.filter((_, k) => k !== i)), 0)
    return [
      ...(row.factor > before.factor
        ? [found('table.factor-grows', { factor: row.factor, factorBefore: before.factor })]
        : []),
      ...(others > 0 && (steps[i] ?? 0) > jump * others
        ? [found('table.row-leaps', { step: steps[i] ?? 0, others })]
        : []),
    ]
  })
}
