import {
  freeLabel,
  newId,
  expanded,
  pathsAlong,
  pathsRound,
  recordsOf,
  usualWall,
  type Drawn,
  type Layout,
  type WallPath,
  type WallRun,
} from '@hedrion/core'
import { useGetDocument } from '../../compute/SessionContext'
import { useEdit } from '../../compute/useEdit'
import { Line, Section } from '../../sheet/Sheet'
import { useLook } from '../../state/look'
import { Button } from '../../ui/Button'

interface WallMakersProps {
  readonly picked: readonly Drawn[]
  readonly layout: Layout
  readonly levelId: string
}

/** Wall runs from what is picked: on beams, round panels, round openings. */
export function WallMakers({ picked, layout, levelId }: WallMakersProps) {
  const getDocument = useGetDocument()
  const edit = useEdit()
  const [, change] = useLook()
  const here = picked.filter((record) => record.layout === layout.id)
  const beams = here.filter((record) => record.kind === 'member' && record.path.length === 2)
  const outlined = here.filter((record) => record.kind === 'panel' || record.kind === 'opening')
  if (beams.length === 0 && outlined.length === 0) return null
  const add = (what: string, paths: readonly WallPath[]) => {
    const document = getDocument()
    const taken = new Set(
      recordsOf(document, 'wallRun').flatMap((run) => (run.layout === layout.id ? [run.label] : [])),
    )
    const runs = paths.map((path): WallRun => {
      const label = freeLabel('W1', taken)
      taken.add(label)
      return {
        kind: 'wallRun',
        id: newId('wallRun', Math.random),
        layout: layout.id,
        label,
        ...path,
        ...usualWall(document),
      }
    })
    if (edit.add(what, runs) === undefined) change({ picked: runs.map(({ id }) => expanded(id, levelId)) })
  }
  return (
    <Section title="Walls">
      {beams.length > 0 && (
        <Line reference={count(beams.length, 'beam')}>
          <Button
            kind="link"
            onPress={() =>
              add(
                `Wall on ${count(beams.length, 'beam')}`,
                pathsAlong(beams.flatMap((record) => (record.kind === 'member' ? [record] : []))),
              )
            }
          >
            Wall run on {beams.length === 1 ? 'it' : 'them'}
          </Button>
        </Line>
      )}
      {outlined.length > 0 && (
        <Line reference={outlined.length === 1 ? (outlined[0]?.label ?? '') : `${outlined.length} outlines`}>
          <Button
            kind="link"
            onPress={() =>
              add(
                `Wall round ${outlined.length === 1 ? (outlined[0]?.label ?? '') : `${outlined.length} outlines`}`,
                pathsRound(outlined.flatMap((record) => ('outline' in record ? [record.outline] : []))),
              )
            }
          >
            Wall run round {outlined.length === 1 ? 'it' : 'them'}
          </Button>
        </Line>
      )}
    </Section>
  )
}

const count = (number: number, word: string): string => `${number} ${word}${number === 1 ? '' : 's'}`
