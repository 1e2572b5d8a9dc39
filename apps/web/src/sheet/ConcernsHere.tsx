import { recordIdOf, type WordedConcern } from '@hedrion/core'
import { memo } from 'react'
import styled from 'styled-components'
import { useAnswer } from '../compute/SessionContext'
import { Mends } from './Mends'
import { Warm } from './Sheet'

interface ConcernsHereProps {
  /** Records at this place, their ids joined by commas: one text, so that the place is drawn anew only for others. */
  readonly ids?: string
  /** What their codes begin with. */
  readonly codes?: string
}

/** The concerns that arise at this place of the sheet, each with what can be done about it. */
export const ConcernsHere = memo(function ConcernsHere({ ids = '', codes = '' }: ConcernsHereProps) {
  const concerns = useAnswer({ kind: 'overview' })?.concerns ?? []
  const here = new Set(ids.split(',').filter(Boolean))
  const arises = ({ about, code }: WordedConcern) =>
    code.startsWith(codes) && (here.size === 0 || about.some((id) => here.has(recordIdOf(id))))
  if (codes === '' && here.size === 0) return null
  return concerns.filter(arises).map((concern) => (
    <Warm key={`${concern.code} ${concern.about.join()} ${concern.sentence}`}>
      {concern.sentence}
      <Tools>
        <Mends concern={concern} />
      </Tools>
    </Warm>
  ))
})

const Tools = styled.span`
  display: flex;
  flex-wrap: wrap;
  gap: 0 16px;
  &:empty {
    display: none;
  }
`
