import { ToggleButton, ToggleButtonGroup, type Key } from 'react-aria-components'
import styled from 'styled-components'

interface SegmentedProps<T extends string> {
  readonly label: string
  readonly value: T
  readonly options: readonly (readonly [value: T, text: string])[]
  readonly onChange: (value: T) => void
}

/** One of a few ways to look at something; the chosen one is underlined. */
export function Segmented<T extends string>({ label, value, options, onChange }: SegmentedProps<T>) {
  const choose = (keys: Set<Key>) => {
    const found = options.find(([option]) => keys.has(option))
    if (found) onChange(found[0])
  }
  return (
    <Group
      aria-label={label}
      selectionMode="single"
      disallowEmptySelection
      selectedKeys={[value]}
      onSelectionChange={choose}
    >
      {options.map(([option, text]) => (
        <ToggleWord key={option} id={option}>
          {text}
        </ToggleWord>
      ))}
    </Group>
  )
}

const Group = styled(ToggleButtonGroup)`
  display: flex;
  gap: 14px;
`
/** A word that is on or off; on, it is underlined. */
export const ToggleWord = styled(ToggleButton)`
  background: none;
  border: 0;
  border-bottom: 2px solid transparent;
  padding: 2px 0;
  font: inherit;
  color: var(--quiet);
  cursor: pointer;
  &[data-hovered] {
    color: var(--ink);
  }
  &[data-selected] {
    color: var(--ink);
    font-weight: 600;
    border-bottom-color: var(--accent);
  }
`
