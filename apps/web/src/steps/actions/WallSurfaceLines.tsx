import { memo } from 'react'
import {
  formatQuantity,
  lengthAlong,
  readSurfaceOpenings,
  surfaceOpeningsText,
  type WallSurface,
  typedExample,
} from '@hedrion/core'
import { useWords } from '../../compute/useWords'
import { useFormat } from '../../compute/SessionContext'
import { useEdit, useNote } from '../../compute/useEdit'
import { ConcernsHere } from '../../sheet/ConcernsHere'
import { NameField } from '../../sheet/NameField'
import { Several } from '../../sheet/Several'
import { Line, Note, Section } from '../../sheet/Sheet'
import { wordOf } from '../../sheet/several'
import { useChoiceOf } from '../../sheet/useChoiceOf'
import { useFieldOf } from '../../sheet/useFieldOf'
import { Choice } from '../../ui/Choice'
import { QuantityField } from '../../ui/QuantityField'
import { TextLine } from '../../ui/TextLine'
import { PressureLines } from './PressureLines'
import { SurfaceResults } from './SurfaceResults'

const spans = [
  ['upright', 'from floor to floor'],
  ['level', 'from column to column'],
  ['twoWay', 'to the nearest member'],
  ['surrounding', 'to the members on its border'],
] as const

const overOpenings = [
  ['bridged', 'continuous past them'],
  ['interrupting', 'end at them'],
] as const

interface WallSurfaceLinesProps {
  readonly surfaces: readonly WallSurface[]
  readonly levelId: string
  readonly caseId: string
}

/** The picked wall surfaces: what presses on them, how they span, and who takes it. */
export const WallSurfaceLines = memo(function WallSurfaceLines({ surfaces, levelId, caseId }: WallSurfaceLinesProps) {
  const inWords = useWords()
  const [first] = surfaces
  if (!first) return null
  const alone = surfaces.length === 1
  return (
    <>
      <PressureLines surfaces={surfaces} />
      <Section title={alone ? 'Surface' : `${surfaces.length} surfaces`}>
        <Extent surfaces={surfaces} />
        {alone && <Openings surface={first} />}
        <Note>
          {inWords(
            'In the storey below this level. No self-weight: add a wall run for that. Beams, columns, girts and posts in its plane resist the pressure; braces and ties do not.',
          )}
        </Note>
        <ConcernsHere ids={surfaces.map(({ id }) => id).join()} />
      </Section>
      {alone && <SurfaceResults surfaceId={first.id} levelId={levelId} caseId={caseId} />}
    </>
  )
})

function Extent({ surfaces }: { readonly surfaces: readonly WallSurface[] }) {
  const choiceOf = useChoiceOf()
  const fieldOf = useFieldOf()
  const format = useFormat()
  const [first] = surfaces
  if (!first) return null
  const length = surfaces.reduce(
    (sum, { path, closed }) => sum + lengthAlong(closed ? [...path, ...path.slice(0, 1)] : path),
    0,
  )
  return (
    <>
      <Line reference={surfaces.length === 1 ? 'label' : 'together'} result={formatQuantity(length, 'length', format)}>
        {surfaces.length === 1 && <NameField label="Label of the pressure surface" record={first} />}
      </Line>
      <Line reference="spans">
        <Choice {...choiceOf(surfaces, 'sharing', 'spans', { label: 'How the surface spans', options: spans })} />
        <Several records={surfaces} textOf={({ sharing }) => wordOf(spans, sharing)} />
      </Line>
      <Line reference="top">
        <QuantityField {...fieldOf(surfaces, 'above', 'height above the level')} /> above the level or roof
        <Several records={surfaces} textOf={({ above }) => formatQuantity(above, 'length', format)} />
      </Line>
      <Line reference="bottom">
        <QuantityField
          {...fieldOf(surfaces, 'depth', 'depth of the surface', { optional: true, placeholder: 'to the level below' })}
        />
        <Several
          records={surfaces}
          textOf={({ depth }) => (depth === null ? 'to the level below' : formatQuantity(depth, 'length', format))}
        />
      </Line>
    </>
  )
}

/** Openings as text, since each has four lengths. */
function Openings({ surface }: { readonly surface: WallSurface }) {
  const edit = useEdit()
  const note = useNote()
  const format = useFormat()
  const choiceOf = useChoiceOf()
  const text = surfaceOpeningsText(surface.openings, format)
  const set = (typed: string): string | undefined => {
    const read = readSurfaceOpenings(typed, format)
    if (!read.ok) return read.problem
    const after = surfaceOpeningsText(read.openings, format)
    return edit.set<WallSurface>(surface, note.text(surface, 'openings', text || 'none', after || 'none'), {
      openings: read.openings,
    })
  }
  return (
    <>
      <Line reference="openings">
        <TextLine
          label="Openings of the surface"
          value={text}
          placeholder={typedExample('surfaceOpenings', format)}
          maxLength={2000}
          onCommit={set}
        />
      </Line>
      {surface.openings.length > 0 && (
        <Line reference="strips">
          <Choice
            {...choiceOf(surface, 'overOpenings', 'strips', { label: 'Strips at openings', options: overOpenings })}
          />{' '}
          <small>Enter only voids that resist no pressure; glazing stays part of the surface.</small>
        </Line>
      )}
    </>
  )
}
