import { formatQuantity, sourceSays, type Answer, type Query } from '@hedrion/core'
import styled from 'styled-components'
import { useAnswer, useFormat } from '../../compute/SessionContext'
import { useWords } from '../../compute/useWords'
import { LevelsDrawn } from './LevelsDrawn'
import { PartsDrawn } from './PartsDrawn'
import { StandardTable } from './StandardTable'

/** Where a parameter comes from: what it does to this building as a picture, and its table with its row marked. */
export function Source({ parameter }: { readonly parameter: string }) {
  const source = useAnswer({ kind: 'source', key: parameter })
  const format = useFormat()
  if (!source) return null
  const {
    recommended,
    quantity,
    limits: [least, greatest],
  } = source
  return (
    <>
      <Said>
        {recommended !== null && `recommended ${formatQuantity(recommended, quantity, format)}; `}
        {`may be ${formatQuantity(least, quantity, format)} to ${formatQuantity(greatest, quantity, format)}`}
      </Said>
      <Picture picture={source.picture} />
      <StandardTable table={source.table} taken={source.taken} />
    </>
  )
}

type Found = NonNullable<Answer<Extract<Query, { kind: 'source' }>>>

function Picture({ picture }: Pick<Found, 'picture'>) {
  const inWords = useWords()
  if (!picture) return null
  const says = inWords(sourceSays[picture.says])
  const none = picture.kind === 'parts' ? picture.parts.length === 0 : picture.levels.every(({ value }) => value === 0)
  if (none) return <Said>Not used in this project.</Said>
  return (
    <>
      <Said>{says}</Said>
      {picture.kind === 'parts' ? (
        <Scrolling tabIndex={0} role="region" aria-label={says}>
          <PartsDrawn picture={picture} says={says} />
        </Scrolling>
      ) : (
        <LevelsDrawn picture={picture} says={says} />
      )}
    </>
  )
}

/** There may be many cases. */
const Scrolling = styled.div`
  max-height: 152px;
  overflow: auto;
`
const Said = styled.p`
  margin: 6px 0 0;
  font: 400 13px var(--sans);
  color: var(--quiet);
`
