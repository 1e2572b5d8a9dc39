import { memo } from 'react'
import {
  kindNames,
  expanded,
  formatQuantity,
  lengthAlong,
  signedArea,
  typedValue,
  valueAt,
  type AreaLoad,
  type Layout,
  type LineLoad,
  type NumberFormat,
  type PointLoad,
  type TypedLoad,
} from '@hedrion/core'
import { useFormat, useRecords } from '../../compute/SessionContext'
import { useEdit, useNote } from '../../compute/useEdit'
import { ConcernsHere } from '../../sheet/ConcernsHere'
import { NameField } from '../../sheet/NameField'
import { PickLine } from '../../sheet/PickLine'
import { Several } from '../../sheet/Several'
import { Line, Note, Section } from '../../sheet/Sheet'
import { wordOf } from '../../sheet/several'
import { useChoiceOf } from '../../sheet/useChoiceOf'
import { useFieldOf } from '../../sheet/useFieldOf'
import { Value } from '../../sheet/Value'
import { Choice } from '../../ui/Choice'
import { QuantityField } from '../../ui/QuantityField'
import { TextLine } from '../../ui/TextLine'
import { useUses } from './useUses'
import { byNumber } from '../../ui/byNumber'
import { useTerms } from '../../compute/useTerms'

const measures = [
  ['plan', 'vertical, per plan area'],
  ['slope', 'vertical, per true area'],
  ['square', 'normal to the surface, per true area'],
] as const

/** The picked line, point and area loads: what they are, how much, and which case they act in. */
export const TypedLoadLines = memo(function TypedLoadLines({ loads }: { readonly loads: readonly TypedLoad[] }) {
  const lines = loads.filter((load): load is LineLoad => load.kind === 'lineLoad')
  const points = loads.filter((load): load is PointLoad => load.kind === 'pointLoad')
  const areas = loads.filter((load): load is AreaLoad => load.kind === 'areaLoad')
  const [first] = loads
  if (!first) return null
  return (
    <Section title="Applied load">
      {loads.length === 1 && (
        <Line reference="label">
          <NameField label="Label of the load" record={first} /> <WhatField load={first} />
        </Line>
      )}
      {lines.length > 0 && <LineValue loads={lines} />}
      {points.length > 0 && <PointValue loads={points} />}
      {areas.length > 0 && <AreaValues loads={areas} />}
      <NatureLine loads={loads} />
      <ConcernsHere ids={loads.map(({ id }) => id).join()} />
    </Section>
  )
})

function WhatField({ load }: { readonly load: TypedLoad }) {
  const edit = useEdit()
  const note = useNote()
  return (
    <TextLine
      label="Source of the load"
      value={load.what}
      placeholder="stair flight, chiller …"
      onCommit={(what) => edit.set<TypedLoad>(load, note.text(load, 'source', load.what || 'nothing', what), { what })}
    />
  )
}

/** Even along its path, or straight from one value to another. */
function LineValue({ loads }: { readonly loads: readonly LineLoad[] }) {
  const fieldOf = useFieldOf()
  const format = useFormat()
  const length = loads.reduce((sum, load) => sum + lengthAlong(load.path), 0)
  const force = loads.reduce((sum, load) => sum + (lengthAlong(load.path) * (load.value + valueAt(load, 'end'))) / 2, 0)
  return (
    <>
      <Line reference="along its path, downwards" result={<Value value={force} quantity="force" />}>
        <QuantityField {...fieldOf(loads, 'value', 'line load')} /> ·{' '}
        <Value value={length} quantity="length" strong={false} />
        <Several records={loads} textOf={(load) => valuesText(load, 'lineLoad', format)} />
      </Line>
      <Line reference="at its end">
        <QuantityField
          {...fieldOf(loads, 'endValue', 'line load at its end', { optional: true, placeholder: 'uniform' })}
        />
        {loads.some(({ endValue }) => endValue !== null) && ', varying linearly along its path'}
      </Line>
    </>
  )
}

/** "2.00 kN/m", or "2.00 kN/m to 4.00 kN/m". */
const valuesText = (
  { value, endValue }: LineLoad | AreaLoad,
  quantity: 'lineLoad' | 'pressure',
  format: NumberFormat,
): string =>
  [value, ...(endValue === null ? [] : [endValue])].map((q) => formatQuantity(q, quantity, format)).join(' to ')

function PointValue({ loads }: { readonly loads: readonly PointLoad[] }) {
  const fieldOf = useFieldOf()
  const format = useFormat()
  const force = loads.reduce((sum, { value }) => sum + value, 0)
  return (
    <Line reference="at its point, downwards" result={<Value value={force} quantity="force" />}>
      <QuantityField {...fieldOf(loads, 'value', 'point load')} />
      <Several records={loads} textOf={({ value }) => formatQuantity(value, 'force', format)} />
    </Line>
  )
}

/** Even, or from one value to another along a way. */
function AreaValues({ loads }: { readonly loads: readonly AreaLoad[] }) {
  const fieldOf = useFieldOf()
  const format = useFormat()
  const choiceOf = useChoiceOf()
  const slopes = useRecords('slope')
  const area = loads.reduce((sum, { outline }) => sum + Math.abs(signedArea(outline)), 0)
  const mayLie = loads.some(
    ({ layout, measured }) => measured !== 'plan' || slopes.some((one) => one.layout === layout),
  )
  return (
    <>
      <Line
        reference={mayLie ? 'over its plan area' : 'per plan area, downwards'}
        result={<Value value={area} quantity="area" strong={false} />}
      >
        <QuantityField {...fieldOf(loads, 'value', 'area load')} />
        <Several records={loads} textOf={(load) => valuesText(load, 'pressure', format)} />
      </Line>
      {mayLie && (
        <Line reference="measured">
          <Choice {...choiceOf(loads, 'measured', 'measured', { label: 'Direction and area', options: measures })} />
          <Several records={loads} textOf={({ measured }) => wordOf(measures, measured)} />
        </Line>
      )}
      <Line reference="at its end">
        <QuantityField
          {...fieldOf(loads, 'endValue', 'area load at its end', { optional: true, placeholder: 'uniform' })}
        />
        {loads.some(({ endValue }) => endValue !== null) && (
          <>
            , varying linearly along{' '}
            <QuantityField
              {...fieldOf(loads, 'angle', 'direction of variation', { min: -2 * Math.PI, max: 2 * Math.PI })}
            />{' '}
            from east
          </>
        )}
      </Line>
    </>
  )
}

/** Permanent, or imposed with the use whose factors it goes by. */
function NatureLine({ loads }: { readonly loads: readonly TypedLoad[] }) {
  const choiceOf = useChoiceOf()
  const uses = useUses()
  const terms = useTerms()
  const natures = [
    ['permanent', terms.permanent],
    ['imposed', terms.imposed],
  ] as const
  return (
    <Line reference="acts as">
      <Choice {...choiceOf(loads, 'nature', 'acts as', { label: 'Nature of the load', options: natures })} />{' '}
      {loads.every(({ nature }) => nature === 'imposed') && (
        <Choice {...choiceOf(loads, 'use', 'use', { ...uses, label: 'Use of the load' })} />
      )}
      <Several records={loads} textOf={({ nature, use: of }) => (of ? `${terms[nature]}, ${of}` : terms[nature])} />
    </Line>
  )
}

/** The typed loads of a layout, each in one line. */
export const TypedLoadsOfLayout = memo(function TypedLoadsOfLayout({
  layout,
  levelId,
}: {
  readonly layout: Layout
  readonly levelId: string
}) {
  const format = useFormat()
  const all: readonly TypedLoad[] = [...useRecords('lineLoad'), ...useRecords('pointLoad'), ...useRecords('areaLoad')]
  const loads = all.filter((load) => load.layout === layout.id).sort((a, b) => byNumber.compare(a.label, b.label))
  return (
    <Section title="Line, point and area loads">
      {loads.length === 0 && <Note>None yet. Draw one for a stair, equipment or a facade.</Note>}
      {loads.map((load) => (
        <PickLine
          key={load.id}
          id={expanded(load.id, levelId)}
          reference={load.label}
          name={load.what === '' ? kindNames[load.kind].toLowerCase() : load.what}
          result={<Value value={load.value} quantity={typedValue(load).quantity} address={`typed:${load.id}`} />}
        >
          {' '}
          <small>
            {load.kind !== 'pointLoad' &&
              load.endValue !== null &&
              `to ${formatQuantity(load.endValue, typedValue(load).quantity, format)}, `}
            {load.nature}
          </small>
        </PickLine>
      ))}
    </Section>
  )
})
