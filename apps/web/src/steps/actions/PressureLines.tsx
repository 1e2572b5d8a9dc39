import { numberField, windDirections, type WallSurface } from '@hedrion/core'
import { useFormat } from '../../compute/SessionContext'
import { useEdit, useNote } from '../../compute/useEdit'
import { Line, Note, Section } from '../../sheet/Sheet'
import { wordOf } from '../../sheet/several'
import { Button } from '../../ui/Button'
import { Choice } from '../../ui/Choice'
import { QuantityField } from '../../ui/QuantityField'
import { TextLine } from '../../ui/TextLine'
import { useUses } from './useUses'
import { useTerms } from '../../compute/useTerms'

type Pressures = WallSurface['pressures']
type Pressure = Pressures[number]

const sides = windDirections.map(({ id, name }) => [id, name.replace('wind ', '')] as const)

const plain: Pressure = { what: '', nature: 'wind', use: null, from: 'west', top: 0, foot: 0 }

/** What presses on the picked surfaces; several are edited as one where they are alike. */
export function PressureLines({ surfaces }: { readonly surfaces: readonly WallSurface[] }) {
  const edit = useEdit()
  const note = useNote()
  const [first] = surfaces
  if (!first) return null
  const { pressures } = first
  const alike = surfaces.every((surface) => JSON.stringify(surface.pressures) === JSON.stringify(pressures))
  const set = (next: Pressures, what: string) =>
    edit.setEach<WallSurface>(surfaces, `${note.subject(surfaces)}: ${what}`, () => ({ pressures: next }))
  if (!alike)
    return (
      <Section title="Pressures">
        <Note>Their pressures differ. Select one to see them, or apply the first one's to all.</Note>
        <Line reference="">
          <Button kind="link" onPress={() => set(pressures, `pressures of ${first.label}`)}>
            apply to all the pressures of {first.label}
          </Button>
        </Line>
      </Section>
    )
  const change = (index: number, fields: Partial<Pressure>, what: string) =>
    set(
      pressures.map((pressure, i) => (i === index ? { ...pressure, ...fields } : pressure)),
      what,
    )
  return (
    <Section title="Pressures">
      {pressures.length === 0 && (
        <Note>No pressures yet. Positive values act towards the outer face, negative values are suction.</Note>
      )}
      {pressures.map((pressure, i) => (
        <PressureRow
          key={i}
          number={i + 1}
          pressure={pressure}
          onChange={(fields, what) => change(i, fields, what)}
          onDelete={() =>
            set(
              pressures.filter((_, k) => k !== i),
              `pressure ${i + 1} deleted`,
            )
          }
        />
      ))}
      <Line
        reference=""
        result={
          <Button kind="link" onPress={() => set([...pressures, { ...plain, ...kept(pressures) }], 'pressure added')}>
            {pressures.length === 0 ? 'add pressure' : 'add'}
          </Button>
        }
      >
        {pressures.length > 0 && (
          <small>Positive values act towards the outer face, negative values are suction.</small>
        )}
      </Line>
    </Section>
  )
}

/** The next one acts as the one before. */
const kept = (pressures: Pressures): Partial<Pressure> => {
  const before = pressures.at(-1)
  return before ? { nature: before.nature, use: before.use, from: before.from } : {}
}

interface PressureRowProps {
  readonly number: number
  readonly pressure: Pressure
  readonly onChange: (fields: Partial<Pressure>, what: string) => string | undefined
  readonly onDelete: () => void
}

function PressureRow({ number, pressure, onChange, onDelete }: PressureRowProps) {
  const uses = useUses()
  const terms = useTerms()
  const natures = (['permanent', 'imposed', 'wind'] as const).map((id) => [id, terms[id]] as const)
  const { nature, use, from, what } = pressure
  const name = `pressure ${number}`
  return (
    <>
      <Line
        reference={name}
        result={
          <Button kind="link" aria-label={`Delete ${name}`} onPress={onDelete}>
            delete
          </Button>
        }
      >
        <Choice
          label={`Nature of ${name}`}
          value={nature}
          options={natures}
          onChange={(next) => onChange({ nature: next }, `${name} ${next}`)}
        />{' '}
        {nature === 'wind' && (
          <Choice
            label={`Wind direction of ${name}`}
            value={from}
            options={sides}
            onChange={(next) => onChange({ from: next }, `${name} ${wordOf(sides, next)}`)}
          />
        )}
        {nature === 'imposed' && (
          <Choice
            label={`Use of ${name}`}
            value={use ?? uses.none}
            options={uses.options}
            onChange={(next) => onChange({ use: next === uses.none ? null : next }, `${name} use ${next}`)}
          />
        )}{' '}
        <TextLine
          label={`Source of ${name}`}
          value={what}
          placeholder="earth, zone D …"
          onCommit={(next) => onChange({ what: next }, `${name} comes from ${next || 'nothing'}`)}
        />
      </Line>
      <Line reference="">
        at its top <End name={name} end="top" value={pressure.top} onChange={onChange} pressure={pressure} />, at its
        foot <End name={name} end="foot" value={pressure.foot} onChange={onChange} pressure={pressure} />
      </Line>
    </>
  )
}

interface EndProps extends Pick<PressureRowProps, 'pressure' | 'onChange'> {
  readonly name: string
  readonly end: 'top' | 'foot'
  readonly value: number
}

function End({ name, end, value, pressure, onChange }: EndProps) {
  const format = useFormat()
  const note = useNote()
  return (
    <QuantityField
      label={`${name} at the ${end}`}
      {...numberField('wallSurface', `pressures.0.${end}`)}
      format={format}
      value={value}
      onCommit={(next) => {
        if (next === null) return 'Enter a pressure, 0 for none.'
        // a new one is even until its foot is typed
        const even = end === 'top' && pressure.top === 0 && pressure.foot === 0
        return onChange(
          even ? { top: next, foot: next } : { [end]: next },
          note.amount(`${name} at its ${end}`, 'pressure', value, next),
        )
      }}
    />
  )
}
