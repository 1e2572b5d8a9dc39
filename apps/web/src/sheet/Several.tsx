import { recordIdOf, type Drawn } from '@hedrion/core'
import { Fragment } from 'react'
import styled from 'styled-components'
import { lookNow, useLook } from '../state/look'
import { Button } from '../ui/Button'

interface SeveralProps<R extends Drawn> {
  readonly records: readonly R[]
  readonly textOf: (record: R) => string
}

/** Where the picked records differ: each value with its count; pressing one keeps those alone picked. */
export function Several<R extends Drawn>({ records, textOf }: SeveralProps<R>) {
  const [, change] = useLook()
  const byText = new Map<string, Set<string>>()
  for (const record of records) {
    const text = textOf(record)
    byText.set(text, (byText.get(text) ?? new Set()).add(record.id))
  }
  if (byText.size < 2) return null
  const keep = (ids: ReadonlySet<string>) =>
    change({ picked: lookNow().picked.filter((picked) => ids.has(recordIdOf(picked))) })
  const rows = [...byText].sort(([a, as], [b, bs]) => bs.size - as.size || a.localeCompare(b, 'en', { numeric: true }))
  return (
    <Counts>
      {rows.map(([text, ids], i) => (
        <Fragment key={text}>
          {i > 0 && ', '}
          <Button kind="link" aria-label={`Select only the ${ids.size} with ${text}`} onPress={() => keep(ids)}>
            {text} × {ids.size}
          </Button>
        </Fragment>
      ))}
    </Counts>
  )
}

const Counts = styled.div`
  font: 400 14px/1.45 var(--sans);
`
