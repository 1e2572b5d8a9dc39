import { memo } from 'react'
import { patchOverlaps, signedArea, type Patch } from '@hedrion/core'
import { useRecords } from '../../compute/SessionContext'
import { ConcernsHere } from '../../sheet/ConcernsHere'
import { NameField } from '../../sheet/NameField'
import { Several } from '../../sheet/Several'
import { Line, Section } from '../../sheet/Sheet'
import { Value } from '../../sheet/Value'
import { wordOf } from '../../sheet/several'
import { useChoiceOf } from '../../sheet/useChoiceOf'
import { useFieldOf } from '../../sheet/useFieldOf'
import { Choice } from '../../ui/Choice'
import { QuantityField } from '../../ui/QuantityField'

export const patchModes = [
  ['insteadOf', 'replaces the load below'],
  ['onTopOf', 'adds to the load below'],
] as const

/** The picked patches: what they carry, and whether they replace or add. */
export const PatchLines = memo(function PatchLines({ patches }: { readonly patches: readonly Patch[] }) {
  const choiceOf = useChoiceOf()
  const fieldOf = useFieldOf()
  const keys = useRecords('loadKey')
  const [first] = patches
  if (!first) return null
  const keyOptions = keys.map(({ id, name }) => [id, name] as const)
  const area = patches.reduce((sum, { outline }) => sum + Math.abs(signedArea(outline)), 0)
  const alone = patches.length === 1
  return (
    <Section title="Patch load">
      <Line reference={alone ? 'label' : 'together'} result={<Value value={area} quantity="area" />}>
        {alone && <NameField label="Label of the patch" record={first} />}
      </Line>
      <Line reference="carries">
        <Choice {...choiceOf(patches, 'key', 'load key', { label: 'Load key of the patch', options: keyOptions })} />
        <Several records={patches} textOf={({ key }) => wordOf(keyOptions, key)} />
      </Line>
      <Line reference="effect">
        <Choice {...choiceOf(patches, 'mode', 'effect', { label: 'Effect of the patch', options: patchModes })} />
        {alone && (
          <>
            {' order '}
            <QuantityField {...fieldOf(first, 'order', 'order of the patch')} />
          </>
        )}
        <Several records={patches} textOf={({ mode }) => wordOf(patchModes, mode)} />
      </Line>
      {alone && <Overlaps patch={first} />}
      <ConcernsHere ids={patches.map(({ id }) => id).join()} />
    </Section>
  )
})

/** Where it and other patches lie on one another, and which of them counts there. */
function Overlaps({ patch }: { readonly patch: Patch }) {
  const patches = useRecords('patch')
  const others = patches.filter(({ layout }) => layout === patch.layout)
  const labelOf = (id: string) => others.find((other) => other.id === id)?.label ?? ''
  return patchOverlaps(patch, others).map(({ otherId, area, isOver, replaces }) => (
    <Line
      key={otherId}
      reference={isOver ? `over ${labelOf(otherId)}` : `under ${labelOf(otherId)}`}
      result={<Value value={area} quantity="area" strong={false} />}
    >
      {replaces
        ? isOver
          ? `replaces ${labelOf(otherId)} there`
          : `replaced by ${labelOf(otherId)} there`
        : 'both apply there'}
    </Line>
  ))
}
