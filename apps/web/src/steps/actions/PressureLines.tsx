import { windDirections, type WallSurface } from '@hedrion/core'
import { useFormat } from '../../compute/SessionContext'
import { useEdit, useNote } from '../../compute/useEdit'
import { Line, Note, Section } from '../../sheet/Sheet'
import { wordOf } from '../../sheet/several'
import { Button } from '../../ui/Button'
import { Choice } from '../../ui/Choice'
import { QuantityField } from '../../ui/QuantityField'
import { TextLine } from '../../ui/TextLine'
import { useUses } from './useUses'

type Pressures = WallSurface['pressures']
type Pressure = Pressures[number]

const natures = [
  ['permanent', 'permanent'],
  ['imposed', 'imposed'],
  ['wind', 'wind'],
] as const

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
      <Section title="What presses on them">
        <Note>They are pressed differently. Pick one to see how, or give all what the first has.</Note>
        <Line reference="">
          <Button kind="link" onPress={() => set(pressures, `pressures of ${first.label}`)}>
            give all the pressures of {first.label}
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
    <Section title="What presses on it">
      {pressures.length === 0 && <Note>Nothing yet. Positive presses on its outer face, negative pulls.</Note>}
      {pressures.map((pressure, i) => (
        <PressureRow
          key={i}
          number={i + 1}
          pressure={pressure}
          onChange={(fields, what) => change(i, fields, what)}
          onDelete={() =>
            set(
              pressures.filter((_, k) => k !== i),
              `pressure ${i + 1} taken away`,
            )
          }
        />
      ))}
      <Line
        reference=""
        result={
          <Button
            kind="link"
            onPress={() => set([...pressures, { ...plain, ...kept(pressures) }], 'one pressure more')}
          >
            {pressures.length === 0 ? 'add a pressure' : 'one more'}
          </Button>
        }
      >
        {pressures.length > 0 && <small>Positive presses on the outer face, negative pulls.</small>}
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
  const { nature, use, from, what } = pressure
  const name = `pressure ${number}`
  return (
    <>
      <Line
        reference={name}
        result={
          <Button kind="link" aria-label={`Take ${name} away`} onPress={onDelete}>
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
            label={`Where the wind of ${name} comes from`}
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
          label={`What ${name} comes from`}
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
      quantity="pressure"
      format={format}
      value={value}
      min={-1e6}
      max={1e6}
      onCommit={(next) => {
        if (next === null) return 'A pressure has a value, 0 for none.'
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
