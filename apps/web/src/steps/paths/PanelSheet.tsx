import {
  formatValue,
  sharingNames,
  sliverArea,
  splitExpanded,
  unitOf,
  type NumberFormat,
  type PanelView,
  type SharingRule,
} from '@hedrion/core'
import { useAnswer, useFormat } from '../../compute/SessionContext'
import { usePicked } from '../../sheet/PickedTools'
import { Scope } from '../../sheet/Scope'
import { Line, Note, Section, Sheet, Warm } from '../../sheet/Sheet'
import { Value } from '../../sheet/Value'
import { useLook } from '../../state/look'
import { Button } from '../../ui/Button'
import { TableOut } from '../../ui/TableOut'
import { CandidateLines } from './CandidateLines'
import { OtherRules } from './OtherRules'
import { StripLines } from './StripLines'

/** A panel: its area and load, who takes which part, what is left over. */
export function PanelSheet({ expandedId, caseId }: { readonly expandedId: string; readonly caseId: string }) {
  const view = useAnswer({ kind: 'panel', expandedId, caseId })
  const [, change] = useLook()
  const format = useFormat()
  const picked = usePicked()
  if (!view) return <Sheet title="Load paths">{null}</Sheet>
  const [, levelId] = splitExpanded(expandedId)
  const lost = view.notCarriedArea > sliverArea
  return (
    <Sheet title={`Panel ${view.label}`} scope={<Scope records={picked} />}>
      <Note>
        level {view.levelName} · shared {sharingNames[view.sharing]}
      </Note>
      <Section title="Loads on the panel">
        <Line
          reference="geometry"
          result={<Value value={view.net} quantity="area" address={`panelArea:${expandedId}`} />}
        >
          area <Value value={view.gross} quantity="area" strong={false} /> excluding openings
        </Line>
        {view.regions.map(({ row, keyName, patchLabel, area, pressure, force, address }) => (
          <Line
            key={row}
            reference={patchLabel ? `patch ${patchLabel}` : 'default'}
            result={<Value value={force} quantity="force" address={`region:${levelId}:${row}:${caseId}`} />}
          >
            {keyName === '' ? 'no load key' : keyName}:{' '}
            <Value value={pressure} quantity="pressure" address={address} strong={false} /> ·{' '}
            <Value value={area} quantity="area" strong={false} />
          </Line>
        ))}
        <AreaLoads view={view} />
        <Line
          reference="sum"
          result={<Value value={view.applied} quantity="force" address={`panel:${expandedId}:${caseId}`} />}
        >
          applied
        </Line>
      </Section>
      <Section
        title="Supporting members"
        aside={
          view.takers.length > 0 && <TableOut name={`panel ${view.label}`} rows={() => takerTable(view, format)} />
        }
      >
        {view.takers.length === 0 && (
          <Note>{view.applied === 0 ? 'No load in this case.' : 'No supporting member.'}</Note>
        )}
        {view.takers.map(({ kind, expandedId: taker, label, force, turning, share }) => (
          <Line
            key={taker}
            reference={`${(share * 100).toFixed(1)} %`}
            result={<Value value={force} quantity="force" address={`taker:${taker}:${view.id}:${caseId}`} />}
          >
            <Button kind="link" onPress={() => change({ picked: [taker] })}>
              {kind} {label}
            </Button>
            {Math.abs(turning) > 1 && (
              <>
                , torsion <Value value={turning} quantity="moment" strong={false} />
              </>
            )}
          </Line>
        ))}
        <Line
          reference="audit"
          result={
            <>
              <Value value={tidy(view.residual.force)} quantity="force" /> ·{' '}
              <Value value={tidy(view.residual.mx)} quantity="moment" /> ·{' '}
              <Value value={tidy(view.residual.my)} quantity="moment" />
            </>
          }
        >
          residual force and moments{keepsMoment.has(view.sharing) ? '' : ': this rule conserves force only'}
        </Line>
        <Reached view={view} />
      </Section>
      <CandidateLines expandedId={expandedId} />
      <StripLines caseId={caseId} />
      <OtherRules key={expandedId} levelId={levelId} panelId={view.id} caseId={caseId} sharing={view.sharing} />
      {lost && <NotCarried view={view} address={`panelLost:${expandedId}:${caseId}`} />}
      {view.oneSupport && <OneSupport />}
    </Sheet>
  )
}

interface NotCarriedProps {
  readonly view: PanelView
  readonly address: string
}

function NotCarried({ view, address }: NotCarriedProps) {
  return (
    <Warm>
      Not carried: <Value value={view.notCarriedArea} quantity="area" />,{' '}
      <Value value={view.notCarried} quantity="force" address={address} /> in this case.{' '}
      {mends[view.sharing] ?? 'Extend beams under it, or rotate the span direction in Building.'}
    </Warm>
  )
}

/** How fine a plate was solved. */
const Reached = ({ view: { reached } }: { readonly view: PanelView }) =>
  reached && (
    <Note>
      Plate model with triangles of <Value value={reached.size} quantity="smallLength" strong={false} />: compared with
      twice the size, no member force changes by more than {(100 * reached.change).toFixed(1)} % of the load.
    </Note>
  )

const OneSupport = () => <Warm>Part of the panel has only one support: it carries the full load with torsion.</Warm>

/** Area loads, as far as they lie on the panel. */
const AreaLoads = ({ view }: { readonly view: PanelView }) =>
  view.areaLoads.map(({ id, label, area, force, address }) => (
    <Line key={id} reference="area load" result={<Value value={force} quantity="force" address={address} />}>
      {label}: on <Value value={area} quantity="area" strong={false} /> of it
    </Line>
  ))

const takerTable = ({ takers }: PanelView, format: NumberFormat): readonly (readonly string[])[] => [
  ['member', `force, ${unitOf('force', format)}`, 'part, %'],
  ...takers.map(({ kind, label, force, share }) => [
    `${kind} ${label}`,
    formatValue(force, 'force', format),
    (100 * share).toFixed(1),
  ]),
]

/** Rules that keep both moments as well as force. */
const keepsMoment = new Set<SharingRule>(['oneWay', 'corners'])

const mends: Partial<Record<SharingRule, string>> = {
  corners: 'Support three of its corners, or choose another sharing rule in Building.',
  stiffness: 'Assign a slab, add supporting beams or columns, or choose another sharing rule in Building.',
}

const tidy = (value: number): number => (Math.abs(value) < 1e-3 ? 0 : value)
