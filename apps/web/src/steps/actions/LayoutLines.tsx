import { memo } from 'react'
import { Link } from 'react-router'
import styled from 'styled-components'
import { expanded, type Layout } from '@hedrion/core'
import { useAnswer, useDocumentState, useRecords } from '../../compute/SessionContext'
import { useEdit, useNote } from '../../compute/useEdit'
import { PickLine } from '../../sheet/PickLine'
import { Line, Note, Section, Warm } from '../../sheet/Sheet'
import { useCommand } from '../../state/commands'
import { addressOf, useLook } from '../../state/look'
import { Button } from '../../ui/Button'
import { Choice } from '../../ui/Choice'
import { patchModes } from './PatchLines'
import { useNewWalls } from './useNewWalls'
import { WallLines } from './WallLines'

const none = 'none'

const ToPaper = styled(Link)`
  color: var(--accent);
  text-underline-offset: 3px;
`

/** The plan that is looked at, on paper. */
function PrintLink() {
  const projectId = useDocumentState((state) => state.projectId)
  const [look] = useLook()
  return <ToPaper to={`/p/${projectId}/print${addressOf(look)}`}>Print loading plan</ToPaper>
}

/** The floor loads of a layout: one default, and patches over it. */
export const FloorLines = memo(function FloorLines({
  layout,
  levelId,
}: {
  readonly layout: Layout
  readonly levelId: string
}) {
  const edit = useEdit()
  const note = useNote()
  const keys = useRecords('loadKey')
  const allPatches = useRecords('patch')
  const nameOf = (id: string | null) => keys.find((key) => key.id === id)?.name ?? 'none'
  const patches = allPatches.filter((patch) => patch.layout === layout.id).sort((a, b) => a.order - b.order)
  return (
    <Section title="Floor loads" aside={<PrintLink />}>
      <Line reference="default">
        <Choice
          label="Default load key of the layout"
          value={layout.defaultKey ?? none}
          options={[[none, 'nothing'], ...keys.map(({ id, name }) => [id as string, name] as const)]}
          onChange={(id) => {
            const key = keys.find((entry) => entry.id === id)
            edit.set(layout, note.text(layout, 'default', nameOf(layout.defaultKey), key?.name ?? 'none'), {
              defaultKey: key?.id ?? null,
            })
          }}
        />
      </Line>
      {layout.defaultKey === null && <Warm>Only self-weight so far. Assign a load key.</Warm>}
      {patches.map((patch) => (
        <PickLine key={patch.id} id={expanded(patch.id, levelId)} reference={`patch ${patch.order}`} name={patch.label}>
          : {nameOf(patch.key) === patch.label ? '' : `${nameOf(patch.key)}, `}
          {patchModes.find(([mode]) => mode === patch.mode)?.[1]}
        </PickLine>
      ))}
      {patches.length === 0 && <Note>No patches yet. Draw one where the floor load differs.</Note>}
    </Section>
  )
})

/** The walls of a layout, each in one line. */
export const WallsOfLayout = memo(function WallsOfLayout({
  layout,
  levelId,
}: {
  readonly layout: Layout
  readonly levelId: string
}) {
  const allRuns = useRecords('wallRun')
  const runs = allRuns.filter((run) => run.layout === layout.id)
  return (
    <Section title="Walls" aside={<WallRound layout={layout} levelId={levelId} />}>
      {runs.length === 0 && <Note>No wall runs yet. Draw one, or use the outline.</Note>}
      {runs.map((run) => (
        <WallLines key={run.id} run={run} levelId={levelId} open={false} />
      ))}
    </Section>
  )
})

/** A wall round the whole outline of the floor in one step. */
const WallRound = memo(function WallRound({ layout, levelId }: { readonly layout: Layout; readonly levelId: string }) {
  const addWalls = useNewWalls(layout, levelId)
  const overview = useAnswer({ kind: 'overview' })
  const isTop = overview?.levels.at(-1)?.layoutId === layout.id
  const outlines = useAnswer({ kind: 'outline', layoutId: layout.id }) ?? []
  const add = () =>
    addWalls(
      'Wall round the outline',
      outlines.map((path) => ({ path, closed: true })),
      {
        weight: 2870,
        buildUp: null,
        // nothing stands over a wall on the roof: a parapet has a height of its own
        heightRule: isTop ? 'typed' : 'lessBeam',
        height: isTop ? 1 : null,
      },
    )
  useCommand('wallRoundOutline', add, outlines.length > 0)
  // a press before the outline is known would do nothing
  return (
    <Button kind="link" isDisabled={outlines.length === 0} onPress={add}>
      Wall round the outline
    </Button>
  )
})
