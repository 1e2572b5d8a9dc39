import { formatQuantity, formatValue, sharingChoices, sharingNames, type Panel } from '@hedrion/core'
import { useFormat, useRecords } from '../../compute/SessionContext'
import { Several } from '../../sheet/Several'
import { Line } from '../../sheet/Sheet'
import { severalWord, shared, wordOf } from '../../sheet/several'
import { useFieldOf } from '../../sheet/useFieldOf'
import { Button } from '../../ui/Button'
import { Choice } from '../../ui/Choice'
import { QuantityField } from '../../ui/QuantityField'
import { SparedMembers } from './SparedMembers'

const overhangs = [
  ['lever', 'cantilever statics (uplift kept)'],
  ['tributary', 'all to the last support'],
] as const
const openingRules = [
  ['bridged', 'strips span across openings'],
  ['interrupting', 'openings interrupt the span'],
] as const

interface SharingLinesProps {
  readonly panels: readonly Panel[]
  readonly set: (what: string, fields: (panel: Panel) => Partial<Panel>) => string | undefined
}

/** How panels hand their load on: the rule, what belongs to it, and what may support them. */
export function SharingLines({ panels, set }: SharingLinesProps) {
  const oneWay = panels.filter(({ sharing }) => sharing === 'oneWay')
  return (
    <>
      <Line reference="sharing">
        <Choice
          label="Sharing rule"
          value={shared(panels.map(({ sharing }) => sharing))}
          placeholder={severalWord}
          options={sharingChoices}
          onChange={(sharing) => set(`shared ${sharingNames[sharing]}`, () => ({ sharing }))}
        />
        <Several records={panels} textOf={({ sharing }) => sharingNames[sharing]} />
      </Line>
      {oneWay.length > 0 && <SpanLines panels={panels} set={set} />}
      <SupportLines panels={panels} set={set} />
    </>
  )
}

/** What strips go by: the way they run, what is beyond the last support, what an opening does to them. */
function SpanLines({ panels, set }: SharingLinesProps) {
  const fieldOf = useFieldOf()
  const format = useFormat()
  const turn = () =>
    set('span direction rotated', ({ spanAngle }) => ({
      spanAngle: spanAngle >= Math.PI / 2 - 1e-9 ? spanAngle - Math.PI / 2 : spanAngle + Math.PI / 2,
    }))
  return (
    <>
      <Line
        reference="span"
        result={
          <Button kind="link" onPress={turn}>
            rotate the span
          </Button>
        }
      >
        <QuantityField
          {...fieldOf(panels, 'spanAngle', 'span direction from east, anticlockwise', {
            min: -2 * Math.PI,
            max: 2 * Math.PI,
          })}
        />{' '}
        from east
        <Several records={panels} textOf={({ spanAngle }) => formatQuantity(spanAngle, 'angle', format)} />
      </Line>
      <Line reference="overhang">
        <Choice
          label="Overhang"
          value={shared(panels.map(({ overhang }) => overhang))}
          placeholder={severalWord}
          options={overhangs}
          onChange={(overhang) => set(`overhang ${wordOf(overhangs, overhang)}`, () => ({ overhang }))}
        />
        <Several records={panels} textOf={({ overhang }) => wordOf(overhangs, overhang)} />
      </Line>
      <Line reference="openings">
        <Choice
          label="Openings"
          value={shared(panels.map(({ openings }) => openings))}
          placeholder={severalWord}
          options={openingRules}
          onChange={(openings) => set(`openings: ${wordOf(openingRules, openings)}`, () => ({ openings }))}
        />
        <Several records={panels} textOf={({ openings }) => wordOf(openingRules, openings)} />
      </Line>
    </>
  )
}

/** Members that take no load of the panels, and the limits of what may support them. */
function SupportLines({ panels, set }: SharingLinesProps) {
  const fieldOf = useFieldOf()
  const format = useFormat()
  const [basis] = useRecords('basis')
  const spared = panels.map(({ sparedAngle }) => sparedAngle)
  if (!basis) return null
  const usual = (value: number, quantity: 'smallLength' | 'angle') => formatValue(value, quantity, format)
  return (
    <>
      <Line reference="not loaded">
        members running at{' '}
        <QuantityField
          {...fieldOf(panels, 'sparedAngle', 'direction of excluded members', {
            min: -2 * Math.PI,
            max: 2 * Math.PI,
            optional: true,
            placeholder: spared.some((value) => value !== spared[0]) ? severalWord : 'none',
          })}
        />{' '}
        from east
        <Several
          records={panels}
          textOf={({ sparedAngle }) => (sparedAngle === null ? 'none' : formatQuantity(sparedAngle, 'angle', format))}
        />
        {spared.some((value) => value !== null) && (
          <>
            {' '}
            <Button kind="link" onPress={() => set('all members loaded', () => ({ sparedAngle: null }))}>
              load all members
            </Button>
          </>
        )}
      </Line>
      <SparedMembers panels={panels} />
      <Line reference="supports considered">
        members within{' '}
        <QuantityField
          {...fieldOf(panels, 'supportReach', 'support tolerance', {
            optional: true,
            placeholder: usual(basis.supportReach, 'smallLength'),
          })}
        />{' '}
        of it, at more than{' '}
        <QuantityField
          {...fieldOf(panels, 'spanLimit', 'minimum angle to the span', {
            optional: true,
            placeholder: usual(basis.spanLimit, 'angle'),
          })}
        />{' '}
        to the span
      </Line>
    </>
  )
}
