import { Button, Header, ListBox, ListBoxItem, ListBoxSection, Select, type Key } from 'react-aria-components'
import styled from 'styled-components'
import { useAnswer } from '../compute/SessionContext'
import { markOf } from '../drawing/marks'
import { useCaseInView } from '../drawing/useCaseInView'
import { useLook } from '../state/look'
import { PopCard } from '../ui/PopCard'
import { withoutAction } from './caseWords'
import { Swatch } from '../ui/Swatch'

/** What is looked at: the action and its case. */
export function CasePicker() {
  const overview = useAnswer({ kind: 'overview' })
  const [, change] = useLook()
  const inView = useCaseInView()
  if (!overview || !inView) return <span />
  const { action, loadCase } = inView
  const choose = (key: Key | null) => key !== null && change({ case: String(key) })
  return (
    <Select aria-label="Load case shown" selectedKey={loadCase.id} onSelectionChange={choose}>
      <Box style={{ borderBottomColor: `var(--${markOf(loadCase.id)})` }}>
        <Swatch $mark={markOf(loadCase.id)} aria-hidden />
        <strong>{action.name}</strong>
        <span>▸ {withoutAction(loadCase.name, action.name)}</span>
      </Box>
      <Card>
        <List items={overview.actions}>
          {(entry) => (
            <ListBoxSection id={`action ${entry.id}`}>
              <Title>
                {entry.name} <small>{actingWords[entry.rule]}</small>
              </Title>
              {entry.cases.map(({ id, name }) => (
                <Item key={id} id={id} textValue={name}>
                  <Swatch $mark={markOf(id)} aria-hidden /> {name}
                </Item>
              ))}
            </ListBoxSection>
          )}
        </List>
      </Card>
    </Select>
  )
}

const actingWords = { together: 'acting together', oneAtATime: 'one at a time' } as const

const Box = styled(Button)`
  display: flex;
  align-items: center;
  gap: 8px;
  background: none;
  border: 0;
  border-bottom: 2px solid var(--imposed);
  padding: 6px 2px;
  font: inherit;
  color: var(--ink);
  cursor: pointer;
`
const Card = styled(PopCard)`
  max-height: 70vh;
  min-width: 280px;
`
const List = styled(ListBox<{ readonly id: string }>)`
  outline: none;
  padding: 6px 0;
` as unknown as typeof ListBox
const Title = styled(Header)`
  padding: 8px 14px 2px;
  font-weight: 600;
  color: var(--accent);
  small {
    font-weight: 400;
    color: var(--quiet);
  }
`
const Item = styled(ListBoxItem)`
  padding: 4px 14px 4px 22px;
  cursor: pointer;
  outline: none;
  &[data-focused],
  &[data-hovered] {
    background: var(--accent-soft);
  }
  &[data-selected] {
    font-weight: 600;
  }
`
