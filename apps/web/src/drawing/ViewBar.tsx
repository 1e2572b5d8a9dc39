import { formatQuantity } from '@hedrion/core'
import type { ReactNode } from 'react'
import styled from 'styled-components'
import { useFormat } from '../compute/SessionContext'
import { useLook, type Numbers, type Parts, type Shown, type TextSize, type View } from '../state/look'
import { Choice } from '../ui/Choice'
import { Segmented, ToggleWord } from '../ui/Segmented'
import { beginAnew, useTool } from './placing/toolStore'
import { useLevel } from './useLevel'

const views: readonly (readonly [View, string])[] = [
  ['plan', 'Plan'],
  ['x', 'South'],
  ['y', 'East'],
  ['space', '3D'],
]

const shownOptions: readonly (readonly [Shown, string])[] = [
  ['area', 'area load'],
  ['member', 'member load'],
  ['both', 'both'],
  ['split', 'area and member loads'],
]

/** Whose numbers, and how large: one choice, since the bar is short. */
const numberOptions: readonly (readonly [NumbersChoice, string])[] = [
  ['all usual', 'numbers'],
  ['all large', 'large numbers'],
  ['all larger', 'larger numbers'],
  ['picked usual', 'numbers, selection only'],
  ['picked large', 'large numbers, selection only'],
  ['picked larger', 'larger numbers, selection only'],
]
type NumbersChoice = `${Numbers} ${TextSize}`

const partOptions: readonly (readonly [Parts, string])[] = [
  ['all', 'all loads'],
  ['patches', 'patches only'],
  ['default', 'default load only'],
]

interface ViewBarProps {
  /** Whether area and member load can be seen apart here. */
  readonly loads?: boolean
  /** Whether patches and the default can be seen apart here. */
  readonly patches?: boolean
  readonly children?: ReactNode
}

/** Above the drawing: which view, which level, which load. */
export function ViewBar({ loads = false, patches = false, children }: ViewBarProps) {
  const [look, change] = useLook()
  const { levels, level, choose } = useLevel()
  const format = useFormat()
  const draws = useTool(({ tool }) => tool !== null)
  const carrying = levels.filter(({ layoutId }) => layoutId !== null)
  return (
    <>
      <Group>
        <Segmented
          label="View"
          value={look.view}
          options={views}
          onChange={(view) => {
            beginAnew()
            change({ view })
          }}
        />
        {(look.view === 'plan' || (look.view === 'space' && draws)) && level && (
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
        {patches && look.view === 'plan' && (
          <Choice
            label="Loads drawn"
            value={look.parts}
            options={partOptions}
            onChange={(parts) => change({ parts })}
          />
        )}
        {look.view !== 'space' && (
          <Choice
            label="Numbers in drawing"
            value={`${look.view === 'plan' ? look.numbers : 'all'} ${look.text}` as const}
            options={numberOptions.filter(([choice]) => look.view === 'plan' || choice.startsWith('all'))}
            onChange={(choice) => {
              const [numbers, text] = choice.split(' ') as [Numbers, TextSize]
              change(look.view === 'plan' ? { numbers, text } : { text })
            }}
          />
        )}
      </Group>
      <Group>
        {children}
        {loads && (look.view === 'plan' || look.view === 'space') && (
          <Segmented
            label="Load shown"
            value={look.shown}
            options={look.view === 'plan' ? shownOptions : shownOptions.filter(([shown]) => shown !== 'split')}
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
