import { useState } from 'react'
import {
  formatQuantity,
  formatValue,
  sourceOf,
  unitWeights,
  withTyped,
  type BuildUp,
  type UnitWeight,
} from '@hedrion/core'
import styled from 'styled-components'
import { useFormat } from '../../compute/SessionContext'
import { useEdit } from '../../compute/useEdit'
import { setDraft } from '../../sheet/draftStore'
import { lights } from '../../sheet/litStore'
import { Line } from '../../sheet/Sheet'
import { Value } from '../../sheet/Value'
import { Button } from '../../ui/Button'
import { Lookup } from '../../ui/Lookup'
import { QuantityField } from '../../ui/QuantityField'
import { TextLine } from '../../ui/TextLine'

type Layer = BuildUp['layers'][number]

/** The layers of a build-up: thickness × unit weight, or a load typed as it is. */
export function BuildUpLines({ buildUp }: { readonly buildUp: BuildUp }) {
  const edit = useEdit()
  const [looking, setLooking] = useState(false)
  const setLayers = (note: string, layers: readonly Layer[]) =>
    edit.set(buildUp, `Build-up ${buildUp.name}: ${note}`, { layers })
  const add = (layer: Layer) => setLayers(`layer ${layer.name} added`, [...buildUp.layers, layer])
  return (
    <>
      {buildUp.layers.map((layer, index) => (
        <LayerLine key={index} buildUp={buildUp} layer={layer} index={index} />
      ))}
      <Line reference="layers">
        <Button
          kind="link"
          onPress={() => add({ name: 'screed', thickness: 0.05, unitWeight: 20_000, load: null, source: '' })}
        >
          Add a layer by thickness
        </Button>
        {' · '}
        <Button
          kind="link"
          onPress={() => add({ name: 'finishes', thickness: null, unitWeight: null, load: 500, source: '' })}
        >
          by load
        </Button>
        {' · '}
        <Button kind="link" onPress={() => setLooking(true)}>
          from a table
        </Button>
      </Line>
      {looking && <LayerFromTable onAdd={add} onDone={() => setLooking(false)} />}
    </>
  )
}

interface LayerFromTableProps {
  readonly onAdd: (layer: Layer) => string | undefined
  readonly onDone: () => void
}

/** A layer of a material whose unit weight a standard gives; of a range the upper value is taken. */
function LayerFromTable({ onAdd, onDone }: LayerFromTableProps) {
  const format = useFormat()
  const weight = ({ from, to }: UnitWeight) =>
    from === to
      ? formatQuantity(to, 'unitWeight', format)
      : `${formatValue(from, 'unitWeight', format)} to ${formatQuantity(to, 'unitWeight', format)}`
  const idOf = ({ clause, name }: UnitWeight) => `${clause} ${name}`
  const choose = (id: string) => {
    const row = unitWeights.find((entry) => idOf(entry) === id)
    if (!row) return
    onAdd({ name: row.name, thickness: 0.05, unitWeight: row.to, load: null, source: sourceOf(row) })
  }
  return (
    <Line reference="new">
      <Lookup
        label="Material of the layer"
        placeholder="mortar, plywood, granite"
        entries={unitWeights.map((row) => ({
          id: idOf(row),
          text: row.name,
          group: `${row.group}, ${row.clause.replace(/ table.*/, '')}`,
          detail: weight(row),
        }))}
        onChoose={choose}
        onText={(text) =>
          text === ''
            ? 'Type a word of its name.'
            : onAdd({ name: text.slice(0, 60), thickness: 0.05, unitWeight: 20_000, load: null, source: '' })
        }
        onLeave={onDone}
      />
    </Line>
  )
}

interface LayerLineProps {
  readonly buildUp: BuildUp
  readonly layer: Layer
  readonly index: number
}

function LayerLine({ buildUp, layer, index }: LayerLineProps) {
  const edit = useEdit()
  const format = useFormat()
  const withLayer = (next: Layer | null): BuildUp => ({
    ...buildUp,
    layers: buildUp.layers.flatMap((old, i) => (i === index ? (next ? [next] : []) : [old])),
  })
  const replace = (note: string, next: Layer | null, typed?: { path: string; text: string | undefined }) => {
    const after = withTyped(withLayer(next), typed)
    return edit.apply(`Build-up ${buildUp.name}: ${note}`, [{ id: buildUp.id, before: buildUp, after }])
  }
  const field = (
    key: 'thickness' | 'unitWeight' | 'load',
    quantity: 'smallLength' | 'unitWeight' | 'pressure',
    max: number,
  ) => (
    <QuantityField
      label={`${key === 'unitWeight' ? 'unit weight' : key} of ${layer.name}`}
      quantity={quantity}
      format={format}
      value={layer[key]}
      typed={buildUp.typed?.[`layers.${index}.${key}`]}
      min={key === 'load' ? -max : 0}
      max={max}
      onFocusChange={lights([buildUp.id])}
      onDraft={(value) =>
        setDraft(
          value === undefined
            ? null
            : [{ id: buildUp.id, before: buildUp, after: withLayer({ ...layer, [key]: value }) }],
        )
      }
      onCommit={(value, text) =>
        replace(
          `${layer.name} ${key === 'unitWeight' ? 'unit weight' : key}`,
          // another unit weight is not the table's any more; another thickness is
          { ...layer, [key]: value, ...(key === 'thickness' ? {} : { source: '' }) },
          { path: `layers.${index}.${key}`, text },
        )
      }
    />
  )
  const weight = layer.load ?? (layer.thickness ?? 0) * (layer.unitWeight ?? 0)
  return (
    <Line
      reference={
        <>
          <TextLine
            label="Name of the layer"
            value={layer.name}
            onCommit={(name) =>
              name === '' ? 'A layer needs a name.' : replace(`${layer.name} is called ${name}`, { ...layer, name })
            }
          />
          {layer.source !== '' && <Source>{layer.source}</Source>}
        </>
      }
      result={
        <>
          <Value value={weight} quantity="pressure" />{' '}
          <Button
            kind="link"
            aria-label={`Delete layer ${layer.name}`}
            onPress={() => replace(`layer ${layer.name} deleted`, null)}
          >
            ×
          </Button>
        </>
      }
    >
      {layer.load === null ? (
        <>
          {field('thickness', 'smallLength', 10)} · {field('unitWeight', 'unitWeight', 2e5)} =
        </>
      ) : (
        field('load', 'pressure', 1e6)
      )}
    </Line>
  )
}

const Source = styled.small`
  display: block;
  font-size: 12px;
`
