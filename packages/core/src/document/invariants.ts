import type { Document } from './document'
import { recordsOf } from './document'
import { once } from '../outcome/once'
import { object, type Fields, type Problem, type Reference } from './fields'
import { distance } from '../geometry/segment'
import { onLine } from '../geometry/tolerance'
import {
  kinds,
  recordKinds,
  type GridLine,
  type Level,
  type Member,
  type Rec,
  type ReductionRegion,
} from './recordKinds'

/** What must hold between records for the document to be legal; doubts are concerns, not problems. */
export function invariantProblems(document: Document): readonly Problem[] {
  return [
    ...referenceProblems(document),
    ...singleProblems(document),
    ...rangeProblems(document),
    ...shapeProblems(document),
    ...extentProblems(document),
    ...gridProblemsOf(document),
  ]
}

function referenceProblems(document: Document): readonly Problem[] {
  const problems: Problem[] = []
  for (const record of document.records.values())
    for (const { path, id } of referencesOf(record))
      if (!document.records.has(id))
        problems.push({ path: `records.${record.id}${path}`, problem: `It refers to ${id}, which does not exist.` })
  return problems
}

const bodies = new Map(kinds.map((kind) => [kind, object(recordKinds[kind] as Fields)]))

/** Every reference that a record holds, with the field it stands in: an edit looks at all records, and reads one of them. */
export const referencesOf = once(
  (record: Rec): readonly Reference[] => bodies.get(record.kind)?.references?.(record) ?? [],
)

/** One basis in every project that holds anything, one layer of each standing in a family, at most one building part. */
function singleProblems(document: Document): readonly Problem[] {
  const layers = recordsOf(document, 'layer')
  const groups: readonly (readonly [string, readonly Rec[]])[] = [
    ['basis record', recordsOf(document, 'basis')],
    ['building part', recordsOf(document, 'buildingPart')],
    // layers of a family that is not in use rest, beside those of the one that is
    ...[...new Set(layers.map(({ family }) => family))].flatMap((family) =>
      (['national', 'own'] as const).map(
        (wanted) =>
          [`${wanted} layer`, layers.filter((layer) => layer.standing === wanted && layer.family === family)] as const,
      ),
    ),
  ]
  const stages = recordsOf(document, 'constructionStage')
  const doubledStages = stages.filter((stage, i) => stages.findIndex(({ key }) => key === stage.key) !== i)
  const doubled = [
    ...groups.flatMap(([name, [, second]]) =>
      second ? [{ path: `records.${second.id}`, problem: `Only one ${name} is possible.` }] : [],
    ),
    ...doubledStages.map(({ id }) => ({
      path: `records.${id}`,
      problem: 'Its load key has a construction stage already.',
    })),
  ]
  const missing = document.records.size > 0 && recordsOf(document, 'basis').length === 0
  return missing ? [...doubled, { path: 'records', problem: 'The basis record is missing.' }] : doubled
}

function extentProblems(document: Document): readonly Problem[] {
  return recordsOf(document, 'buildingPart').flatMap(({ id, extent }) =>
    extent && (extent.x1 - extent.x0 < 0.1 || extent.y1 - extent.y0 < 0.1)
      ? [{ path: `records.${id}.extent`, problem: 'The wind rectangle ends before it starts.' }]
      : [],
  )
}

function rangeProblems(document: Document): readonly Problem[] {
  const levels = [...recordsOf(document, 'level')].sort((a, b) => a.elevation - b.elevation)
  const problems: Problem[] = []
  const base = levels[0]
  levels.forEach((level, index) => {
    const below: Level | undefined = levels[index - 1]
    if (below && level.elevation - below.elevation < 0.01)
      problems.push({
        path: `records.${level.id}.elevation`,
        problem: `Level ${level.name} and level ${below.name} are closer than 10 mm.`,
      })
  })
  const taken = new Map<string, string>()
  for (const range of recordsOf(document, 'levelRange')) {
    const from = levels.findIndex((level) => level.id === range.from)
    const to = levels.findIndex((level) => level.id === range.to)
    if (from > to) problems.push({ path: `records.${range.id}`, problem: 'The range ends below its start.' })
    if (base && range.from === base.id)
      problems.push({ path: `records.${range.id}.from`, problem: 'The lowest level is the base and has no layout.' })
    for (const level of levels.slice(Math.max(from, 0), to + 1)) {
      if (taken.has(level.id))
        problems.push({
          path: `records.${range.id}`,
          problem: `Level ${level.name} already has a layout from another range.`,
        })
      taken.set(level.id, range.id)
    }
  }
  return problems
}

/** Least and most; all others are lines through two points or more. */
const pointsOfMember: Readonly<Partial<Record<Member['role'], readonly [least: number, most: number]>>> = {
  column: [1, 2],
  hanger: [1, 2],
  truss: [2, 2],
}

const shapeProblems = (document: Document): readonly Problem[] => [
  ...recordsOf(document, 'member').flatMap(memberProblems),
  ...recordsOf(document, 'wallRun').flatMap((run) =>
    run.heightRule === 'typed' && run.height === null
      ? [{ path: `records.${run.id}.height`, problem: 'The height is missing.' }]
      : [],
  ),
  ...recordsOf(document, 'reductionRegion').flatMap(untypedFactors),
]

const untypedFactors = ({ id, slabs, slabFactor, beams, beamFactor }: ReductionRegion): readonly Problem[] =>
  (
    [
      ['slabFactor', slabs === 'typed' && slabFactor === null],
      ['beamFactor', beams === 'typed' && beamFactor === null],
    ] as const
  ).flatMap(([field, missing]) =>
    missing ? [{ path: `records.${id}.${field}`, problem: 'The factor is missing.' }] : [],
  )

function memberProblems({ id, role, path, truss }: Member): readonly Problem[] {
  const problems: Problem[] = []
  if (truss && role !== 'truss')
    problems.push({ path: `records.${id}.truss`, problem: 'Only a truss can have chords and a web.' })
  const [least, most] = pointsOfMember[role] ?? [2, Infinity]
  const wanted = least === 1 ? 'one point, or two if raking' : most === 2 ? 'two points' : 'two points or more'
  if (path.length < least || path.length > most)
    problems.push({ path: `records.${id}.path`, problem: `A ${role} has ${wanted}.` })
  else if (endsWhereItBegins(path))
    problems.push({
      path: `records.${id}.path`,
      problem: 'A beam cannot end at its start; use two beams for a closed ring.',
    })
  return problems
}

function endsWhereItBegins(path: Member['path']): boolean {
  const [first, last] = [path[0], path.at(-1)]
  return path.length > 2 && first !== undefined && last !== undefined && distance(first, last) <= onLine
}

function gridProblemsOf(document: Document): readonly Problem[] {
  return recordsOf(document, 'gridLine').flatMap(({ id, axis, at, path }) =>
    hasItsPoints[axis](path, at) ? [] : [{ path: `records.${id}.path`, problem: gridProblems[axis] }],
  )
}

const hasNone = (path: GridLine['path']): boolean => path.length === 0
const hasItsPoints: Readonly<Record<GridLine['axis'], (path: GridLine['path'], at: number) => boolean>> = {
  x: hasNone,
  y: hasNone,
  line: ([a, b]) => a !== undefined && b !== undefined && Math.hypot(b[0] - a[0], b[1] - a[1]) >= 0.01,
  ring: (path, at) => path.length === 1 && at >= 0.01,
}

const gridProblems = {
  x: 'A grid line across the grid has no points.',
  y: 'A grid line across the grid has no points.',
  line: 'A skew grid line goes through two points.',
  ring: 'A circular grid line has one centre and a radius above zero.',
} as const
