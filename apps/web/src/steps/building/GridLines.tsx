import { memo } from 'react'
import {
  numberField,
  formatQuantity,
  formatValue,
  gridMoveEdits,
  lengthsExample,
  lineMore,
  readFreeGrid,
  readSpacings,
  type GridLine,
  type ReadGrid,
  typedExample,
} from '@hedrion/core'
import { useFormat, useGetDocument, useRecords } from '../../compute/SessionContext'
import { useEdit, useNote } from '../../compute/useEdit'
import { setDraft } from '../../sheet/draftStore'
import { lights } from '../../sheet/litStore'
import { NameField } from '../../sheet/NameField'
import { Line, Note, Section } from '../../sheet/Sheet'
import { Button } from '../../ui/Button'
import { Choice } from '../../ui/Choice'
import { QuantityField } from '../../ui/QuantityField'
import { TextLine } from '../../ui/TextLine'
import { useGridLook } from './gridStore'
import { byNumber } from '../../ui/byNumber'

const axes = [
  ['x', 'Lines at x'],
  ['y', 'Lines at y'],
] as const

/** Grid lines by the direction that they cross; then those that are skew or go round a point. */
export const GridLines = memo(function GridLines() {
  const lines = useRecords('gridLine')
  const free = lines
    .filter(({ axis }) => axis === 'line' || axis === 'ring')
    .sort((a, b) => byNumber.compare(a.label, b.label))
  const add = useAddLines()
  const format = useFormat()
  return (
    <Section title="Grid">
      {axes.map(([axis, name]) => (
        <AxisLines key={axis} axis={axis} name={name} lines={lines.filter((line) => line.axis === axis)} />
      ))}
      <Line reference="skew and radial lines">
        {free.map((line) => (
          <FreeEntry key={line.id} line={line} />
        ))}
        <TextLine
          label="Skew, radial or circular grid lines"
          value=""
          maxLength={200}
          placeholder={typedExample('skewGridLine', format)}
          onCommit={(text) => (text === '' ? undefined : add((ground) => readFreeGrid(text, ground)))}
        />
      </Line>
      <MovingLine />
      <Note>
        {`Skew: “${typedExample('skewGridLine', format)}”. About a point: “${typedExample('gridAboutPoint', format)}”. Grid line labels can be dragged on the plan.`}
      </Note>
    </Section>
  )
})

/** Adds the lines that a sentence makes, or answers why it makes none. */
function useAddLines() {
  const edit = useEdit()
  const format = useFormat()
  const grid = useRecords('gridLine')
  return (read: (ground: Parameters<typeof readFreeGrid>[1]) => ReadGrid): string | undefined => {
    const made = read({ grid, format, random: Math.random })
    if (!made.ok) return made.problem
    const labels = made.lines.map(({ label }) => label)
    const words = labels.length > 3 ? `${labels.length} grid lines` : `grid lines ${labels.join(', ')}`
    return edit.add(`New ${words}`, made.lines)
  }
}

interface AxisLinesProps {
  readonly axis: 'x' | 'y'
  readonly name: string
  readonly lines: readonly GridLine[]
}

function AxisLines({ axis, name, lines }: AxisLinesProps) {
  const edit = useEdit()
  const add = useAddLines()
  const format = useFormat()
  const all = useRecords('gridLine')
  const rising = [...lines].sort((a, b) => a.at - b.at)
  const addOne = () => {
    const line = lineMore(axis, all, Math.random)
    edit.add(`New grid line ${line.label}`, [line])
  }
  return (
    <Line
      reference={name}
      result={
        <Button kind="link" onPress={addOne}>
          add
        </Button>
      }
    >
      {rising.map((line) => (
        <GridEntry key={line.id} line={line} />
      ))}
      <TextLine
        label={`Further spacings, ${axis}`}
        value=""
        maxLength={200}
        placeholder={`further spacings ${lengthsExample('spacings', format)}`}
        onCommit={(text) => (text === '' ? undefined : add((ground) => readSpacings(text, axis, ground)))}
      />
    </Line>
  )
}

/** What a grid line that moves does with what stands on it. */
function MovingLine() {
  const takesAlong = useGridLook((state) => state.takesAlong)
  return (
    <Line reference="when a line moves">
      <Choice
        label="When a grid line moves"
        value={takesAlong ? 'takes' : 'leaves'}
        options={[
          ['takes', 'moves attached members'],
          ['leaves', 'leaves members in place'],
        ]}
        onChange={(chosen) => useGridLook.setState({ takesAlong: chosen === 'takes' })}
      />
    </Line>
  )
}

function GridEntry({ line }: { readonly line: GridLine }) {
  return (
    <div>
      <NameField label={`Label of grid line ${line.label}`} record={line} maxLength={10} /> at{' '}
      <PlaceField line={line} /> <DeleteLine line={line} />
    </div>
  )
}

/** A ring by its radius, a line by its angle, from their point. */
function FreeEntry({ line }: { readonly line: GridLine }) {
  const format = useFormat()
  const [[x, y] = [0, 0], b] = line.path
  const from = `from ${formatValue(x, 'length', format)}; ${formatQuantity(y, 'length', format)}`
  return (
    <div>
      <NameField label={`Label of grid line ${line.label}`} record={line} maxLength={10} />{' '}
      {line.axis === 'ring' ? (
        <>
          at <PlaceField line={line} /> {from}
        </>
      ) : (
        `at ${formatQuantity(b ? Math.atan2(b[1] - y, b[0] - x) : 0, 'angle', format)} ${from}`
      )}{' '}
      <DeleteLine line={line} />
    </div>
  )
}

function PlaceField({ line }: { readonly line: GridLine }) {
  const getDocument = useGetDocument()
  const edit = useEdit()
  const note = useNote()
  const format = useFormat()
  const takesAlong = useGridLook((state) => state.takesAlong)
  return (
    <QuantityField
      label={`position of grid line ${line.label}`}
      {...numberField('gridLine', 'at')}
      format={format}
      value={line.at}
      typed={line.typed?.['at']}
      {...(line.axis === 'ring' ? { above: 0 } : {})}
      onFocusChange={lights([line.id])}
      onDraft={(at) => setDraft(typeof at === 'number' ? gridMoveEdits(getDocument(), line, at, takesAlong) : null)}
      onCommit={(at) =>
        at === null
          ? 'Enter a position.'
          : edit.apply(
              note.value(line, 'place', 'length', line.at, at),
              gridMoveEdits(getDocument(), line, at, takesAlong),
            )
      }
    />
  )
}

function DeleteLine({ line }: { readonly line: GridLine }) {
  const edit = useEdit()
  return (
    <Button
      kind="link"
      aria-label={`Delete grid line ${line.label}`}
      onPress={() => edit.remove(`Deleted grid line ${line.label}`, [line])}
    >
      delete
    </Button>
  )
}
