import styled from 'styled-components'
import {
  numberField,
  expanded,
  formatQuantity,
  freeSides,
  joistsOn,
  readJoists,
  type Panel,
  typedExample,
  withOverhangs,
} from '@hedrion/core'
import { useFormat, useGetDocument, useRecords } from '../../compute/SessionContext'
import { useEdit, useNote } from '../../compute/useEdit'
import { useLevel } from '../../drawing/useLevel'
import { Working } from '../../sheet/Chain'
import { ConcernsHere } from '../../sheet/ConcernsHere'
import { setDraft } from '../../sheet/draftStore'
import { lights } from '../../sheet/litStore'
import { NameField } from '../../sheet/NameField'
import { Several } from '../../sheet/Several'
import { Line, Section } from '../../sheet/Sheet'
import { severalWord, shared, wordOf } from '../../sheet/several'
import { useChoiceOf } from '../../sheet/useChoiceOf'
import { useLook } from '../../state/look'
import { Choice } from '../../ui/Choice'
import { QuantityField } from '../../ui/QuantityField'
import { TextLine } from '../../ui/TextLine'
import { SharingLines } from './SharingLines'

const edgeChoices = [
  ['drawn', 'as drawn'],
  ['ring', 'follow the enclosing beams'],
  ['rings', 'follow the surrounding beams'],
] as const

/** Span, slab and rules of the picked panels. */
export function PanelLines({ panels }: { readonly panels: readonly Panel[] }) {
  const materials = useRecords('material')
  const edit = useEdit()
  const note = useNote()
  const choiceOf = useChoiceOf()
  const [first] = panels
  if (!first) return null
  const set = (what: string, fields: (panel: Panel) => Partial<Panel>) =>
    edit.setEach(panels, `${note.subject(panels)}: ${what}`, fields)
  const material = materials.find(({ unitWeight }) => unitWeight > 20_000 && unitWeight < 30_000) ?? materials[0]
  return (
    <Section title={panels.length === 1 ? 'Panel' : `${panels.length} panels`}>
      {panels.length === 1 && (
        <Line reference="label">
          <NameField label="Label" record={first} />
        </Line>
      )}
      <Line reference="edges">
        <Choice {...choiceOf(panels, 'edges', 'edges', { label: 'Edges', options: edgeChoices })} />
        <Several records={panels} textOf={({ edges }) => wordOf(edgeChoices, edges)} />
      </Line>
      <SlabLine panels={panels} materialId={material?.id ?? null} set={set} />
      {panels.length === 1 && <Working reference="self-weight" address={`slab:${first.id}`} />}
      <SlabEdgeLine panels={panels} />
      <JoistLine panels={panels} />
      <SharingLines panels={panels} set={set} />
      <ConcernsHere ids={panels.map(({ id }) => id).join()} />
    </Section>
  )
}

/** How far the slab stands out beyond what carries each free side; of several panels all of their free sides at once. */
function SlabEdgeLine({ panels }: { readonly panels: readonly Panel[] }) {
  const edit = useEdit()
  const note = useNote()
  const format = useFormat()
  const all = useRecords('panel')
  const members = useRecords('member')
  const around = (panel: Panel) =>
    [
      all.filter(({ id, layout }) => layout === panel.layout && id !== panel.id),
      members.filter(({ layout }) => layout === panel.layout),
    ] as const
  const sides = panels.flatMap((panel) => freeSides(panel, ...around(panel)))
  if (sides.length === 0) return null
  const set = (facing: string | null, overhang: number | null): string | undefined => {
    if (overhang === null) return 'Enter an overhang; 0 for a slab that ends on its beam.'
    const length = formatQuantity(overhang, 'length', format)
    return edit.setEach(
      panels,
      `${note.subject(panels)}: slab edge overhang${facing === null ? '' : `, ${facing}`} ${length}`,
      (panel) => ({
        outline: withOverhangs(panel, ...around(panel), (side) =>
          facing === null || side.facing === facing ? overhang : null,
        ),
      }),
    )
  }
  const overhangs = sides.map(({ overhang }) => overhang)
  return (
    <Line reference="slab edge overhang">
      {panels.length === 1 ? (
        sides.map(({ facing, overhang }) => (
          <Side key={facing}>
            {facing}{' '}
            <QuantityField
              label={`Slab edge overhang, ${facing}`}
              quantity="length"
              format={format}
              value={overhang}
              placeholder="no beam"
              optional
              min={-20}
              max={20}
              onCommit={(value) => set(facing, value)}
            />
          </Side>
        ))
      ) : (
        <>
          on all free sides{' '}
          <QuantityField
            label="Slab edge overhang"
            quantity="length"
            format={format}
            value={shared(overhangs)}
            placeholder={severalWord}
            optional
            min={-20}
            max={20}
            onCommit={(value) => set(null, value)}
          />
        </>
      )}
    </Line>
  )
}

const Side = styled.span`
  display: inline-block;
  margin-right: 14px;
`

/** Joists at a spacing across the span; how many there would be is said first. */
function JoistLine({ panels }: { readonly panels: readonly Panel[] }) {
  const getDocument = useGetDocument()
  const edit = useEdit()
  const note = useNote()
  const format = useFormat()
  const [, change] = useLook()
  const { level } = useLevel()
  const made = (text: string) => {
    const read = readJoists(text, format)
    return read.ok ? joistsOn(panels, read.joists, getDocument(), Math.random) : read
  }
  const put = (text: string): string | undefined => {
    if (text === '') return undefined
    const found = made(text)
    if (!found.ok) return found.problem
    const refused = edit.add(`${note.subject(panels)}: joists ${text}`, found.joists)
    if (!refused && level) change({ picked: found.joists.map(({ id }) => expanded(id, level.id)) })
    return refused
  }
  const preview = (text: string) => {
    const found = made(text)
    return found.ok ? `Enter adds ${found.joists.length} ${found.joists.length === 1 ? 'joist' : 'joists'}.` : undefined
  }
  return (
    <Line reference="joists">
      across the span{' '}
      <TextLine
        label="Joists across the span"
        value=""
        placeholder={typedExample('joists', format)}
        preview={preview}
        onCommit={put}
      />
    </Line>
  )
}

interface SlabLineProps {
  readonly panels: readonly Panel[]
  readonly materialId: `material:${string}` | null
  readonly set: (what: string, fields: (panel: Panel) => Partial<Panel>) => string | undefined
}

/** The slab weighs in the case of self-weight, and nowhere else. */
function SlabLine({ panels, materialId, set }: SlabLineProps) {
  const format = useFormat()
  const thicknesses = panels.map(({ slab }) => slab?.thickness ?? null)
  const thickness = shared(thicknesses)
  const [first] = panels
  const usual = first?.slab?.material ?? materialId
  /** A panel keeps the material of its slab; one without takes the usual. */
  const slabOf = ({ slab }: Panel, value: number | null): Partial<Panel> => {
    const of = slab?.material ?? usual
    return { slab: value !== null && of ? { thickness: value, material: of } : null }
  }
  return (
    <Line reference="slab">
      <QuantityField
        label="Thickness of the slab"
        {...numberField('panel', 'slab.thickness')}
        format={format}
        value={thickness}
        placeholder={thicknesses.some((value) => value !== thicknesses[0]) ? severalWord : 'none'}
        optional
        onFocusChange={lights(panels.map(({ id }) => id))}
        onDraft={(value) =>
          setDraft(
            value === undefined
              ? null
              : panels.map((before) => ({ id: before.id, before, after: { ...before, ...slabOf(before, value) } })),
          )
        }
        onCommit={(value) => {
          if (value !== null && !usual) return 'Add a material first.'
          const what = value === null ? 'no slab' : `slab ${formatQuantity(value, 'smallLength', format)}`
          return set(what, (panel) => slabOf(panel, value))
        }}
      />
      <Several
        records={panels}
        textOf={({ slab }) => (slab ? formatQuantity(slab.thickness, 'smallLength', format) : 'no slab')}
      />
    </Line>
  )
}
