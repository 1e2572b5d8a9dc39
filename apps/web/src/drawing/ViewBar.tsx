import { formatQuantity } from '@hedrion/core'
import type { ReactNode } from 'react'
import styled from 'styled-components'
import { useFormat } from '../compute/SessionContext'
import { useLook, type Shown, type View } from '../state/look'
import { Choice } from '../ui/Choice'
import { Segmented, ToggleWord } from '../ui/Segmented'
import { useLevel } from './useLevel'

const views: readonly (readonly [View, string])[] = [
  ['plan', 'Plan'],
  ['x', 'South'],
  ['y', 'East'],
  ['space', 'In space'],
]

const shownOptions: readonly (readonly [Shown, string])[] = [
  ['area', 'area load'],
  ['member', 'member load'],
  ['both', 'both'],
]

interface ViewBarProps {
  /** Whether area and member load can be seen apart here. */
  readonly loads?: boolean
  readonly children?: ReactNode
}

/** Above the drawing: which view, which level, which load. */
export function ViewBar({ loads = false, children }: ViewBarProps) {
  const [look, change] = useLook()
  const { levels, level, choose } = useLevel()
  const format = useFormat()
  const carrying = levels.filter(({ layoutId }) => layoutId !== null)
  return (
    <>
      <Group>
        <Segmented label="View" value={look.view} options={views} onChange={(view) => change({ view })} />
        {look.view === 'plan' && level && (
          <Choice
            label="Level"
            value={level.id}
            options={[...carrying]
              .reverse()
              .map(({ id, name, elevation }) => [
                id,
                `Level ${name} · ${elevation > 0 ? '+' : ''}${formatQuantity(elevation, 'length', format)}`,
              ])}
            onChange={choose}
          />
        )}
      </Group>
      <Group>
        {children}
        {loads && (look.view === 'plan' || look.view === 'space') && (
          <Segmented
            label="Load shown"
            value={look.shown}
            options={shownOptions}
            onChange={(shown) => change({ shown })}
          />
        )}
        <ToggleWord isSelected={look.list} onChange={(list) => change({ list })}>
          as a list
        </ToggleWord>
      </Group>
    </>
  )
}

const Group = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 18px;
`
