import { memo } from 'react'
import {
  addLevelEdits,
  elevationEdits,
  followable,
  followAgainEdits,
  formatValue,
  layoutOfLevelEdits,
  lengthsExample,
  lengthsText,
  levelAtEdits,
  newLayout,
  ownLayoutEdits,
  ownReaches,
  parseQuantity,
  readLengths,
  recordsOf,
  removeLevelEdits,
  storeyHeightEdits,
  storeyHeights,
  storeyHeightsEdits,
  unitOf,
  withTyped,
  type Level,
  type OwnReach,
  type TypedText,
} from '@hedrion/core'
import { useStore } from 'zustand'
import { useShallow } from 'zustand/react/shallow'
import { useWords } from '../../compute/useWords'
import {
  useAnswer,
  useDocumentState,
  useFormat,
  useGetDocument,
  useRecords,
  useSession,
} from '../../compute/SessionContext'
import { useEdit, useNote } from '../../compute/useEdit'
import { setDraft } from '../../sheet/draftStore'
import { lights } from '../../sheet/litStore'
import { NameField } from '../../sheet/NameField'
import { Line, Section } from '../../sheet/Sheet'
import { useFieldOf } from '../../sheet/useFieldOf'
import { Button } from '../../ui/Button'
import { Choice } from '../../ui/Choice'
import { QuantityField } from '../../ui/QuantityField'
import { useCommand } from '../../state/commands'
import { TextLine } from '../../ui/TextLine'

const none = 'none'

/** Copies of its layout that a level can have for its own: as a choice, and as the history says it. */
const ownCopies: Readonly<Record<OwnReach, { readonly words: string; readonly note: (level: string) => string }>> = {
  this: { words: 'make independent', note: (level) => `Independent layout for level ${level}` },
  up: { words: 'make this and upper levels independent', note: (level) => `Independent layout from level ${level} up` },
}

/** Levels from the roof down: name, height of the storey below, elevation, layout. */
export const LevelLines = memo(function LevelLines() {
  const inWords = useWords()
  const getDocument = useGetDocument()
  const records = useRecords('level')
  const overview = useAnswer({ kind: 'overview' })
  const format = useFormat()
  const edit = useEdit()
  const levels = [...(overview?.levels ?? [])].reverse()
  const [top, second] = records.map(({ elevation }) => elevation).sort((a, b) => b - a)
  const between = ((top ?? 6) + (second ?? 0)) / 2
  const add = () => edit.apply('New level on top', addLevelEdits(getDocument(), Math.random))
  const example = lengthsExample('storeys', format)
  const addSeveral = (text: string): string | undefined => {
    if (text === '') return undefined
    const read = readLengths(text, format, { name: inWords('storey'), example, least: 0.1, most: 100 })
    if (!read.ok) return read.problem
    const count = read.lengths.length
    return edit.apply(
      count === 1 ? 'New level on top' : `${count} new levels on top`,
      addLevelEdits(getDocument(), Math.random, read.lengths),
    )
  }
  const addAt = (text: string): string | undefined => {
    if (text === '') return undefined
    const read = parseQuantity(text, 'length', format)
    if (!read.ok) return read.problem
    if (Math.abs(read.value) > 500) return 'A level must be within 500 m of the datum.'
    return edit.apply(
      `New level at ${text} ${unitOf('length', format)}`,
      levelAtEdits(getDocument(), read.value, Math.random),
    )
  }
  const addLayout = () => {
    const name = `Layout ${recordsOf(getDocument(), 'layout').length + 1}`
    const layout = newLayout(name, null, Math.random)
    edit.add(`New layout ${layout.name}`, [layout])
  }
  useCommand('addLevelOnTop', add)
  useCommand('addLayout', addLayout)
  return (
    <Section
      title="Levels"
      aside={
        <span>
          <Button kind="link" onPress={add}>
            Add level on top
          </Button>
          {' · '}
          <Button kind="link" onPress={addLayout}>
            Add layout
          </Button>
        </span>
      }
    >
      <Line reference={inWords('more storeys')}>
        <TextLine
          label={inWords('More storeys')}
          value=""
          maxLength={200}
          placeholder={example}
          onCommit={addSeveral}
        />
      </Line>
      <Line reference="add level">
        at elevation{' '}
        <TextLine
          label="Elevation of the added level"
          value=""
          maxLength={40}
          placeholder={formatValue(between, 'length', format)}
          onCommit={addAt}
        />{' '}
        <small>{unitOf('length', format)}, without a layout</small>
      </Line>
      {records.length > 2 && <StoreyHeights levels={records} />}
      {levels.map(({ id, layoutId }, i) => {
        const record = records.find((level) => level.id === id)
        return record ? (
          <LevelLine key={id} level={record} layoutId={layoutId} isBase={i === levels.length - 1} />
        ) : null
      })}
      <GroundLine />
    </Section>
  )
})

/** The heights of all storeys in one text, from the base up. */
function StoreyHeights({ levels }: { readonly levels: readonly Level[] }) {
  const inWords = useWords()
  const getDocument = useGetDocument()
  const edit = useEdit()
  const format = useFormat()
  const heights = storeyHeights(levels)
  const shown = lengthsText(heights, format)
  const set = (text: string): string | undefined => {
    const example = lengthsExample('storeys', format)
    const read = readLengths(text, format, { name: inWords('storey'), example, least: 0.1, most: 100 })
    if (!read.ok) return read.problem
    if (read.lengths.length !== heights.length)
      return inWords(`Enter ${heights.length} heights, one for each storey; these are ${read.lengths.length}.`)
    // a height that reads as it did keeps the digits that the format does not show
    const wanted = read.lengths.map((length, i) => {
      const before = heights[i] ?? length
      return formatValue(length, 'length', format) === formatValue(before, 'length', format) ? before : length
    })
    return edit.apply(`${inWords('Storey heights')} ${text}`, storeyHeightsEdits(getDocument(), wanted))
  }
  return (
    <Line reference={inWords('storey heights')}>
      <TextLine label={inWords('Storey heights from the base up')} value={shown} maxLength={600} onCommit={set} />{' '}
      <small>{unitOf('length', format)}, from the base up</small>
    </Line>
  )
}

/** Where the ground is: what lies lower has no wind, and heights in the wind count from it. */
function GroundLine() {
  const [basis] = useRecords('basis')
  const fieldOf = useFieldOf()
  if (!basis) return null
  return (
    <Line reference="ground">
      at <QuantityField {...fieldOf(basis, 'ground', 'ground level')} /> beside the building
    </Line>
  )
}

interface LevelLineProps {
  readonly level: Level
  readonly layoutId: string | null
  readonly isBase: boolean
}

function LevelLine({ level, layoutId, isBase }: LevelLineProps) {
  const inWords = useWords()
  const getDocument = useGetDocument()
  const edit = useEdit()
  const note = useNote()
  const format = useFormat()
  const fieldOf = useFieldOf()
  const levels = [...useRecords('level')].sort((a, b) => a.elevation - b.elevation)
  const below = levels[levels.findIndex(({ id }) => id === level.id) - 1]
  const height = below ? level.elevation - below.elevation : null
  const moved = (elevation: number, typed: TypedText | undefined) =>
    elevationEdits(getDocument(), level, withTyped({ ...level, elevation }, typed), Math.random)
  return (
    <Line
      reference={<NameField label={`Name of level ${level.name}`} record={level} />}
      result={
        isBase ? (
          <small>base</small>
        ) : (
          <Button
            kind="link"
            aria-label={`Delete level ${level.name}`}
            onPress={() =>
              edit.apply(`Deleted level ${level.name}`, removeLevelEdits(getDocument(), level, Math.random))
            }
          >
            delete
          </Button>
        )
      }
    >
      {height !== null && (
        <>
          <QuantityField
            label={`${inWords('Height of the storey below level')} ${level.name}`}
            quantity="length"
            format={format}
            value={height}
            min={0.1}
            max={100}
            unit={false}
            onFocusChange={lights([level.id])}
            onDraft={(value) =>
              setDraft(typeof value === 'number' ? storeyHeightEdits(getDocument(), level, value) : null)
            }
            onCommit={(value) =>
              value === null
                ? 'Enter a height.'
                : edit.apply(
                    note.value(level, inWords('storey height'), 'length', height, value),
                    storeyHeightEdits(getDocument(), level, value),
                  )
            }
          />
          {' high, at '}
        </>
      )}
      <QuantityField
        {...fieldOf(level, 'elevation', `elevation of level ${level.name}`)}
        onDraft={(value) => setDraft(typeof value === 'number' ? moved(value, undefined) : null)}
        onCommit={(value, text) =>
          value === null
            ? 'Enter an elevation.'
            : edit.apply(
                note.value(level, 'elevation', 'length', level.elevation, value),
                moved(value, { path: 'elevation', text }),
              )
        }
      />{' '}
      {!isBase && <LayoutOfLevel level={level} layoutId={layoutId} />}
    </Line>
  )
}

type LayoutOfLevelProps = Pick<LevelLineProps, 'level' | 'layoutId'>

/** The layout that stands on a level, or a copy of it to be another there; a copy can follow its origin again. */
function LayoutOfLevel({ level, layoutId }: LayoutOfLevelProps) {
  const getDocument = useGetDocument()
  const edit = useEdit()
  const layouts = useRecords('layout')
  const copies = useStore(
    useSession().store,
    useShallow(({ document }) => ownReaches(document, level)),
  )
  const origin = useDocumentState(({ document }) => followable(document, layoutId))
  const setLayout = (chosen: string) => {
    const reach = copies.find((entry) => entry === chosen)
    if (reach)
      return edit.apply(ownCopies[reach].note(level.name), ownLayoutEdits(getDocument(), level, reach, Math.random))
    const layout = layouts.find(({ id }) => id === chosen)
    return edit.apply(
      `Level ${level.name}: layout ${layout?.name ?? 'none'}`,
      layoutOfLevelEdits(getDocument(), level, layout?.id ?? null, Math.random),
    )
  }
  return (
    <>
      <Choice
        label={`Layout of level ${level.name}`}
        value={layoutId ?? none}
        options={[
          [none, 'no layout'],
          ...layouts.map(({ id, name }) => [id as string, name] as const),
          ...copies.map((reach) => [reach, ownCopies[reach].words] as const),
        ]}
        onChange={setLayout}
      />
      {origin && (
        <>
          {' '}
          <Button
            kind="link"
            onPress={() =>
              edit.apply(
                `Level ${level.name} follows ${origin.name} again`,
                followAgainEdits(getDocument(), level, Math.random),
              )
            }
          >
            follow “{origin.name}” again
          </Button>
        </>
      )}
    </>
  )
}
