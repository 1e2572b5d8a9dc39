import { isUpright, pathsAlong, pathsRound, type Drawn, type Layout } from '@hedrion/core'
import { Line, Section } from '../../sheet/Sheet'
import { Button } from '../../ui/Button'
import { useNewWalls } from './useNewWalls'

interface WallMakersProps {
  readonly picked: readonly Drawn[]
  readonly layout: Layout
  readonly levelId: string
}

/** Wall runs from what is picked: on beams, round panels, round openings. */
export function WallMakers({ picked, layout, levelId }: WallMakersProps) {
  const add = useNewWalls(layout, levelId)
  const here = picked.filter((record) => record.layout === layout.id)
  const beams = here.filter((record) => record.kind === 'member' && !isUpright(record.role))
  const outlined = here.filter((record) => record.kind === 'panel' || record.kind === 'opening')
  if (beams.length === 0 && outlined.length === 0) return null
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
