import { memo, useMemo } from 'react'
import {
  buildUpWeight,
  cutAt,
  expanded,
  formatQuantity,
  takesOff,
  wallOfLayersEdits,
  wallTypedEdits,
  withoutStretch,
  type WallRun,
} from '@hedrion/core'
import { useWords, type InWords } from '../../compute/useWords'
import { useAnswer, useFormat, useGetDocument, useRecord } from '../../compute/SessionContext'
import { useEdit, useNote } from '../../compute/useEdit'
import { ConcernsHere } from '../../sheet/ConcernsHere'
import { lights } from '../../sheet/litStore'
import { PickLine } from '../../sheet/PickLine'
import { Several } from '../../sheet/Several'
import { Line, Section } from '../../sheet/Sheet'
import { SymbolText } from '../../sheet/SymbolText'
import { severalWord, shared, wordOf } from '../../sheet/several'
import { useFieldOf } from '../../sheet/useFieldOf'
import { Value } from '../../sheet/Value'
import { Button } from '../../ui/Button'
import { Choice } from '../../ui/Choice'
import { Later } from '../../ui/Later'
import { QuantityField } from '../../ui/QuantityField'
import { BuildUpLines } from './BuildUpLines'
import { OpeningsLine } from './OpeningsLine'
import { PlaceOfWalls } from './PlaceOfWalls'
import { WallPicture } from './WallPicture'

export const heightRules = (inWords: InWords) =>
  [
    ['lessBeam', inWords('storey height less beam depth')],
    ['lessSlab', inWords('storey height less slab depth')],
    ['lessBoth', inWords('storey height less beam and slab depth')],
    ['storey', inWords('full storey height (facade)')],
    ['typed', 'typed'],
  ] as const

interface WallLinesProps {
  readonly run: WallRun
  readonly levelId: string
  /** All of it, with the picture of its height; else one line. */
  readonly open: boolean
}

/** A wall run: weight, net height beside its picture, openings, and the line load of each stretch. */
export const WallLines = memo(function WallLines({ run, levelId, open }: WallLinesProps) {
  const rows = (useAnswer({ kind: 'walls', levelId }) ?? []).filter(({ runId }) => runId === run.id)
  const whole = `wallRun:${run.id}@${levelId}`
  const [first] = rows
  const runs = useMemo(() => [run], [run])
  const length = rows.reduce((sum, row) => sum + row.length, 0)
  const force = rows.reduce((sum, row) => sum + row.force, 0)
  if (!open)
    return (
      <PickLine
        id={expanded(run.id, levelId)}
        reference={run.label}
        name={`wall run ${run.label}`}
        result={<Value value={force} quantity="force" address={whole} />}
      >
        {' '}
        <Value value={length} quantity="length" strong={false} />
      </PickLine>
    )
  return (
    <Section title="Weight and height">
      <WallEditor runs={runs} />
      <Later after={4}>
        {first?.head && <WallPicture run={run} head={first.head} height={heightOf(first.trace)} />}
        <ConcernsHere ids={run.id} />
        {rows.map(({ id: row, length: stretch, trace, head }, i) => (
          <Line
            key={row}
            reference={`stretch ${i + 1}`}
            result={
              trace ? <Value value={trace.value} quantity="lineLoad" address={`wall:${row}@${levelId}`} /> : 'no height'
            }
          >
            <Value value={stretch} quantity="length" strong={false} />
            {head?.beamDepth === null && takesOff(run.heightRule, 'beam') && <small> no beam above</small>}{' '}
            <RemoveStretch
              run={run}
              id={row}
              name={`stretch ${i + 1}`}
              to={rows[i + 1] ? stepOf(rows[i + 1]?.id) : undefined}
            />
          </Line>
        ))}
        <Line reference="sum" result={<Value value={force} quantity="force" address={whole} />}>
          <Value value={length} quantity="length" strong={false} /> of wall
        </Line>
        <CutLine run={run} length={length} />
      </Later>
    </Section>
  )
})

/** Of the step of the path with which a stretch begins, from its id. */
const stepOf = (id = ''): number => Number(id.slice(id.lastIndexOf('/') + 1))

interface RemoveStretchProps {
  readonly run: WallRun
  readonly id: string
  readonly name: string
  /** The step with which the next stretch begins. */
  readonly to: number | undefined
}

/** Takes one stretch out of its run; the drawing shows which one while the button is looked at. */
function RemoveStretch({ run, id, name, to }: RemoveStretchProps) {
  const getDocument = useGetDocument()
  const edit = useEdit()
  const note = useNote()
  const steps = run.closed && run.path.length > 2 ? run.path.length : run.path.length - 1
  const light = lights([id])
  const remove = () => {
    light(false)
    edit.apply(
      `${note.subject([run])}: ${name} deleted`,
      withoutStretch(getDocument(), run, stepOf(id), to ?? steps, Math.random),
    )
  }
  return (
    <Button kind="link" aria-label={`Delete ${name}`} onHoverChange={light} onFocusChange={light} onPress={remove}>
      Delete
    </Button>
  )
}

/** A run becomes two; a closed one opens there. */
function CutLine({ run, length }: { readonly run: WallRun; readonly length: number }) {
  const getDocument = useGetDocument()
  const edit = useEdit()
  const note = useNote()
  const format = useFormat()
  return (
    <Line reference="cut">
      at{' '}
      <QuantityField
        label="Cut the wall at"
        quantity="length"
        format={format}
        value={null}
        placeholder="none"
        optional
        min={0}
        max={length}
        onCommit={(s) => {
          if (s === null) return undefined
          const edits = cutAt(getDocument(), run, s, Math.random)
          if (!edits) return `Enter a length within the wall, up to ${formatQuantity(length, 'length', format)}.`
          return edit.apply(`${note.subject([run])}: cut at ${formatQuantity(s, 'length', format)}`, edits)
        }}
      />{' '}
      from its start
    </Line>
  )
}

/** The net height that a line load was made with. */
function heightOf(
  trace: { readonly basis: { readonly kind: string; readonly inputs?: unknown } } | null,
): number | null {
  const inputs = trace?.basis.inputs as Readonly<Record<string, { readonly value: number }>> | undefined
  return inputs?.['h_net']?.value ?? null
}

/** What is typed of one wall run, or of several at once. */
export const WallEditor = memo(function WallEditor({ runs }: { readonly runs: readonly WallRun[] }) {
  const inWords = useWords()
  const rules = heightRules(inWords)
  const edit = useEdit()
  const note = useNote()
  const fieldOf = useFieldOf()
  const [rule, closed] = [shared(runs.map(({ heightRule }) => heightRule)), shared(runs.map((run) => run.closed))]
  return (
    <>
      <MakeLines runs={runs} />
      <Line reference="net height">
        <Choice
          label="Net height"
          value={rule}
          placeholder={severalWord}
          options={rules}
          onChange={(heightRule) =>
            edit.setEach(
              runs,
              note.text(runs, 'net height', wordOf(rules, rule), wordOf(rules, heightRule)),
              ({ height }) => ({
                heightRule,
                ...(heightRule === 'typed' && height === null ? { height: 3 } : {}),
              }),
            )
          }
        />{' '}
        {rule === 'typed' && <QuantityField {...fieldOf(runs, 'height', 'height of the wall')} />}
        <Several records={runs} textOf={({ heightRule }) => wordOf(rules, heightRule)} />
      </Line>
      <Later>
        <OpeningsLine runs={runs} />
      </Later>
      <Later after={2}>
        <PlaceOfWalls runs={runs} />
      </Later>
      <Later after={3}>
        <Line reference="path">
          <Choice
            label="Closed or open"
            value={closed === null ? null : pathOf(closed)}
            placeholder={severalWord}
            options={[
              ['closed', 'closed'],
              ['open', 'open'],
            ]}
            onChange={(value) =>
              edit.setEach(
                runs,
                note.text(runs, 'path', closed === null ? severalWord : pathOf(closed), value),
                () => ({
                  closed: value === 'closed',
                }),
              )
            }
          />
        </Line>
      </Later>
    </>
  )
})

const pathOf = (closed: boolean) => (closed ? 'closed' : 'open')
/** What the wall weighs per area of its face: typed, or the sum of its layers. */
function MakeLines({ runs }: { readonly runs: readonly WallRun[] }) {
  const getDocument = useGetDocument()
  const edit = useEdit()
  const note = useNote()
  const format = useFormat()
  const fieldOf = useFieldOf()
  const layered = runs.filter(({ buildUp }) => buildUp !== null)
  const make = useRecord(shared(runs.map(({ buildUp }) => buildUp)))
  const weigh = (how: string) =>
    how === 'layers'
      ? edit.apply(note.text(runs, 'weight', 'typed', 'of layers'), wallOfLayersEdits(runs, Math.random))
      : edit.apply(note.text(runs, 'weight', 'of layers', 'typed'), wallTypedEdits(getDocument(), runs))
  return (
    <>
      <Line
        reference="weight"
        result={
          make?.kind === 'buildUp' ? (
            <Value value={buildUpWeight(make).value} quantity="pressure" address={`buildUp:${make.id}`} />
          ) : undefined
        }
      >
        <SymbolText name="g_wall" />{' '}
        {layered.length === 0 && (
          <>
            <QuantityField {...fieldOf(runs, 'weight', 'weight of the wall')} /> of wall area
          </>
        )}{' '}
        <Choice
          label="Wall weight from"
          value={layered.length === 0 ? 'typed' : layered.length === runs.length ? 'layers' : null}
          placeholder={severalWord}
          options={weighings}
          onChange={weigh}
        />
        {layered.length === 0 && (
          <Several records={runs} textOf={({ weight }) => formatQuantity(weight, 'pressure', format)} />
        )}
      </Line>
      {make?.kind === 'buildUp' && <BuildUpLines buildUp={make} upright />}
    </>
  )
}

const weighings = [
  ['typed', 'typed'],
  ['layers', 'the sum of its layers'],
] as const
