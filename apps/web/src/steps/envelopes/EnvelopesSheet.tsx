import { formatValue, unitOf, type EnvelopeRow, type NumberFormat } from '@hedrion/core'
import { useWords, type InWords } from '../../compute/useWords'
import { useFormat } from '../../compute/SessionContext'
import { useLook } from '../../state/look'
import { Line, Note, Section, Sheet } from '../../sheet/Sheet'
import { Value } from '../../sheet/Value'
import { Button } from '../../ui/Button'
import { Choice } from '../../ui/Choice'
import { byNumber } from '../../ui/byNumber'
import { TableOut } from '../../ui/TableOut'
import { Governing } from './Governing'
import type { EnvelopeInView } from './useEnvelope'

const kindOptions = (inWords: InWords) =>
  [
    ['reaction', 'reactions'],
    ['columnForce', 'column forces'],
    ['storeyShear', inWords('storey shears')],
    ['elementShear', 'lateral element shears'],
    ['beamTotal', 'beam totals'],
  ] as const

const components: Readonly<Record<string, string>> = {
  Z: 'up',
  N: 'compression',
  V: 'along it',
  x: 'along x',
  y: 'along y',
}

const nothingYet = (inWords: InWords): Readonly<Record<EnvelopeInView['kind'], string>> => ({
  reaction: 'No supports yet, so no reactions.',
  columnForce: 'No columns yet, so no column forces.',
  storeyShear: inWords('No horizontal case yet, so no storey shear.'),
  elementShear: 'No lateral elements yet. Draw walls or bracing in Building.',
  beamTotal: 'No beams yet, so no beam loads.',
})

const referenceOf = (kind: EnvelopeInView['kind'], { component, levelName }: EnvelopeRow): string | undefined =>
  kind === 'storeyShear' || component === 'x' || component === 'y' ? components[component] : `level ${levelName}`

function tableText(rows: readonly EnvelopeRow[], format: NumberFormat): readonly (readonly string[])[] {
  const force = unitOf('force', format)
  return [
    ['level', 'at', 'component', `most, ${force}`, `least, ${force}`],
    ...rows.map(({ levelName, label, component, most, least }) => [
      levelName,
      label,
      components[component] ?? component,
      formatValue(most, 'force', format),
      formatValue(least, 'force', format),
    ]),
  ]
}

/** What governs the effect in view, then maximum and minimum of all effects of its kind. */
export function EnvelopesSheet({ envelope }: { readonly envelope: EnvelopeInView }) {
  const { set, sets, kind, rows, key, choose, chooseSet, setKind } = envelope
  const inWords = useWords()
  const [look] = useLook()
  const format = useFormat()
  const shown =
    kind === 'reaction' || kind === 'storeyShear'
      ? rows
      : [...rows]
          .filter(({ expandedId }) => look.level === null || expandedId.endsWith(`@${look.level}`))
          .sort((a, b) => (kind === 'elementShear' ? byNumber.compare(a.label, b.label) : 0))
  return (
    <Sheet
      title="Envelopes"
      scope={
        <>
          <Choice label="Effects" value={kind} options={kindOptions(inWords)} onChange={setKind} /> under{' '}
          <Choice
            label="Rules"
            value={set}
            options={sets.map(({ id, name }) => [id, name] as const)}
            onChange={chooseSet}
          />
        </>
      }
    >
      {rows.length === 0 && <Note>{nothingYet(inWords)[kind]}</Note>}
      {key && <Governing set={set} effectKey={key} />}
      {rows.length > 0 && (
        <Section
          title="Maximum and minimum"
          aside={<TableOut name="maximum and minimum" rows={() => tableText(rows, format)} />}
        >
          {shown.map((row) => (
            <Line
              key={row.key}
              lit={row.key === key}
              reference={referenceOf(kind, row)}
              result={
                <>
                  <Value value={row.most} quantity="force" address={`extreme:${set}:most:${row.key}`} /> ·{' '}
                  <Value
                    value={row.least}
                    quantity="force"
                    address={`extreme:${set}:least:${row.key}`}
                    strong={false}
                  />
                </>
              }
            >
              <Button kind="link" onPress={() => choose(row.key)}>
                {row.label}
              </Button>
            </Line>
          ))}
        </Section>
      )}
    </Sheet>
  )
}
