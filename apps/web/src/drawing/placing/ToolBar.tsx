import { tools, type Tool } from '@hedrion/core'
import { ToggleButton, ToggleButtonGroup, type Key } from 'react-aria-components'
import styled from 'styled-components'
import { Choice } from '../../ui/Choice'
import { takeTool, useTool } from './toolStore'

/** What can be drawn here. The chosen one stays until it is put away. */
export function ToolBar({
  offered,
  more = [],
}: {
  readonly offered: readonly Tool[]
  readonly more?: readonly Tool[]
}) {
  const tool = useTool((state) => state.tool)
  const choose = (keys: Set<Key>) => takeTool(offered.find((entry) => keys.has(entry)) ?? null)
  const row = (
    <Group aria-label="Draw" selectionMode="single" selectedKeys={tool ? [tool] : []} onSelectionChange={choose}>
      <span>Draw</span>
      {offered.map((entry) => (
        <Item key={entry} id={entry}>
          {tools[entry].name}
        </Item>
      ))}
    </Group>
  )
  if (more.length === 0) return row
  return (
    <>
      {row}
      <Choice
        label="Draw more object types"
        value={more.find((entry) => entry === tool) ?? null}
        placeholder="more …"
        options={more.map((entry) => [entry, tools[entry].name])}
        onChange={takeTool}
      />
    </>
  )
}

const Group = styled(ToggleButtonGroup)`
  display: flex;
  align-items: baseline;
  gap: 4px;
  color: var(--quiet);
  > span {
    margin-right: 4px;
  }
`
const Item = styled(ToggleButton)`
  background: none;
  border: 1px solid var(--border);
  border-radius: 3px;
  padding: 1px 8px;
  font: inherit;
  font-size: 14px;
  color: var(--ink);
  cursor: pointer;
  &[data-hovered] {
    border-color: var(--accent);
  }
  &[data-selected] {
    background: var(--accent);
    border-color: var(--accent);
    color: var(--on-accent);
  }
`
