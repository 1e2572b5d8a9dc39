import { numberField, concernSentence, doubtsOf, newId, type Basis, type ReductionTable } from '@hedrion/core'
import { useWords } from '../../compute/useWords'
import { useFormat, useRecord, useRecords } from '../../compute/SessionContext'
import { useEdit } from '../../compute/useEdit'
import { NameField } from '../../sheet/NameField'
import { Line, Note, Section, Warm } from '../../sheet/Sheet'
import { useChoiceOf } from '../../sheet/useChoiceOf'
import { useFieldOf } from '../../sheet/useFieldOf'
import { Button } from '../../ui/Button'
import { Choice } from '../../ui/Choice'
import { QuantityField } from '../../ui/QuantityField'

const standard = 'standard'
const fresh = 'fresh'

/** Whose factors hold: those of the standard, or of a table of the project's own. */
export function FactorsChoice({ basis }: { readonly basis: Basis }) {
  const inWords = useWords()
  const tables = useRecords('reductionTable')
  const edit = useEdit()
  const choose = (id: string) => {
    if (id === fresh) {
      const table: ReductionTable = {
        kind: 'reductionTable',
        id: newId('reductionTable', Math.random),
        name: `Project reduction ${tables.length + 1}`,
        form: 'area',
        rows: [
          { from: 50, factor: 1 },
          { from: 100, factor: 0.9 },
        ],
        leastStoreys: 0,
        appliesTo: 'columns',
      }
      edit.apply(`Reduction by ${table.name}`, [
        { id: table.id, before: null, after: table },
        { id: basis.id, before: basis, after: { ...basis, reductionTable: table.id } },
      ])
      return
    }
    const table = tables.find((entry) => entry.id === id)
    edit.set(basis, `Reduction by ${table ? table.name : 'the standard'}`, { reductionTable: table?.id ?? null })
  }
  return (
    <Line reference="factors">
      <Choice
        label={inWords('Factors for area or storeys')}
        value={basis.reductionTable ?? standard}
        options={[
          [standard, 'of the standard'],
          ...tables.map(({ id, name }) => [id as string, name] as const),
          [fresh, 'a new table'],
        ]}
        onChange={choose}
      />
    </Line>
  )
}

/** The table in use: rows by area or storeys, and what it is for. */
export function OwnReduction({ basis }: { readonly basis: Basis }) {
  const table = useRecord(basis.reductionTable ?? undefined)
  const edit = useEdit()
  if (table?.kind !== 'reductionTable') return null
  const remove = () =>
    edit.apply(`${table.name} deleted: factors of the standard apply`, [
      { id: basis.id, before: basis, after: { ...basis, reductionTable: null } },
      { id: table.id, before: table, after: null },
    ])
  return (
    <Section
      title="Project reduction table"
      aside={
        <Button kind="link" onPress={remove}>
          Delete
        </Button>
      }
    >
      <Words table={table} />
      <Rows table={table} />
      <Note>Replaces the standard’s factors for floors; roofs keep the factors of the standard.</Note>
    </Section>
  )
}

function Words({ table }: { readonly table: ReductionTable }) {
  const inWords = useWords()
  const choiceOf = useChoiceOf()
  const fieldOf = useFieldOf()
  return (
    <>
      <Line reference="name">
        <NameField label="Name of the table" record={table} maxLength={60} />
      </Line>
      <Line reference="form">
        <Choice
          {...choiceOf(table, 'form', 'form', {
            label: 'Form of the table',
            options: [
              ['floors', 'by number of floors, in steps'],
              ['area', 'by supported area, interpolated'],
            ],
          })}
        />
      </Line>
      <Line reference="applies to">
        <Choice
          {...choiceOf(table, 'appliesTo', 'applies to', {
            label: 'Applies to',
            options: [
              ['columns', 'columns'],
              ['beams', 'beams'],
              ['both', 'columns and beams'],
            ],
          })}
        />
        , from <QuantityField {...fieldOf(table, 'leastStoreys', inWords('minimum number of storeys'))} />{' '}
        {inWords('storeys and more')}
      </Line>
    </>
  )
}

function Rows({ table }: { readonly table: ReductionTable }) {
  const edit = useEdit()
  const format = useFormat()
  const quantity = table.form === 'area' ? 'area' : 'count'
  const set = (rows: ReductionTable['rows'], note: string) => edit.set(table, `${table.name}: ${note}`, { rows })
  const change = (index: number, fields: Partial<ReductionTable['rows'][number]>) =>
    set(
      table.rows.map((row, i) => (i === index ? { ...row, ...fields } : row)),
      `row ${index + 1}`,
    )
  const doubts = doubtsOf(table)
  const last = table.rows.at(-1)
  const add = () => {
    if (last)
      set([...table.rows, { from: last.from + (table.form === 'area' ? 50 : 1), factor: last.factor }], 'row added')
  }
  return (
    <>
      {table.rows.map(({ from, factor }, i) => (
        <Line
          key={i}
          reference={`row ${i + 1}`}
          result={
            table.rows.length > 1 && (
              <Button
                kind="link"
                aria-label={`Delete row ${i + 1}`}
                onPress={() =>
                  set(
                    table.rows.filter((_, k) => k !== i),
                    `row ${i + 1} deleted`,
                  )
                }
              >
                delete
              </Button>
            )
          }
        >
          {table.form === 'area' ? 'at' : 'from'}{' '}
          <QuantityField
            label={`row ${i + 1} from`}
            {...numberField('reductionTable', `rows.${i}.from`)}
            quantity={quantity}
            format={format}
            value={from}
            onCommit={(value) => (value === null ? 'Enter where the row starts.' : change(i, { from: value }))}
          />{' '}
          {table.form === 'area' ? 'factor' : 'and more, factor'}{' '}
          <QuantityField
            label={`row ${i + 1} factor`}
            {...numberField('reductionTable', `rows.${i}.factor`)}
            format={format}
            value={factor}
            onCommit={(value) => (value === null ? 'Enter a factor.' : change(i, { factor: value }))}
          />
          {doubts
            .filter(({ data }) => data['row'] === i + 1)
            .map((doubt) => (
              <Warm key={doubt.code}>{concernSentence(doubt, format)}</Warm>
            ))}
        </Line>
      ))}
      <Line
        reference=""
        result={
          <Button kind="link" onPress={add}>
            row added
          </Button>
        }
      >
        no reduction below the first row
      </Line>
    </>
  )
}
