import { memo } from 'react'
import { newId, useNames, uses, type BuildUp, type Layout, type LoadKey, type Traced, type Use } from '@hedrion/core'
import { useAnswer, useRecord, useRecords } from '../../compute/SessionContext'
import { useEdit, useNote } from '../../compute/useEdit'
import { ConcernsHere } from '../../sheet/ConcernsHere'
import { NameField } from '../../sheet/NameField'
import { Line, Section } from '../../sheet/Sheet'
import { Symbol } from '../../sheet/Symbol'
import { useFieldOf } from '../../sheet/useFieldOf'
import { Value } from '../../sheet/Value'
import { Button } from '../../ui/Button'
import { Choice } from '../../ui/Choice'
import { QuantityField } from '../../ui/QuantityField'
import { Later } from '../../ui/Later'
import { BuildUpLines } from './BuildUpLines'

const noUse = 'none'

/** The load keys of the layout first, then the others: build-up, use, partitions. */
export const KeyLines = memo(function KeyLines({ layout }: { readonly layout: Layout }) {
  const keys = useRecords('loadKey')
  const patches = useRecords('patch')
  const edit = useEdit()
  const used = new Set<string>([
    layout.defaultKey ?? '',
    ...patches.filter((patch) => patch.layout === layout.id).map(({ key }) => key),
  ])
  const add = () => {
    const buildUp: BuildUp = {
      kind: 'buildUp',
      id: newId('buildUp', Math.random),
      name: `Build-up ${keys.length + 1}`,
      layers: [],
    }
    const key: LoadKey = {
      kind: 'loadKey',
      id: newId('loadKey', Math.random),
      name: `Key ${keys.length + 1}`,
      buildUp: buildUp.id,
      use: null,
      imposed: null,
      partitionWeight: null,
    }
    edit.add(`New load key ${key.name}`, [buildUp, key])
  }
  const sorted = [...keys].sort(
    (a, b) => Number(used.has(b.id)) - Number(used.has(a.id)) || a.name.localeCompare(b.name),
  )
  return (
    <>
      {sorted.map((key, i) => (
        <Later key={key.id} after={i}>
          <KeySection loadKey={key} here={used.has(key.id)} />
        </Later>
      ))}
      <Section title="">
        <Line reference="">
          <Button kind="link" onPress={add}>
            Add a load key
          </Button>
        </Line>
      </Section>
    </>
  )
})

const KeySection = memo(function KeySection({ loadKey, here }: { readonly loadKey: LoadKey; readonly here: boolean }) {
  const edit = useEdit()
  const loads = useAnswer({ kind: 'keys' })?.find(({ key }) => key.id === loadKey.id)
  const buildUp = useRecord(loadKey.buildUp)
  return (
    <Section
      title={
        <>
          Load key <NameField label="Name of the load key" record={loadKey} maxLength={60} />
        </>
      }
      aside={
        here ? (
          <small>on this layout</small>
        ) : (
          <Button kind="link" onPress={() => edit.remove(`Deleted load key ${loadKey.name}`, [loadKey])}>
            delete
          </Button>
        )
      }
    >
      {buildUp?.kind === 'buildUp' && <BuildUpLines buildUp={buildUp} />}
      <Line
        reference="permanent"
        result={
          loads && <Value value={loads.buildUp.value} quantity="pressure" address={`key:${loadKey.id}:buildUp`} />
        }
      >
        <Symbol name="g" /> = sum of the layers
      </Line>
      <UseLine loadKey={loadKey} />
      {loads?.concentrated && (
        <Line
          reference={clauseOf(loads.concentrated) ?? 'concentrated'}
          result={
            <Value
              value={loads.concentrated.value}
              quantity="force"
              address={`key:${loadKey.id}:concentrated`}
              strong={false}
            />
          }
        >
          <Symbol name="Q_k" /> <small>alone, for the local check: in no case (6.2.1(3)P)</small>
        </Line>
      )}
      <PartitionLine loadKey={loadKey} />
      <ConcernsHere ids={[loadKey.id, loadKey.buildUp ?? ''].join()} />
    </Section>
  )
})

/** The clause that a value of the standard is from, and whether it is remembered. */
const clauseOf = (traced: Traced | null): string | undefined =>
  traced?.basis.kind === 'parameter'
    ? `${traced.basis.clause}${traced.basis.fromMemory ? ', from memory' : ''}`
    : undefined

/** The use gives the imposed load; a typed value stands instead of it. */
function UseLine({ loadKey }: { readonly loadKey: LoadKey }) {
  const edit = useEdit()
  const note = useNote()
  const fieldOf = useFieldOf()
  const loads = useAnswer({ kind: 'keys' })?.find(({ key }) => key.id === loadKey.id)
  const options = [
    [noUse, 'no use'] as const,
    ...uses.map((use) => [use as string, `${use} · ${useNames[use]}`] as const),
  ]
  return (
    <Line
      reference={clauseOf(loads?.imposed ?? null) ?? 'imposed'}
      result={
        loads?.imposed && (
          <Value value={loads.imposed.value} quantity="pressure" address={`key:${loadKey.id}:imposed`} />
        )
      }
    >
      <Choice
        label={`Use of ${loadKey.name}`}
        value={loadKey.use ?? noUse}
        options={options}
        onChange={(chosen) => {
          const use: Use | null = uses.find((entry) => entry === chosen) ?? null
          edit.set(loadKey, note.text(loadKey, 'use', loadKey.use ?? 'none', use ?? 'none'), { use })
        }}
      />{' '}
      {loadKey.use !== null && (
        <>
          <Symbol name="q_k" />{' '}
          <QuantityField
            {...fieldOf(loadKey, 'imposed', `typed imposed load of ${loadKey.name}`, 'pressure', {
              min: 0,
              max: 1e6,
              optional: true,
              placeholder: 'by use',
            })}
          />
        </>
      )}
    </Line>
  )
}

function PartitionLine({ loadKey }: { readonly loadKey: LoadKey }) {
  const fieldOf = useFieldOf()
  const loads = useAnswer({ kind: 'keys' })?.find(({ key }) => key.id === loadKey.id)
  if (loadKey.use === null) return null
  return (
    <Line
      reference="partitions, EN 1991-1-1 6.3.1.2(8)"
      result={
        loads?.partitions && (
          <Value value={loads.partitions.value} quantity="pressure" address={`key:${loadKey.id}:partitions`} />
        )
      }
    >
      walls of{' '}
      <QuantityField
        {...fieldOf(loadKey, 'partitionWeight', `partition weight of ${loadKey.name}`, 'lineLoad', {
          min: 0,
          max: 1e5,
          optional: true,
          placeholder: 'none',
        })}
      />
    </Line>
  )
}
