import { useMemo } from 'react'
import {
  cut,
  areaWeights,
  formatQuantity,
  formatValue,
  sourceOf,
  unitWeights,
  type BuildUp,
  type NumberFormat,
  type TabledWeight,
  stockExamples,
} from '@hedrion/core'
import { useFormat, useRecords } from '../../compute/SessionContext'
import { Line } from '../../sheet/Sheet'
import { Lookup } from '../../ui/Lookup'

type Layer = BuildUp['layers'][number]

/** What standards weigh by volume, and what they weigh by area as it is laid, hung or built. */
const tabledWeights = [...unitWeights, ...areaWeights]
const idOf = ({ clause, name }: TabledWeight) => `${clause} ${name}`

/** The layer that a row makes; of a range the upper value is taken. */
const layerOf = (row: TabledWeight): Layer => ({
  name: row.name,
  ...(row.per === 'volume'
    ? { thickness: 0.05, unitWeight: row.to, load: null }
    : { thickness: null, unitWeight: null, load: row.to }),
  source: sourceOf(row),
})

function weightText({ per, from, to }: TabledWeight, format: NumberFormat): string {
  const quantity = per === 'volume' ? 'unitWeight' : 'pressure'
  const upper = formatQuantity(to, quantity, format)
  return from === to ? upper : `${formatValue(from, quantity, format)} to ${upper}`
}

interface LayerFromTableProps {
  readonly onAdd: (layer: Layer) => string | undefined
  readonly onDone: () => void
}

/** A layer of a material whose weight a standard gives; the tables of the project's own family come first. */
export function LayerFromTable({ onAdd, onDone }: LayerFromTableProps) {
  const format = useFormat()
  const [basis] = useRecords('basis')
  const family = basis?.family ?? 'EN'
  const entries = useMemo(() => {
    const isOwn = ({ clause }: TabledWeight) => clause.startsWith(family)
    return [...tabledWeights.filter(isOwn), ...tabledWeights.filter((row) => !isOwn(row))].map((row) => ({
      id: idOf(row),
      text: row.name,
      group: `${row.group}, ${row.clause.replace(/ table.*/, '')}`,
      detail: weightText(row, format),
    }))
  }, [family, format])
  const choose = (id: string) => {
    const row = tabledWeights.find((entry) => idOf(entry) === id)
    if (row) onAdd(layerOf(row))
  }
  return (
    <Line reference="new">
      <Lookup
        label="Material of the layer"
        placeholder={stockExamples.layers.join(', ')}
        entries={entries}
        onChoose={choose}
        onText={(text) =>
          text === ''
            ? 'Enter part of its name.'
            : onAdd({ name: cut(text, 60), thickness: 0.05, unitWeight: 20_000, load: null, source: '' })
        }
        onLeave={onDone}
      />
    </Line>
  )
}
