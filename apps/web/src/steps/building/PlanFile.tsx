import {
  boxOf,
  importedPlan,
  layerUses,
  own,
  proposedUse,
  type DxfPlan,
  type Layout,
  type LayerUse,
} from '@hedrion/core'
import { useMemo, useRef, useState } from 'react'
import styled from 'styled-components'
import { useDocument } from '../../compute/SessionContext'
import { useEdit } from '../../compute/useEdit'
import { useWords, type InWords } from '../../compute/useWords'
import { readDrawing } from '../../compute/readDrawing'
import { Line, Note, Section } from '../../sheet/Sheet'
import { useCommand } from '../../state/commands'
import { Button } from '../../ui/Button'
import { Choice } from '../../ui/Choice'
import { FileButton } from '../../ui/FileButton'

/** A plan from a DXF drawing: each of its layers is said to be something, and all of it comes in as one change. */
export function PlanFile({ layout }: { readonly layout: Layout }) {
  const [plan, setPlan] = useState<DxfPlan | null>(null)
  const [problem, setProblem] = useState<string | null>(null)
  const [reading, setReading] = useState(false)
  const here = useRef<HTMLDivElement>(null)
  useCommand('importPlan', () => here.current?.querySelector('button')?.focus())
  const open = async (file: File) => {
    setPlan(null)
    setProblem(null)
    setReading(true)
    const read = await readDrawing(file)
    setProblem(read.ok ? null : read.problem)
    if (read.ok) setPlan(read.plan)
  }
  const choose = (file: File) =>
    void open(file)
      .catch(() => setProblem('The file could not be read.'))
      .finally(() => setReading(false))
  return (
    <div ref={here}>
      <Section
        title="Import a plan (DXF)"
        aside={
          plan ? (
            <Button kind="link" onPress={() => setPlan(null)}>
              Close
            </Button>
          ) : (
            <FileButton kind="link" label="DXF drawing of a plan" accept=".dxf" onFile={choose}>
              Import DXF file
            </FileButton>
          )
        }
      >
        {problem !== null && <Problem role="alert">{problem}</Problem>}
        {reading && <Note>Reading the drawing …</Note>}
        {plan ? (
          <PlanLayers plan={plan} layout={layout} onDone={() => setPlan(null)} />
        ) : (
          <Note>
            Lines, outlines and points by layer, as members, grid lines, panels, openings or walls of “{layout.name}”.
          </Note>
        )}
      </Section>
    </div>
  )
}

const units = (inWords: InWords) =>
  [
    ['0.001', inWords('millimetres')],
    ['0.01', inWords('centimetres')],
    ['1', inWords('metres')],
    ['0.0254', 'inches'],
    ['0.3048', 'feet'],
  ] as const
type UnitText = ReturnType<typeof units>[number][0]

const origins = [
  ['asDrawn', 'as drawn'],
  ['corner', 'south-west corner at 0, 0'],
] as const
type Origin = (typeof origins)[number][0]

interface PlanLayersProps {
  readonly plan: DxfPlan
  readonly layout: Layout
  readonly onDone: () => void
}

function PlanLayers({ plan, layout, onDone }: PlanLayersProps) {
  const inWords = useWords()
  const known = units(inWords)
  const document = useDocument()
  const edit = useEdit()
  const [uses, setUses] = useState<Readonly<Record<string, LayerUse>>>(() =>
    Object.fromEntries(plan.layers.map((layer) => [layer.name, proposedUse(layer)])),
  )
  const [unit, setUnit] = useState<UnitText>(known.find(([value]) => Number(value) === plan.unit)?.[0] ?? '0.001')
  const [origin, setOrigin] = useState<Origin>('asDrawn')
  const [refused, setRefused] = useState<string | null>(null)
  const read = useMemo(() => {
    const chosen = plan.layers.map((layer) => [layer, own(uses, layer.name) ?? 'none'] as const)
    const used = chosen.flatMap(([{ paths, rings, points }, use]) =>
      use === 'none' ? [] : [...paths.flat(), ...rings.flat(), ...points],
    )
    const box = boxOf(used)
    return importedPlan(chosen, {
      document,
      layout,
      random: Math.random,
      unit: Number(unit),
      origin: origin === 'corner' && used.length > 0 ? [box.x0, box.y0] : [0, 0],
    })
  }, [plan, document, layout, uses, unit, origin])
  const add = () => {
    const sentence = edit.add(`Import a plan (DXF): ${read.words}`, read.records)
    setRefused(sentence ?? null)
    if (sentence === undefined) onDone()
  }
  return (
    <>
      <Line reference="unit">
        drawn in <Choice label="Unit of the drawing" value={unit} options={known} onChange={setUnit} />
        {plan.unit === null && <small> not given in the drawing</small>}
      </Line>
      <Line reference="position">
        <Choice label="Position of the drawing" value={origin} options={origins} onChange={setOrigin} />
      </Line>
      {plan.layers.map(({ name, paths, rings, points }) => (
        <Line
          key={name}
          reference={name === '' ? 'no layer' : name}
          result={
            <Choice
              label={`Import layer ${name} as`}
              value={own(uses, name) ?? 'none'}
              options={layerOptions}
              onChange={(use) => setUses({ ...uses, [name]: use })}
            />
          }
        >
          {counted([
            [paths.length, 'line'],
            [rings.length, 'outline'],
            [points.length, 'point'],
          ])}
        </Line>
      ))}
      {Object.keys(plan.leftOut).length > 0 && (
        <Note>
          Not imported:{' '}
          {Object.entries(plan.leftOut)
            .map(([type, count]) => `${count} ${type}`)
            .join(', ')}
          .
        </Note>
      )}
      {read.leftOut.length > 0 && <Note>Skipped: {read.leftOut.join(', ')}.</Note>}
      {(refused ?? read.problem) !== null && <Problem role="alert">{refused ?? read.problem}</Problem>}
      {read.records.length > 0 && (
        <Line
          lit
          reference="new"
          result={
            <Button kind="primary" onPress={add}>
              Import
            </Button>
          }
        >
          {read.words}
        </Line>
      )}
    </>
  )
}

const layerOptions = Object.entries(layerUses) as readonly (readonly [LayerUse, string])[]

const counted = (counts: readonly (readonly [number, string])[]): string =>
  counts
    .filter(([count]) => count > 0)
    .map(([count, word]) => `${count} ${word}${count === 1 ? '' : 's'}`)
    .join(', ')

const Problem = styled.p`
  padding: 4px 20px;
  color: var(--warm);
`
