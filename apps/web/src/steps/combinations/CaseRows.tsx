import { useWords } from '../../compute/useWords'
import { useCited } from '../../compute/useCited'
import { formatQuantity, type ActionView, type Overview } from '@hedrion/core'
import { Button } from 'react-aria-components'
import styled from 'styled-components'
import { useAnswer, useFormat } from '../../compute/SessionContext'
import { markOf } from '../../drawing/marks'
import { useLook } from '../../state/look'
import { Swatch } from '../../ui/Swatch'
import { CasePicture } from './CasePicture'
import { shortName } from './shortName'

const acting = { together: 'together', oneAtATime: 'one at a time' } as const

/** Storey forces of different ways have no sum. */
const isPush = (action: string): boolean => action === 'wind' || action === 'lateral'

/** Actions one under another, each with the pictures of its cases and how they act. */
export function CaseRows({ overview }: { readonly overview: Overview }) {
  if (overview.actions.length === 0) return <Page>No loads yet, so nothing to combine.</Page>
  return (
    <Page>
      {overview.actions.map((action) => (
        <ActionRow key={action.id} action={action} />
      ))}
      <Excluded overview={overview} />
    </Page>
  )
}

function ActionRow({ action }: { readonly action: ActionView }) {
  const inWords = useWords()
  const format = useFormat()
  const cited = useCited()
  const view = useAnswer({ kind: 'elevation', axis: 'x', caseId: '' })
  const [look, change] = useLook()
  const total = action.cases.reduce((sum, { balance }) => sum + (isPush(action.id) ? 0 : balance.applied), 0)
  return (
    <Row>
      <div>
        <strong>
          <Swatch $mark={markOf(action.cases[0]?.id ?? '')} aria-hidden /> {action.name}
        </strong>
        <small>{isPush(action.id) ? inWords('storey forces') : formatQuantity(total, 'force', format)}</small>
        <small>{cited(action.clause)}</small>
      </div>
      <Cases>
        <ul>
          {action.cases.map((loadCase) => (
            <li key={loadCase.id}>
              <Picture
                onPress={() => change({ case: loadCase.id })}
                data-chosen={look.case === loadCase.id || undefined}
              >
                <CasePicture view={view} loadCase={loadCase} />
                <span>{shortName(loadCase, action)}</span>
              </Picture>
            </li>
          ))}
        </ul>
        {action.cases.length > 1 && (
          <Bracket>
            <span>{acting[action.rule]}</span>
          </Bracket>
        )}
      </Cases>
    </Row>
  )
}

/** Actions that never act at the same time, with the clause that says so. */
function Excluded({ overview: { actions, exclusions } }: { readonly overview: Overview }) {
  const named = (id: string) => actions.find((action) => action.id === id)?.name
  return exclusions.map(({ actions: [a, b], clause }) => {
    const [first, second] = [named(a), named(b)]
    return (
      first &&
      second && (
        <Never key={`${a} ${b}`}>
          {first} is not combined with {second.toLowerCase()} ({clause}).
        </Never>
      )
    )
  })
}

const Page = styled.div`
  flex: 1;
  overflow: auto;
  padding: 10px 18px 24px;
  container-type: inline-size;
`
const Row = styled.section`
  display: grid;
  grid-template-columns: 118px 1fr;
  gap: 12px;
  padding: 10px 0;
  border-bottom: 1px solid var(--hairline);
  /* beside a table: the names alone */
  @container (max-width: 260px) {
    grid-template-columns: 1fr;
    svg {
      display: none;
    }
  }
  small {
    display: block;
    color: var(--quiet);
    font-size: 13px;
    line-height: 1.3;
  }
`
const Cases = styled.div`
  width: fit-content;
  ul {
    list-style: none;
    margin: 0;
    padding: 0;
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
  }
`
const Picture = styled(Button)`
  width: 104px;
  background: var(--raised);
  border: 1px solid var(--border);
  border-radius: 4px;
  padding: 4px;
  font: 400 12.5px/1.25 var(--sans);
  color: var(--ink);
  cursor: pointer;
  span {
    display: block;
  }
  svg + span {
    min-height: 31px;
  }
  @container (max-width: 260px) {
    svg + span {
      min-height: 0;
    }
  }
  &[data-hovered],
  &[data-chosen] {
    border-color: var(--accent);
    box-shadow: inset 0 0 0 1px var(--accent);
  }
`
const Bracket = styled.div`
  margin-top: 5px;
  border: 1.5px solid var(--accent);
  border-top: 0;
  height: 8px;
  text-align: center;
  color: var(--accent);
  font-weight: 600;
  font-size: 14px;
  margin-bottom: 12px;
  span {
    position: relative;
    top: -4px;
    padding: 0 8px;
    background: var(--film);
  }
`
const Never = styled.p`
  padding: 10px 0;
`
