import {
  expanded,
  isDrawn,
  ownLayoutEdits,
  scopesOf,
  type Drawn,
  type LevelView,
  type Scope as Wider,
} from '@hedrion/core'
import { Fragment, useMemo } from 'react'
import { useAnswer, useGetDocument, useRecord, useRecords } from '../compute/SessionContext'
import { useEdit } from '../compute/useEdit'
import { useLook } from '../state/look'
import { Button } from '../ui/Button'

interface ScopeProps {
  readonly records: readonly Drawn[]
  /** The sheet edits all of them; else it shows the last one. */
  readonly edited?: boolean
}

/**
 * What an edit on the sheet reaches: the picked record on every level of its layout, or all that are picked; and the
 * wider sets that could be picked instead. Picking a set lets one edit reach all of it.
 */
export function Scope({ records, edited = false }: ScopeProps) {
  const record = records.at(-1)
  // several of different kinds have no wider set
  if (record && records.some(({ kind }) => kind !== record.kind)) return `${records.length} selected`
  return record ? <ScopeOf record={record} ids={new Set(records.map(({ id }) => id))} edited={edited} /> : null
}

interface ScopeOfProps {
  readonly record: Drawn
  readonly ids: ReadonlySet<string>
  readonly edited: boolean
}

function ScopeOf({ record, ids, edited }: ScopeOfProps) {
  const count = ids.size
  const others: readonly Drawn[] = useRecords(record.kind)
  const panels = useRecords('panel')
  const sections = useRecords('section')
  const layout = useRecord(record.layout)
  const levels = useAnswer({ kind: 'overview' })?.levels ?? []
  const [look, change] = useLook()
  const scopes = useMemo(() => scopesOf(record, others, panels), [record, others, panels])
  const standsOn = levels.filter(({ layoutId }) => layoutId === record.layout).map(({ name }) => name)
  const pick = (wanted: readonly Drawn[]) =>
    change({
      picked: wanted.flatMap(({ id, layout: of }) => {
        const level = levelOn(levels, of, look.level)
        return level ? [expanded(id, level.id)] : []
      }),
    })
  const section = record.kind === 'member' ? sections.find(({ id }) => id === record.section)?.name : undefined
  const words = (scope: Wider): string => {
    const many = scope.records.length
    switch (scope.kind) {
      case 'alike':
        return `${many} alike`
      case 'edge':
        return `${many} on the edge of the floor`
      case 'layout':
        return `all ${many} of “${layout?.kind === 'layout' ? layout.name : ''}”`
      case 'everywhere':
        return section ? `${many} with ${section} everywhere` : `${many} alike in the building`
    }
  }
  const where = standsOn.length > 1 ? `, on levels ${standsOn.join(', ')}` : ''
  return (
    <>
      {count === 1 ? `this one${where}` : edited ? 'an edit changes all of them' : `${count} selected`}
      {count > 1 && (
        <>
          {' · '}
          <Button kind="link" onPress={() => pick([record])}>
            only {record.label}
          </Button>
        </>
      )}
      {edited && standsOn.length > 1 && <Apart layoutId={record.layout} ids={ids} />}
      {scopes
        .filter(({ records }) => records.length !== count)
        .map((scope) => (
          <Fragment key={scope.kind}>
            {' · '}
            <Button kind="link" onPress={() => pick(scope.records)}>
              {words(scope)}
            </Button>
          </Fragment>
        ))}
    </>
  )
}

/** The level in view where the layout stands there, else the lowest on which it does. */
const levelOn = (levels: readonly LevelView[], layoutId: string, inView: string | null): LevelView | undefined => {
  const there = levels.filter((level) => level.layoutId === layoutId)
  return there.find(({ id }) => id === inView) ?? there[0]
}

interface ApartProps {
  readonly layoutId: string
  readonly ids: ReadonlySet<string>
}

/** What is picked on one level alone: the level gets a copy of its layout, and the copies are picked instead. */
function Apart({ layoutId, ids }: ApartProps) {
  const levels = useAnswer({ kind: 'overview' })?.levels ?? []
  const getDocument = useGetDocument()
  const edit = useEdit()
  const [look, change] = useLook()
  const shown = levelOn(levels, layoutId, look.level)
  const copy = () => {
    const level = getDocument().records.get(shown?.id ?? '')
    if (level?.kind !== 'level') return
    const edits = ownLayoutEdits(getDocument(), level, 'this', Math.random)
    if (edit.apply(`Independent layout for level ${level.name}`, edits)) return
    const copies = edits.flatMap(({ after }) =>
      after && isDrawn(after) && ids.has(after.origin ?? '') ? [expanded(after.id, level.id)] : [],
    )
    change({ picked: copies, level: level.id })
  }
  return (
    <>
      {' · '}
      <Button kind="link" onPress={copy}>
        level {shown?.name} only, as an independent layout
      </Button>
    </>
  )
}
