import { Fragment, memo, useState } from 'react'
import {
  cut,
  formatQuantity,
  newId,
  readSection,
  stockSections,
  stockMaterials,
  type Material,
  type Section as SectionRecord,
  stockExamples,
} from '@hedrion/core'
import { useFormat, useRecords } from '../../compute/SessionContext'
import { useEdit } from '../../compute/useEdit'
import { ConcernsHere } from '../../sheet/ConcernsHere'
import { NameField } from '../../sheet/NameField'
import { Line, Section } from '../../sheet/Sheet'
import { useFieldOf } from '../../sheet/useFieldOf'
import { Button } from '../../ui/Button'
import { Lookup } from '../../ui/Lookup'
import { QuantityField } from '../../ui/QuantityField'

/** Sections and materials that members and slabs are made of. */
export const StockLines = memo(function StockLines() {
  const sections = useRecords('section')
  const materials = useRecords('material')
  const [adding, setAdding] = useState<'section' | 'material' | null>(null)
  const done = () => setAdding(null)
  return (
    <>
      <Section
        title="Sections"
        aside={
          <Button kind="link" onPress={() => setAdding('section')}>
            Add section
          </Button>
        }
      >
        {adding === 'section' && <NewSection onDone={done} />}
        {sections.map((section) => (
          <Fragment key={section.id}>
            <SectionLine section={section} />
            <ConcernsHere ids={section.id} />
          </Fragment>
        ))}
      </Section>
      <Section
        title="Materials"
        aside={
          <Button kind="link" onPress={() => setAdding('material')}>
            Add material
          </Button>
        }
      >
        {adding === 'material' && <NewMaterial onDone={done} />}
        {materials.map((material) => (
          <Fragment key={material.id}>
            <MaterialLine material={material} />
            <ConcernsHere ids={material.id} />
          </Fragment>
        ))}
      </Section>
    </>
  )
})

interface NewProps {
  readonly onDone: () => void
}

/** A rolled section by its name, or a shape by its dimensions. */
function NewSection({ onDone }: NewProps) {
  const format = useFormat()
  const edit = useEdit()
  const entries = [...stockSections].map(([name, shape]) => ({
    id: name,
    text: name,
    detail: `${formatQuantity(shape.depth, 'smallLength', format)} deep, ${formatQuantity(shape.area, 'sectionArea', format)}`,
  }))
  const add = (text: string): string | undefined => {
    const read = readSection(text, format, Math.random)
    return read.ok ? edit.add(`New section ${read.section.name}`, [read.section]) : read.problem
  }
  return (
    <Line reference="new">
      <Lookup
        label="New section"
        placeholder={stockExamples.sections.join(', ')}
        entries={entries}
        onChoose={add}
        onText={add}
        onLeave={onDone}
      />
    </Line>
  )
}

/** A material of the standards' tables, or one of one's own name with values to be typed. */
function NewMaterial({ onDone }: NewProps) {
  const format = useFormat()
  const edit = useEdit()
  const entries = stockMaterials.map(({ name, unitWeight }) => ({
    id: name,
    text: name,
    detail: formatQuantity(unitWeight, 'unitWeight', format),
  }))
  const add = (fields: Omit<Material, 'kind' | 'id'>) =>
    edit.add(`New material ${fields.name}`, [{ kind: 'material', id: newId('material', Math.random), ...fields }])
  const choose = (name: string) => {
    const found = stockMaterials.find((entry) => entry.name === name)
    if (found) add(found)
  }
  return (
    <Line reference="new">
      <Lookup
        label="New material"
        placeholder={`${stockExamples.materials.join(', ')}, or a name`}
        entries={entries}
        onChoose={choose}
        onText={(name) =>
          name === ''
            ? 'Enter a material name.'
            : add({ name: cut(name, 60), unitWeight: 24_000, elasticModulus: 30e9, source: '' })
        }
        onLeave={onDone}
      />
    </Line>
  )
}

function SectionLine({ section }: { readonly section: SectionRecord }) {
  const edit = useEdit()
  const fieldOf = useFieldOf()
  return (
    <Line
      reference={section.assumed ? 'assumed' : section.source}
      result={
        <Button
          kind="link"
          aria-label={`Delete section ${section.name}`}
          onPress={() => edit.remove(`Deleted section ${section.name}`, [section])}
        >
          delete
        </Button>
      }
    >
      <NameField label="Name of the section" record={section} maxLength={60} /> A{' '}
      <QuantityField {...fieldOf(section, 'area', `area of ${section.name}`, { forgetsSource: true })} /> deep{' '}
      <QuantityField {...fieldOf(section, 'depth', `depth of ${section.name}`, { forgetsSource: true })} />
    </Line>
  )
}

function MaterialLine({ material }: { readonly material: Material }) {
  const edit = useEdit()
  const fieldOf = useFieldOf()
  return (
    <Line
      reference={material.source}
      result={
        <Button
          kind="link"
          aria-label={`Delete material ${material.name}`}
          onPress={() => edit.remove(`Deleted material ${material.name}`, [material])}
        >
          delete
        </Button>
      }
    >
      <NameField label="Name of the material" record={material} maxLength={60} /> γ{' '}
      <QuantityField {...fieldOf(material, 'unitWeight', `unit weight of ${material.name}`, { forgetsSource: true })} />
    </Line>
  )
}
