import { formatQuantity, formatValue, unitOf, type StripPieceView, type StripView } from '@hedrion/core'
import { useFormat } from '../../compute/SessionContext'
import { markOf } from '../../drawing/marks'
import { Line, Note, Section } from '../../sheet/Sheet'
import { Value } from '../../sheet/Value'
import { TableOut } from '../../ui/TableOut'
import { QuantityField } from '../../ui/QuantityField'
import { PlaceSlider } from './PlaceSlider'
import { StripSketch } from './StripSketch'
import { useStrip } from './useStrip'

/** The statics of one strip of a one-way panel, a metre wide, written out as by hand. */
export function StripLines({ caseId }: { readonly caseId: string }) {
  const { strip, at, move } = useStrip()
  const format = useFormat()
  if (!strip) return null
  const [lineLoad, length] = [unitOf('lineLoad', format), unitOf('length', format)]
  const text = () => [
    [`force, ${lineLoad}`, `middle, ${length}`, 'to', lineLoad, 'to', lineLoad],
    ...rowsOf(strip).map(({ step, first, second }) => [
      formatValue(step.force, 'lineLoad', format),
      formatValue(step.middle, 'length', format),
      first,
      formatValue(step.toFirst, 'lineLoad', format),
      second,
      second && formatValue(step.toSecond, 'lineLoad', format),
    ]),
  ]
  return (
    <Section title="1 m strip statics" aside={<TableOut name="strip" label="Copy the statics" rows={text} />}>
      <Line reference="where">
        <QuantityField
          label="Position of the strip"
          quantity="length"
          format={format}
          value={strip.at}
          min={0}
          max={strip.width}
          onCommit={(place) => void move(place)}
        />{' '}
        from its {strip.edge} edge, of {formatQuantity(strip.width, 'length', format)} across the span
      </Line>
      <PlaceSlider label={`From the ${strip.edge} edge`} width={strip.width} at={at} onMove={move} />
      <StripSketch strip={strip} mark={markOf(caseId)} />
      {rowsOf(strip).map(({ step, first, second, piece }, i) => (
        <Line
          key={i}
          reference={second ? `${first} to ${second}` : first}
          result={<Value value={step.force} quantity="lineLoad" />}
        >
          <Parts piece={piece} step={step} first={first} second={second} />
        </Line>
      ))}
      {strip.pieces.flatMap((piece) =>
        piece.supports.map(({ u, labels, force, ordinates }) => (
          <Line key={`${piece.from}/${u}`} lit reference="sum" result={<Value value={force} quantity="lineLoad" />}>
            to {labels.join(' and ')}
            {ordinates.some((ordinate) => Math.abs(ordinate - force) > 1e-6 * Math.abs(force)) && (
              <>
                : {ordinates.map((ordinate) => formatValue(ordinate, 'lineLoad', format)).join(', ')} {lineLoad} along{' '}
                {labels.length > 1 ? 'each' : 'it'}
              </>
            )}
          </Line>
        )),
      )}
      {strip.pieces.some(({ notCarried }) => notCarried !== 0) && <Note>Part of the strip has no support.</Note>}
    </Section>
  )
}

type Step = StripPieceView['steps'][number]

interface Row {
  readonly piece: StripPieceView
  readonly step: Step
  readonly first: string
  /** Empty where one takes all. */
  readonly second: string
}

const rowsOf = ({ pieces }: StripView): readonly Row[] =>
  pieces.flatMap((piece) =>
    piece.steps.map((step): Row => {
      const name = (k: number) => piece.supports[k]?.labels.join(' and ') ?? ''
      return { piece, step, first: name(step.first), second: step.first === step.second ? '' : name(step.second) }
    }),
  )

/** `9.00 · 1.50 / 3.00 = 4.50 to B15, 4.50 to B12`. */
function Parts({ piece, step, first, second }: Row) {
  const format = useFormat()
  const metres = (value: number) => formatValue(value, 'length', format)
  const force = (value: number) => formatValue(value, 'lineLoad', format)
  if (!second) return <>all to {first}</>
  const [from, to] = [piece.supports[step.first]?.u ?? 0, piece.supports[step.second]?.u ?? 0]
  return (
    <>
      {force(step.force)} · {metres(step.middle - from)} / {metres(to - from)} = {force(step.toSecond)} to {second},{' '}
      {force(step.toFirst)} to {first}
    </>
  )
}
