import { useState } from 'react'
import {
  numberField,
  buildUpWeight,
  layerTableLimits,
  readLayerTable,
  withTyped,
  type BuildUp,
  type SlabUnderKey,
  typedExample,
} from '@hedrion/core'
import { useFormat } from '../../compute/SessionContext'
import { useEdit } from '../../compute/useEdit'
import { setDraft } from '../../sheet/draftStore'
import { lights } from '../../sheet/litStore'
import { CellsField, CellsProblem } from '../../sheet/CellsField'
import { Line } from '../../sheet/Sheet'
import { Value } from '../../sheet/Value'
import { Button } from '../../ui/Button'
import { QuantityField } from '../../ui/QuantityField'
import { TextLine } from '../../ui/TextLine'
import { BuildUpPicture } from './BuildUpPicture'
import { LayerFromTable } from './LayerFromTable'

type Layer = BuildUp['layers'][number]

interface BuildUpLinesProps {
  readonly buildUp: BuildUp
  /** The slabs that carry it, drawn under it. */
  readonly slabs?: readonly SlabUnderKey[]
  /** Of a wall. */
  readonly upright?: boolean
}

const none: readonly SlabUnderKey[] = []

/** The layers of a build-up: thickness × unit weight, or a load typed as it is. */
export function BuildUpLines({ buildUp, slabs = none, upright = false }: BuildUpLinesProps) {
  const edit = useEdit()
  const [looking, setLooking] = useState(false)
  const [pasting, setPasting] = useState(false)
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
          Add layer by thickness
        </Button>
        {' · '}
        <Button
          kind="link"
          onPress={() => add({ name: 'finishes', thickness: null, unitWeight: null, load: 500, source: '' })}
        >
          by weight
        </Button>
        {' · '}
        <Button kind="link" onPress={() => setLooking(true)}>
          from a table
        </Button>
        {' · '}
        <Button kind="link" onPress={() => setPasting(!pasting)}>
          pasted
        </Button>
      </Line>
      <BuildUpPicture buildUp={buildUp} slabs={slabs} upright={upright} />
      {pasting && (
        <PastedLayers
          onAdd={(layers) => {
            const refused = setLayers(`${layers.length} layers pasted`, [...buildUp.layers, ...layers])
            if (refused === undefined) setPasting(false)
            return refused
          }}
        />
      )}
      {looking && <LayerFromTable onAdd={add} onDone={() => setLooking(false)} />}
    </>
  )
}

/** Layers from pasted cells, read as one types, added when every row is understood. */
function PastedLayers({ onAdd }: { readonly onAdd: (layers: readonly Layer[]) => string | undefined }) {
  const format = useFormat()
  const [text, setText] = useState('')
  const [refused, setRefused] = useState<string | null>(null)
  const read = text.trim() === '' ? null : readLayerTable(text, format)
  return (
    <>
      <CellsField
        label="Table of layers"
        placeholder={typedExample('layers', format)}
        text={text}
        onText={setText}
        problems={read?.problems ?? []}
        nothing="Nothing can be added."
        limit={layerTableLimits.characters}
      />
      {refused !== null && <CellsProblem>{refused}</CellsProblem>}
      {read && read.problems.length === 0 && (
        <Line
          lit
          reference="together"
          result={
            <Button kind="primary" onPress={() => setRefused(onAdd(read.layers) ?? null)}>
              {read.layers.length === 1 ? 'Add one layer' : `Add ${read.layers.length} layers`}
            </Button>
          }
        >
          <Value value={buildUpWeight({ layers: read.layers }).value} quantity="pressure" strong={false} />
        </Line>
      )}
    </>
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
  const field = (key: 'thickness' | 'unitWeight' | 'load') => (
    <QuantityField
      label={`${key === 'unitWeight' ? 'unit weight' : key} of ${layer.name}`}
      {...numberField('buildUp', `layers.${index}.${key}`)}
      format={format}
      value={layer[key]}
      typed={buildUp.typed?.[`layers.${index}.${key}`]}
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
  return (
    <Line
      reference={layer.source === '' ? `layer ${index + 1}` : layer.source}
      result={
        <>
          <Value value={buildUpWeight({ layers: [layer] }).value} quantity="pressure" />{' '}
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
      <TextLine
        label="Name of the layer"
        value={layer.name}
        onCommit={(name) =>
          name === '' ? 'Enter a layer name.' : replace(`${layer.name} is called ${name}`, { ...layer, name })
        }
      />{' '}
      {layer.load === null ? (
        <>
          {field('thickness')} · {field('unitWeight')}
        </>
      ) : (
        field('load')
      )}
    </Line>
  )
}
