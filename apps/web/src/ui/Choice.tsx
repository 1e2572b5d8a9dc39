import { memo, useCallback, useLayoutEffect, useMemo, useRef } from 'react'
import { Button, ListBox, ListBoxItem, Select, SelectValue, type Key } from 'react-aria-components'
import styled from 'styled-components'
import { fieldLook } from './FieldBox'
import { PopCard } from './PopCard'

export interface ChoiceProps<T extends string> {
  readonly label: string
  readonly value: T | null
  readonly options: readonly (readonly [value: T, text: string])[]
  readonly onChange: (value: T) => unknown
  readonly placeholder?: string
  readonly isDisabled?: boolean
}

/** A choice inside a line of the sheet; it looks like the other fields there. */
export function Choice<T extends string>({ options, onChange, ...shown }: ChoiceProps<T>) {
  const latest = useRef({ options, onChange })
  useLayoutEffect(() => {
    latest.current = { options, onChange }
  })
  const choose = useCallback((key: Key | null) => {
    const found = latest.current.options.find(([option]) => option === key)
    if (found) latest.current.onChange(found[0])
  }, [])
  const text = JSON.stringify(options)
  const same = useMemo(() => JSON.parse(text) as readonly (readonly [string, string])[], [text])
  return <Chooser {...shown} options={same} choose={choose} />
}

interface ChooserProps extends Omit<ChoiceProps<string>, 'onChange'> {
  readonly choose: (key: Key | null) => void
}

/** A select is dear to draw, so it is drawn again only where its value or its options are others. */
const Chooser = memo(function Chooser({
  label,
  value,
  options,
  choose,
  placeholder = 'choose',
  isDisabled = false,
}: ChooserProps) {
  return (
    <Root
      aria-label={label}
      selectedKey={value}
      onSelectionChange={choose}
      placeholder={placeholder}
      isDisabled={isDisabled}
    >
      <Box>
        <SelectValue />
        <Caret aria-hidden>▾</Caret>
      </Box>
      <PopCard>
        <List>
          {options.map(([option, text]) => (
            <Item key={option} id={option} textValue={text}>
              {text}
            </Item>
          ))}
        </List>
      </PopCard>
    </Root>
  )
})

const Root = styled(Select)`
  display: inline-block;
`
const Box = styled(Button)`
  ${fieldLook}
  display: inline-flex;
  align-items: baseline;
  gap: 6px;
  padding: 1px 7px;
  cursor: pointer;
  text-align: left;
  &[data-disabled] {
    cursor: default;
  }
`
const Caret = styled.span`
  font-size: 12px;
  color: var(--accent);
`
export const List = styled(ListBox)`
  padding: 4px 0;
  outline: none;
`
export const Item = styled(ListBoxItem)`
  padding: 5px 14px;
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
