import { formatQuantity, ownLayerName, writeProjectFile, type ResultStage } from '@hedrion/core'
import { useState, type ReactNode } from 'react'
import { useWords, type InWords } from '../../compute/useWords'
import { useAnswer, useDocument, useFormat, useRecords, useSession } from '../../compute/SessionContext'
import { Line, Note, Section, Sheet, Warm } from '../../sheet/Sheet'
import { SymbolText } from '../../sheet/SymbolText'
import { Value } from '../../sheet/Value'
import { request } from '../../state/api'
import { sentenceOf } from '../../state/failures'
import { Button } from '../../ui/Button'
import { FieldProblem } from '../../ui/FieldProblem'
import { fileName, saveFile } from '../../ui/saveFile'
import { AxesPicture } from './AxesPicture'
import { HandedLoads } from './HandedLoads'

const stages = (inWords: InWords): readonly (readonly [ResultStage, string])[] => [
  ['cases', 'cases with their balance'],
  ['memberLoads', 'line and point loads of members, per load case'],
  ['memberTorsion', 'torsion of beams where a slab has only one support'],
  ['storeyForces', inWords('storey forces, with point of application')],
  ['lateralElements', inWords('storey shear per lateral element, with base moment')],
  ['thrusts', 'horizontal thrusts of raking columns and hangers'],
  ['horizontalMemberLoads', 'horizontal member loads from loads normal to slopes and from pressure surfaces'],
  ['barriers', 'horizontal line loads on barriers, with moments about the edge'],
  ['combinations', 'combinations with their factors'],
  ['envelopes', 'envelopes (maximum and minimum)'],
  ['overriddenValues', 'overridden standard values'],
]

/** The files, what is in them, and whether their sums agree with the balance. */
export function HandoverSheet() {
  const inWords = useWords()
  const overview = useAnswer({ kind: 'overview' })
  const [basis] = useRecords('basis')
  if (!overview || !basis) return null
  const name = fileName(basis.name)
  return (
    <Sheet title="Handover" scope="to the frame analysis">
      <Section title="Files">
        <ProjectFileLine name={name} />
        <ResultsLine name={name} />
        {stages(inWords).map(([stage, text]) => (
          <CsvLine key={stage} stage={stage} text={text} name={name} isEmpty={overview.figures.cases === 0} />
        ))}
      </Section>
      <HandedLoads basis={basis} />
      <ReplacedValues />
      <Proof />
      <Section title="Axes and signs">
        <AxesPicture />
        <Note>
          {inWords(
            'Right-handed global axes, Z up. Gravity loads are given as positive magnitudes downwards, per true length of the member, from its start. Storey forces are signed in global axes. JSON is in N and m, CSV in kN and m.',
          )}
        </Note>
      </Section>
      <Section title="Open concerns">
        {overview.concerns.length === 0 && <Note>None.</Note>}
        {overview.concerns.map(({ sentence }, i) => (
          <Warm key={i}>{sentence}</Warm>
        ))}
      </Section>
    </Sheet>
  )
}

/** What the project itself replaces, line by line; what its edition or national set does, by number: the file lists both. */
function ReplacedValues() {
  const standard = useAnswer({ kind: 'standard' })
  const format = useFormat()
  if (!standard) return null
  const replaced = standard.values.filter((entry) => entry.replaced.length > 0)
  const own = replaced.filter(({ layer }) => layer === ownLayerName)
  const others = replaced.length - own.length
  return (
    <Section title="Overridden standard values">
      {own.map(({ key, meaning: { symbol, name, quantity }, value, replaced: before, clause }) => (
        <Line
          key={key}
          reference={before.at(-1)?.clause ?? clause}
          result={<Value value={value} quantity={quantity} address={`parameter:${key}`} />}
        >
          <SymbolText name={symbol} /> <small>{name}</small>{' '}
          {before.map((old, i) => (
            <s key={i}>{formatQuantity(old.value, quantity, format)} </s>
          ))}
        </Line>
      ))}
      <Note>
        {own.length === 0 && 'None overridden in the project. '}
        {others > 0 &&
          `${standard.layers
            .slice(1)
            .filter((name) => name !== ownLayerName)
            .join(' + ')} overrides ${others}, listed in the file.`}
      </Note>
    </Section>
  )
}

function ProjectFileLine({ name }: { readonly name: string }) {
  const document = useDocument()
  const { store } = useSession()
  const [problem, setProblem] = useState<string | null>(null)
  const save = async () => {
    try {
      const file = await request<object>('GET', `/projects/${store.getState().projectId}/file?history=yes`)
      saveFile(`${name}.history.hedrion.json`, `${JSON.stringify(file, null, 1)}\n`, 'application/json')
      setProblem(null)
    } catch (error) {
      setProblem(sentenceOf(error))
    }
  }
  return (
    <>
      <Line
        reference="JSON"
        result={
          <Button
            kind="link"
            onPress={() => saveFile(`${name}.hedrion.json`, writeProjectFile(document), 'application/json')}
          >
            save
          </Button>
        }
      >
        project file, {document.records.size} records
      </Line>
      <Line
        reference="JSON"
        result={
          <Button kind="link" onPress={() => void save()} aria-label="Save the project file with history">
            save
          </Button>
        }
      >
        project file with history (saved changes only)
        {problem !== null && <FieldProblem role="alert">{problem}</FieldProblem>}
      </Line>
    </>
  )
}

function ResultsLine({ name }: { readonly name: string }) {
  const { calculator } = useSession()
  const save = async () => {
    const results = await calculator.askUntilCurrent({ kind: 'results', only: null })
    saveFile(`${name}.results.json`, `${JSON.stringify(results, null, 1)}\n`, 'application/json')
  }
  return (
    <FileLine format="JSON" save={save}>
      all results, with a schema
    </FileLine>
  )
}

interface CsvLineProps {
  readonly stage: ResultStage
  readonly text: string
  readonly name: string
  readonly isEmpty: boolean
}

function CsvLine({ stage, text, name, isEmpty }: CsvLineProps) {
  const { calculator } = useSession()
  const save = async () => {
    const [file] = await calculator.askUntilCurrent({ kind: 'csv', only: stage })
    if (file) saveFile(`${name}.${file.name}`, file.text, 'text/csv')
  }
  return (
    <FileLine format="CSV" save={save} isEmpty={isEmpty}>
      {text}
    </FileLine>
  )
}

interface FileLineProps {
  readonly format: string
  readonly save: () => Promise<void>
  readonly isEmpty?: boolean
  readonly children: ReactNode
}

/** A file that is computed when it is asked for; says so meanwhile, and where it went wrong. */
function FileLine({ format, save, isEmpty = false, children }: FileLineProps) {
  const [state, setState] = useState<'idle' | 'working' | 'failed'>('idle')
  const start = () => {
    setState('working')
    save().then(
      () => setState('idle'),
      () => setState('failed'),
    )
  }
  return (
    <Line
      reference={format}
      result={
        <Button kind="link" isDisabled={isEmpty || state === 'working'} onPress={start}>
          {state === 'working' ? 'computing …' : 'save'}
        </Button>
      }
    >
      {children}
      {state === 'failed' && ': computation failed, try again'}
    </Line>
  )
}

/** The sum of the member loads in the file against the balance, case by case. */
function Proof() {
  const sums = useAnswer({ kind: 'fileSums' })
  const overview = useAnswer({ kind: 'overview' })
  const cases = (overview?.actions ?? []).flatMap((action) => action.cases).filter(({ balance }) => !balance.handedOn)
  return (
    <Section title="Total in the file = total in the balance" aside={<small>file · balance</small>}>
      {cases.map(({ id, name, balance }) => {
        const sum = sums?.[id] ?? 0
        const agrees = Math.abs(sum - balance.onMembers) <= 1e-6 * Math.max(1, Math.abs(balance.onMembers))
        return (
          <Line
            key={id}
            reference={agrees ? 'agrees' : 'differs'}
            result={
              <>
                <Value value={sum} quantity="force" /> ·{' '}
                <Value
                  value={balance.onMembers}
                  quantity="force"
                  strong={false}
                  address={`onMembers:${balance.caseId}`}
                />
              </>
            }
          >
            {name}
          </Line>
        )
      })}
    </Section>
  )
}
