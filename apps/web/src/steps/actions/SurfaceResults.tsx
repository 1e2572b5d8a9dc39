import { useState } from 'react'
import {
  expanded,
  formatValue,
  unitOf,
  type NumberFormat,
  type RestView,
  type StretchView,
  type SurfaceView,
} from '@hedrion/core'
import { useWords } from '../../compute/useWords'
import { useAnswer, useFormat } from '../../compute/SessionContext'
import { Line, Note, Section, Warm } from '../../sheet/Sheet'
import { Value } from '../../sheet/Value'
import { allCases } from '../../drawing/marks'
import { useLook } from '../../state/look'
import { Button } from '../../ui/Button'
import { Choice } from '../../ui/Choice'
import { TableOut } from '../../ui/TableOut'
import { SurfacePicture } from './SurfacePicture'

interface SurfaceResultsProps {
  readonly surfaceId: string
  readonly levelId: string
  readonly caseId: string
}

/** Of a wall surface on the level in view, in the case in view: its picture, who takes what, and which level holds it. */
export function SurfaceResults({ surfaceId, levelId, caseId }: SurfaceResultsProps) {
  const view = useAnswer({ kind: 'wallSurface', expandedId: expanded(surfaceId, levelId), caseId })
  const [chosen, choose] = useState<string | null>(null)
  const format = useFormat()
  if (!view) return null
  const stretch = view.stretches.find(({ index }) => String(index) === chosen) ?? view.stretches[0]
  if (!stretch) return null
  return (
    <Section
      title="Supporting members, case shown"
      aside={<TableOut name="pressure surface" rows={() => rowsOf(view, format)} />}
    >
      {view.stretches.length > 1 && (
        <Line reference="stretch">
          <Choice
            label="Segment of the surface"
            value={String(stretch.index)}
            options={view.stretches.map(
              ({ index }) => [String(index), `${index + 1} of ${view.stretches.length}`] as const,
            )}
            onChange={choose}
          />
        </Line>
      )}
      <SurfacePicture stretch={stretch} />
      <Line reference="applied" result={<Value value={view.applied} quantity="force" />}>
        on <Value value={view.area} quantity="area" strong={false} /> excluding openings
      </Line>
      {view.applied === 0 && stretch.top === 0 && stretch.foot === 0 ? (
        <OtherCases view={view} />
      ) : (
        <Taken view={view} stretch={stretch} />
      )}
    </Section>
  )
}

/** Where nothing presses in the case in view: the ways to those in which it does. */
function OtherCases({ view: { cases } }: { readonly view: SurfaceView }) {
  const overview = useAnswer({ kind: 'overview' })
  const [, change] = useLook()
  const named = overview ? allCases(overview).filter(({ loadCase }) => cases.includes(loadCase.id)) : []
  return (
    <Note>
      No pressure in this case.{' '}
      {named.map(({ loadCase: { id, name } }) => (
        <span key={id}>
          <Button kind="link" onPress={() => change({ case: id })}>
            show {name}
          </Button>{' '}
        </span>
      ))}
    </Note>
  )
}

function Taken({ view, stretch }: { readonly view: SurfaceView; readonly stretch: StretchView }) {
  const inWords = useWords()
  const lost = Math.abs(view.notCarried) >= 1
  return (
    <>
      {takers(stretch).map((rest) => (
        <Line
          key={rest.key}
          reference={rest.kind}
          result={<Value value={rest.force} quantity="force" strong={false} />}
        >
          <Taker rest={rest} />
        </Line>
      ))}
      {stretch.levels.map(({ levelName, force }) => (
        <Line key={levelName} reference="supported by" result={<Value value={force} quantity="force" />}>
          level {levelName}
        </Line>
      ))}
      {lost && (
        <Warm>
          <Value value={view.notCarried} quantity="force" /> is not carried.
        </Warm>
      )}
      {view.inDerivedWind && (
        <Note>
          {inWords(
            'Within the wind rectangle, whose storey forces include this pressure. Applied to members for bending only, and not added to the levels again.',
          )}
        </Note>
      )}
    </>
  )
}

interface TakerRow {
  readonly key: string
  readonly expandedId: string
  readonly label: string
  readonly kind: string
  readonly force: number
}

const kindWords = {
  beam: 'beam',
  column: 'column',
  strut: 'girt or post',
  edge: 'floor edge',
  ground: 'ground',
} as const

/** Each member once, whatever its pieces; those that take most first. */
function takers({ rests }: StretchView): readonly TakerRow[] {
  const found = new Map<string, TakerRow>()
  for (const { expandedId, label, kind, levelName, force } of rests) {
    const key = expandedId || `${kind} ${levelName}`
    const known = found.get(key)
    const name = label || `level ${levelName}`
    found.set(key, { key, expandedId, label: name, kind: kindWords[kind], force: (known?.force ?? 0) + force })
  }
  return [...found.values()]
    .filter(({ force }) => Math.abs(force) >= 0.5)
    .sort((p, q) => Math.abs(q.force) - Math.abs(p.force))
}

/** A member can be gone to; the edge of a floor has a name only. */
function Taker({ rest: { expandedId, label } }: { readonly rest: TakerRow }) {
  const [, change] = useLook()
  if (expandedId === '') return <>{label}</>
  return (
    <Button kind="link" onPress={() => change({ picked: [expandedId] })}>
      {label}
    </Button>
  )
}

function rowsOf(view: SurfaceView, format: NumberFormat): readonly (readonly string[])[] {
  return [
    ['segment', 'member', 'level', `inwards, ${unitOf('force', format)}`],
    ...view.stretches.flatMap(({ index, rests }) =>
      rests
        .filter(({ force }) => Math.abs(force) >= 0.5)
        .map(({ label, kind, levelName, force }: RestView) => [
          String(index + 1),
          label || kindWords[kind],
          levelName,
          formatValue(force, 'force', format),
        ]),
    ),
  ]
}
