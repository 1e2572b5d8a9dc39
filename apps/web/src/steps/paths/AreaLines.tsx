import { formatValue, leastFloor, unitOf, type ColumnView, largest } from '@hedrion/core'
import styled from 'styled-components'
import { useFormat } from '../../compute/SessionContext'
import { Section } from '../../sheet/Sheet'
import { TableOut } from '../../ui/TableOut'
import { BesideStrip, ColumnTable, rowHeight } from './ColumnTable'
import { rowsFromAbove } from './columnWords'

const width = 84
const head = rowHeight

/** Floor that a column supports from each level up, by use: a strip that grows downwards, and a table. */
export function AreaLines({ view, picked }: { readonly view: ColumnView; readonly picked: string }) {
  const format = useFormat()
  const { uses, hangs } = view
  const rows = rowsFromAbove(view)
  if (rows.every(({ cumulativeArea }) => cumulativeArea < leastFloor)) return null
  const unit = unitOf('area', format)
  const withoutUse = rows.map(
    ({ cumulativeArea, areas }) => cumulativeArea - areas.reduce((sum, area) => sum + area, 0),
  )
  const hasNone = withoutUse.some((area) => area > leastFloor)
  const names = [...uses.map(shortUse), ...(hasNone ? ['no use'] : [])]
  const parts = rows.map(({ areas }, i) => [...areas, ...(hasNone ? [withoutUse[i] ?? 0] : [])])
  const cells = (i: number) =>
    [...(parts[i] ?? []), rows[i]?.cumulativeArea ?? 0].map((area) => formatValue(area, 'area', format))
  const text = () => [
    ['level', ...names.map((name) => `${name}, ${unit}`), `total, ${unit}`],
    ...rows.map(({ levelName }, i) => [levelName, ...cells(i)]),
  ]
  return (
    <Section
      title={hangs ? 'Floor area by use, from each level down' : 'Floor area by use, from each level up'}
      aside={<TableOut name="floor by use" label="Copy areas" rows={text} />}
    >
      <BesideStrip>
        <AreaStrip parts={parts} hangs={hangs} />
        <ColumnTable aria-label="Floor area by use">
          <thead>
            <tr>
              <th>level</th>
              {names.map((name, k) => (
                <th key={name}>
                  <Sample style={{ opacity: shade(k, names.length) }} aria-hidden />
                  {name}
                </th>
              ))}
              <th>total, {unit}</th>
            </tr>
          </thead>
          <tbody>
            {rows.map(({ expandedId, levelName }, i) => (
              <tr key={expandedId} data-lit={expandedId === picked || undefined}>
                <th scope="row">{levelName}</th>
                {cells(i).map((cell, k) => (
                  <td key={k}>{cell}</td>
                ))}
              </tr>
            ))}
          </tbody>
        </ColumnTable>
      </BesideStrip>
    </Section>
  )
}

/** As on the case: "imposed, category C" is category C here. */
const shortUse = (name: string): string => name.replace(/^[^,]*, /, '')

/** The first use is darkest. */
const shade = (k: number, count: number): number => 0.85 - (0.65 * k) / Math.max(1, count - 1)

interface AreaStripProps {
  readonly parts: readonly (readonly number[])[]
  readonly hangs: boolean
}

function AreaStrip({ parts, hangs }: AreaStripProps) {
  const most = Math.max(
    leastFloor,
    largest(parts.map((areas) => areas.reduce((sum, area) => sum + Math.max(0, area), 0))),
  )
  const count = parts[0]?.length ?? 0
  return (
    <svg
      width={width}
      height={head + parts.length * rowHeight}
      role="img"
      aria-label={
        hangs
          ? 'Floor area supported by the hanger, accumulated upwards'
          : 'Floor area supported by the column, accumulated downwards'
      }
    >
      {parts.flatMap((areas, i) => {
        let from = 0
        return areas.map((area, k) => {
          const x = from
          const across = (Math.max(0, area) / most) * (width - 4)
          from += across
          return (
            <rect
              key={`${i}/${k}`}
              x={x}
              y={head + i * rowHeight}
              width={across}
              height={rowHeight}
              fill="var(--accent)"
              fillOpacity={shade(k, count)}
              stroke="var(--sheet)"
              strokeWidth={0.5}
            />
          )
        })
      })}
    </svg>
  )
}

const Sample = styled.span`
  display: inline-block;
  width: 9px;
  height: 9px;
  margin-right: 4px;
  background: var(--accent);
`
