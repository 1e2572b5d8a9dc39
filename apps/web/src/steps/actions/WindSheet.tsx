import {
  numberField,
  capitalized,
  formatQuantity,
  newId,
  windDirectionOf,
  type Box,
  type BuildingPart,
  type WindResult,
} from '@hedrion/core'
import { useWords } from '../../compute/useWords'
import { useAnswer, useFormat, useRecords } from '../../compute/SessionContext'
import { useEdit, useNote } from '../../compute/useEdit'
import { ConcernsHere } from '../../sheet/ConcernsHere'
import { Line, Note, Section, Sheet } from '../../sheet/Sheet'
import { SymbolText } from '../../sheet/SymbolText'
import { useFieldOf } from '../../sheet/useFieldOf'
import { Value } from '../../sheet/Value'
import { Button } from '../../ui/Button'
import { QuantityField } from '../../ui/QuantityField'

/** Wind of one direction on the stated rectangle, by clause, down to the storey forces. */
export function WindSheet({ caseId }: { readonly caseId: string }) {
  const wind = useAnswer({ kind: 'wind' })
  const result = wind?.results.find(({ direction }) => direction.id === windDirectionOf(caseId))
  if (!wind) return <PressureAlone caseId={caseId} />
  return (
    <Sheet title={result ? capitalized(result.direction.name) : 'Wind'} scope="on the walls of the entered rectangle">
      <BodyLines result={result} extent={wind.extent} />
      {result && <Coefficients result={result} caseId={caseId} />}
      {result && <StoreyForces result={result} caseId={caseId} />}
      <ConcernsHere codes="wind." />
    </Sheet>
  )
}

/** Where no wind is derived: the storey forces that come of pressure on wall surfaces. */
function PressureAlone({ caseId }: { readonly caseId: string }) {
  const inWords = useWords()
  const applied = useAnswer({ kind: 'why', address: `applied:${caseId}` })
  const terms = applied?.basis.kind === 'sum' ? applied.basis.terms : []
  return (
    <Sheet title="Wind" scope="as pressure on pressure surfaces">
      <Section title={inWords('Storey forces')}>
        {terms.map(({ label, value, address }) => (
          <Line key={label} result={<Value value={value} quantity="force" address={address} />}>
            {label}
          </Line>
        ))}
        <Note>
          No wind is derived in this version; pressures entered for pressure surfaces are used. Select one on the plan
          to see its supporting members.
        </Note>
      </Section>
      <ConcernsHere codes="wind." />
    </Sheet>
  )
}

function BodyLines({ result, extent }: { readonly result: WindResult | undefined; readonly extent: Box | null }) {
  const fieldOf = useFieldOf()
  const [part] = useRecords('buildingPart')
  return (
    <Section title="Building envelope for wind">
      {result && (
        <>
          <Line
            reference={part?.extent ? 'as entered' : 'around the columns'}
            result={<Value value={result.b} quantity="length" />}
          >
            <SymbolText name="b" /> across, and <SymbolText name="d" /> ={' '}
            <Value value={result.d} quantity="length" strong={false} /> along the wind
          </Line>
          <Line reference="7.2.2" result={<Value value={result.h} quantity="length" />}>
            <SymbolText name="h" /> above ground, with the parapet
          </Line>
        </>
      )}
      {part ? (
        <>
          <ExtentLine part={part} extent={extent} />
          <Line reference="parapet">
            <QuantityField {...fieldOf(part, 'parapet', 'parapet')} />
          </Line>
          <Line reference="EN 1991-1-4 6">
            <SymbolText name="c_s" />
            <SymbolText name="c_d" /> <QuantityField {...fieldOf(part, 'structuralFactor', 'structural factor')} />
          </Line>
        </>
      ) : (
        <NewPart />
      )}
    </Section>
  )
}

const sides = [
  ['x0', 'west'],
  ['x1', 'east'],
  ['y0', 'south'],
  ['y1', 'north'],
] as const

/** The rectangle in the wind: it goes round the columns until it is stated. */
function ExtentLine({ part, extent }: { readonly part: BuildingPart; readonly extent: Box | null }) {
  const edit = useEdit()
  const format = useFormat()
  const { extent: stated } = part
  if (!stated)
    return (
      <Line
        reference="rectangle"
        result={
          extent && (
            <Button kind="link" onPress={() => edit.set(part, 'Wind rectangle entered', { extent })}>
              enter it
            </Button>
          )
        }
      >
        around the columns above ground
      </Line>
    )
  return (
    <Line
      reference="rectangle"
      result={
        <Button kind="link" onPress={() => edit.set(part, 'Wind rectangle set to the columns', { extent: null })}>
          around the columns
        </Button>
      }
    >
      {sides.map(([side, name]) => (
        <span key={side}>
          {name}{' '}
          <QuantityField
            label={`${name} side of the wind rectangle`}
            {...numberField('buildingPart', `extent.${side}`)}
            format={format}
            value={stated[side]}
            onCommit={(value) =>
              value === null
                ? 'Enter the position of the side.'
                : edit.set(part, `Wind rectangle: ${name} ${formatQuantity(value, 'length', format)}`, {
                    extent: { ...stated, [side]: value },
                  })
            }
          />{' '}
        </span>
      ))}
    </Line>
  )
}

/** A building without a part has no parapet and c_s c_d = 1; the first value typed makes the part. */
function NewPart() {
  const edit = useEdit()
  const note = useNote()
  const format = useFormat()
  const part: BuildingPart = {
    kind: 'buildingPart',
    id: newId('buildingPart', Math.random),
    name: 'Building',
    parapet: 0,
    structuralFactor: 1,
    extent: null,
  }
  return (
    <Line reference="parapet">
      <QuantityField
        label="parapet"
        {...numberField('buildingPart', 'parapet')}
        format={format}
        value={0}
        onCommit={(parapet) =>
          edit.add(note.value(part, 'parapet', 'length', 0, parapet), [{ ...part, parapet: parapet ?? 0 }])
        }
      />
    </Line>
  )
}

function Coefficients({ result, caseId }: { readonly result: WindResult; readonly caseId: string }) {
  const { ratio, c_D, c_E, k_corr, strips, q_E } = result
  return (
    <Section title="Pressures">
      {strips.map(({ from, to, q_p }, i) => (
        <Line
          key={i}
          reference="4.5, figure 7.4"
          result={<Value value={q_p.value} quantity="pressure" address={`qp:${to}`} />}
        >
          <SymbolText name="q_p" /> of the wall from <Value value={from} quantity="length" strong={false} /> to{' '}
          <Value value={to} quantity="length" strong={false} />
        </Line>
      ))}
      <Line reference="7.2.2" result={<Value value={q_E.value} quantity="pressure" address={`qp:${result.h}`} />}>
        <SymbolText name="q_p" /> of the leeward wall
      </Line>
      <Line
        reference="table 7.1"
        result={<Value value={c_D.value} quantity="factor" sign address={`wind:${caseId}:c_D`} />}
      >
        <SymbolText name="c_pe,10" /> zone D, <SymbolText name="h" />/<SymbolText name="d" /> ={' '}
        <Value value={ratio.value} quantity="factor" strong={false} address={`wind:${caseId}:ratio`} />
      </Line>
      <Line
        reference="table 7.1"
        result={<Value value={c_E.value} quantity="factor" sign address={`wind:${caseId}:c_E`} />}
      >
        <SymbolText name="c_pe,10" /> zone E
      </Line>
      <Line
        reference="7.2.2(3)"
        result={<Value value={k_corr.value} quantity="factor" address={`wind:${caseId}:k_corr`} />}
      >
        lack of correlation of D and E
      </Line>
    </Section>
  )
}

function StoreyForces({ result, caseId }: { readonly result: WindResult; readonly caseId: string }) {
  const inWords = useWords()
  const levels = useRecords('level')
  return (
    <Section title={inWords('Storey forces')}>
      {[...result.storeys].reverse().map(({ force, trace }) => (
        <Line
          key={force.levelId}
          reference={`level ${levels.find(({ id }) => id === force.levelId)?.name ?? ''}`}
          result={<Value value={trace.value} quantity="force" address={`storeyForce:${caseId}@${force.levelId}`} />}
        >
          at <Value value={force.z} quantity="length" strong={false} />, point (
          <Value value={force.x} quantity="length" strong={false} />;{' '}
          <Value value={force.y} quantity="length" strong={false} />)
        </Line>
      ))}
      <Line reference="sum" result={<Value value={result.total} quantity="force" />}>
        along the wind
      </Line>
      <Beside caseId={caseId} derived={result.total} />
      <Note>
        {inWords('Their distribution per storey is shown in Paths; they are also exported to the frame analysis.')}
      </Note>
    </Section>
  )
}

/** What presses on wall surfaces beside the rectangle, and all together. */
function Beside({ caseId, derived }: { readonly caseId: string; readonly derived: number }) {
  const balance = useAnswer({ kind: 'balance', caseId })
  const beside = (balance?.applied ?? derived) - derived
  if (!balance || Math.abs(beside) < 1) return null
  return (
    <>
      <Line reference="outside it" result={<Value value={beside} quantity="force" />}>
        pressure on pressure surfaces outside the rectangle
      </Line>
      <Line reference="all" result={<Value value={balance.applied} quantity="force" address={`applied:${caseId}`} />}>
        along the wind
      </Line>
    </>
  )
}
