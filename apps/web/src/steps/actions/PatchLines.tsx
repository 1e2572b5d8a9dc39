import { memo } from 'react'
import { signedArea, type Patch } from '@hedrion/core'
import { useRecords } from '../../compute/SessionContext'
import { useEdit, useNote } from '../../compute/useEdit'
import { ConcernsHere } from '../../sheet/ConcernsHere'
import { NameField } from '../../sheet/NameField'
import { Several } from '../../sheet/Several'
import { Line, Section } from '../../sheet/Sheet'
import { Value } from '../../sheet/Value'
import { severalWord, shared } from '../../sheet/several'
import { useFieldOf } from '../../sheet/useFieldOf'
import { Choice } from '../../ui/Choice'
import { QuantityField } from '../../ui/QuantityField'

export const patchModes = [
  ['insteadOf', 'instead of what is below'],
  ['onTopOf', 'on top of what is below'],
] as const

/** The picked patches: what they carry, and whether they replace or add. */
export const PatchLines = memo(function PatchLines({ patches }: { readonly patches: readonly Patch[] }) {
  const edit = useEdit()
  const note = useNote()
  const fieldOf = useFieldOf()
  const keys = useRecords('loadKey')
  const [first] = patches
  if (!first) return null
  const nameOf = (id: string | null) => keys.find((key) => key.id === id)?.name ?? severalWord
  const [key, mode] = [shared(patches.map((patch) => patch.key)), shared(patches.map((patch) => patch.mode))]
  const area = patches.reduce((sum, { outline }) => sum + Math.abs(signedArea(outline)), 0)
  const alone = patches.length === 1
  return (
    <Section title="What it carries">
      <Line reference={alone ? 'label' : 'together'} result={<Value value={area} quantity="area" />}>
        {alone && <NameField label="Label of the patch" record={first} />}
      </Line>
      <Line reference="carries">
        <Choice
          label="Load key of the patch"
          value={key}
          placeholder={severalWord}
          options={keys.map(({ id, name }) => [id as string, name])}
          onChange={(id) => {
            const next = keys.find((entry) => entry.id === id)
            if (next)
              edit.setEach(patches, note.text(patches, 'load key', nameOf(key), next.name), () => ({ key: next.id }))
          }}
        />
        <Several records={patches} textOf={(patch) => nameOf(patch.key)} />
      </Line>
      <Line reference="stands">
        <Choice
          label="How the patch stands"
          value={mode}
          placeholder={severalWord}
          options={patchModes}
          onChange={(next) =>
            edit.setEach(patches, note.text(patches, 'stands', modeWord(mode), modeWord(next)), () => ({ mode: next }))
          }
        />
        {alone && (
          <>
            {' as number '}
            <QuantityField {...fieldOf(first, 'order', 'order of the patch', 'count', { min: 0, max: 1e6 })} />
          </>
        )}
        <Several records={patches} textOf={(patch) => modeWord(patch.mode)} />
      </Line>
      <ConcernsHere ids={patches.map(({ id }) => id).join()} />
    </Section>
  )
})

const modeWord = (mode: Patch['mode'] | null): string =>
  patchModes.find(([value]) => value === mode)?.[1] ?? severalWord
