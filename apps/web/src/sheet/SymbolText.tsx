import { greekLetters } from '@hedrion/core'
import styled from 'styled-components'

/** A symbol of the standard as it is set in print: `q_p` with its index low, `rho` as ρ. */
export function SymbolText({ name }: { readonly name: string }) {
  const [head = '', ...tail] = name.split('_')
  const index = tail.join(',')
  return (
    <Letter>
      {greekLetters[head] ?? head}
      {index !== '' && <sub>{index}</sub>}
    </Letter>
  )
}

const Letter = styled.i`
  font-family: var(--serif);
  white-space: nowrap;
  sub {
    font-size: 72%;
    font-style: normal;
    line-height: 0;
  }
`
