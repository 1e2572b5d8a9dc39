import { useState, type ReactNode } from 'react'
import { Button as AriaButton, Disclosure, DisclosurePanel, Heading } from 'react-aria-components'
import styled from 'styled-components'

interface FoldProps {
  readonly title: ReactNode
  /** Beside the title, quiet. */
  readonly aside: ReactNode
  /** Whether it stands open until a person says otherwise. */
  readonly startsOpen: boolean
  readonly children: ReactNode
}

/** Lines that can be put away; what is put away is not drawn, since fields are dear. */
export function Fold({ title, aside, startsOpen, children }: FoldProps) {
  const [chosen, setChosen] = useState<boolean | null>(null)
  const isOpen = chosen ?? startsOpen
  return (
    <Whole isExpanded={isOpen} onExpandedChange={setChosen}>
      <Heading>
        <Toggle slot="trigger">
          {title} <small>{aside}</small>
        </Toggle>
      </Heading>
      <DisclosurePanel>{isOpen && children}</DisclosurePanel>
    </Whole>
  )
}

const Whole = styled(Disclosure)`
  h3 {
    margin: 0;
  }
`
const Toggle = styled(AriaButton)`
  width: 100%;
  text-align: left;
  background: none;
  border: 0;
  border-bottom: 1px solid var(--hairline);
  padding: 6px 20px;
  font: 400 15px var(--sans);
  color: var(--ink);
  cursor: pointer;
  small {
    color: var(--quiet);
  }
  &::before {
    content: '▸ ';
    color: var(--accent);
  }
  &[aria-expanded='true']::before {
    content: '▾ ';
  }
`
