import { HatchLine } from './HatchLine'
import { memo } from 'react'
import { blankLoadKey, givenHatch, newId, type BuildUp, type Layout, type LoadKey } from '@hedrion/core'
import { useWords } from '../../compute/useWords'
import { useAnswer, useRecord, useRecords } from '../../compute/SessionContext'
import { useEdit } from '../../compute/useEdit'
import { ConcernsHere } from '../../sheet/ConcernsHere'
import { NameField } from '../../sheet/NameField'
import { Line, Section } from '../../sheet/Sheet'
import { SymbolText } from '../../sheet/SymbolText'
import { Value } from '../../sheet/Value'
import { useCommand } from '../../state/commands'
import { Button } from '../../ui/Button'
import { OneByOne } from '../../ui/Later'
import { BuildUpLines } from './BuildUpLines'
import { PartitionLine } from './PartitionLine'
import { StageLines } from './StageLines'
import { clauseOf, UseLine } from './UseLine'

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
      ...blankLoadKey(`Key ${keys.length + 1}`, Math.random),
      ...givenHatch(keys),
      buildUp: buildUp.id,
    }
    edit.add(`New load key ${key.name}`, [buildUp, key])
  }
  useCommand('addLoadKey', add)
  const sorted = [...keys].sort(
    (a, b) => Number(used.has(b.id)) - Number(used.has(a.id)) || a.name.localeCompare(b.name),
  )
  return (
    <OneByOne>
      {sorted.map((key) => (
        <KeySection key={key.id} loadKey={key} here={used.has(key.id)} />
      ))}
      <Section title="">
        <Line reference="">
          <Button kind="link" onPress={add}>
            Add load key
          </Button>
        </Line>
      </Section>
    </OneByOne>
  )
})

const KeySection = memo(function KeySection({ loadKey, here }: { readonly loadKey: LoadKey; readonly here: boolean }) {
  const inWords = useWords()
  const edit = useEdit()
  const stages = useRecords('constructionStage').filter(({ key }) => key === loadKey.id)
  const loads = useAnswer({ kind: 'keys' })?.find(({ key }) => key.id === loadKey.id)
  const buildUp = useRecord(loadKey.buildUp)
  const slabs = (useAnswer({ kind: 'keySlabs' }) ?? []).filter(({ keyId }) => keyId === loadKey.id)
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
          <Button kind="link" onPress={() => edit.remove(`Deleted load key ${loadKey.name}`, [...stages, loadKey])}>
            delete
          </Button>
        )
      }
    >
      {buildUp?.kind === 'buildUp' && <BuildUpLines buildUp={buildUp} slabs={slabs} />}
      <Line
        reference={inWords('permanent')}
        result={
          loads && <Value value={loads.buildUp.value} quantity="pressure" address={`key:${loadKey.id}:buildUp`} />
        }
      >
        <SymbolText name="g" /> = sum of the layers
      </Line>
      <UseLine loadKey={loadKey} />
      {loads?.concentrated && (
        <Line
          reference={clauseOf(loads.concentrated, 'concentrated')}
          result={
            <Value
              value={loads.concentrated.value}
              quantity="force"
              address={`key:${loadKey.id}:concentrated`}
              strong={false}
            />
          }
        >
          <SymbolText name={loads.concentrated.symbol} />{' '}
          <small>concentrated load for local checks only; in no load case</small>
        </Line>
      )}
      <PartitionLine loadKey={loadKey} />
      <StageLines loadKey={loadKey} />
      <HatchLine loadKey={loadKey} />
      <ConcernsHere ids={[loadKey.id, loadKey.buildUp ?? ''].join()} />
    </Section>
  )
})
