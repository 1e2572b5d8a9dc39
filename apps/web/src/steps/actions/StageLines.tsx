import type { LoadKey } from '@hedrion/core'
import { useState } from 'react'
import { Button as AriaButton, Disclosure, DisclosurePanel, Heading } from 'react-aria-components'
import styled from 'styled-components'
import { useAnswer } from '../../compute/SessionContext'
import { Line } from '../../sheet/Sheet'
import { Symbol } from '../../sheet/Symbol'
import { useFieldOf } from '../../sheet/useFieldOf'
import { Value } from '../../sheet/Value'
import { QuantityField } from '../../ui/QuantityField'

/** What a load key carries beside the finished floor: while it is built, and for the mass of the level. */
export function StageLines({ loadKey }: { readonly loadKey: LoadKey }) {
  const said = [loadKey.constructionPermanent, loadKey.constructionImposed, loadKey.massOnly, loadKey.massShare]
  const count = said.filter((value) => value !== null).length
  const [open, setOpen] = useState(count > 0)
  return (
    <Fold isExpanded={open} onExpandedChange={setOpen}>
      <Heading>
        <Toggle slot="trigger">
          Construction stage, mass <small>{count === 0 ? 'as the finished floor' : `${count} typed`}</small>
        </Toggle>
      </Heading>
      <DisclosurePanel>{open && <Fields loadKey={loadKey} />}</DisclosurePanel>
    </Fold>
  )
}

function Fields({ loadKey }: { readonly loadKey: LoadKey }) {
  const fieldOf = useFieldOf()
  const loads = useAnswer({ kind: 'keys' })?.find(({ key }) => key.id === loadKey.id)
  const masses = useAnswer({ kind: 'masses' })
  const pressure = { min: 0, max: 1e6, optional: true, placeholder: 'none' } as const
  const { name } = loadKey
  return (
    <>
      <Line reference="while it is built">
        permanent{' '}
        <QuantityField
          {...fieldOf(loadKey, 'constructionPermanent', `construction, permanent, of ${name}`, 'pressure', pressure)}
        />
      </Line>
      <Line reference="while it is built">
        imposed{' '}
        <QuantityField
          {...fieldOf(loadKey, 'constructionImposed', `construction, imposed, of ${name}`, 'pressure', pressure)}
        />
      </Line>
      <Line
        reference={masses?.clause ?? 'mass'}
        result={
          loads && <Value value={loads.massShare.value} quantity="factor" address={`key:${loadKey.id}:massShare`} />
        }
      >
        <Symbol name="ψ_E" /> of the imposed load counts as mass{' '}
        <QuantityField
          {...fieldOf(loadKey, 'massShare', `part of ${name} in the mass`, 'factor', {
            min: 0,
            max: 1,
            optional: true,
            placeholder: 'as the standard',
          })}
        />
      </Line>
      <Line reference="mass only">
        <QuantityField {...fieldOf(loadKey, 'massOnly', `mass only of ${name}`, 'pressure', pressure)} />{' '}
        <small>loads nothing</small>
      </Line>
    </>
  )
}

const Fold = styled(Disclosure)`
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
  padding: 5px 20px;
  font: 400 14px var(--sans);
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
