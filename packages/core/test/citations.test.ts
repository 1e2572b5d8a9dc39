import { lateralCase } from '../src/actions/cases'
import { effectKey, effectKinds, effectsOf } from '../src/derivation/effects'
import { Memo } from '../src/derivation/memo'
import { deriveProject, type ProjectState } from '../src/derivation/project'
import { documentOf, recordsOf, seededRandom, type Document } from '../src/document/document'
import type { Rec } from '../src/document/recordKinds'
import { expanded } from '../src/document/labels'
import type { FamilyId } from '../src/standards/family'
import { embedded, shippedSets, standardOf } from '../src/standards/families'
import { bayGrid } from '../src/generate/bayGrid'
import { ask, type Query } from '../src/queries/derive'
import { demoDocument } from './demo'

const eurocode = /\bEN ?1(?:99\d|990)\b|[Ee]urocode|\bNDP\b|\bNCI\b/
const elsewhere: Readonly<Record<FamilyId, RegExp>> = {
  EN: /\bASCE\b|\bIBC\b|\bIS \d{3,4}\b|\bBS (?!EN)\d{4}/,
  ASCE: new RegExp(`${eurocode.source}|\\bIS \\d{3,4}\\b|\\bBS \\d{4}`),
  IS: new RegExp(`${eurocode.source}|\\bASCE\\b|\\bBS \\d{4}`),
  BS: new RegExp(`${eurocode.source}|\\bASCE\\b|\\bIS \\d{3,4}\\b`),
}

const projects = (['EN', 'ASCE', 'IS', 'BS'] as const).flatMap((family) =>
  [null, ...shippedSets[family]].map((set) => ({ family, set, name: set?.name ?? `${family} alone` })),
)

/** The demo in another family: a load key and a barrier for each of its uses, walls on every panel, storey forces by every rule. */
function demoIn(family: FamilyId, set: (typeof projects)[number]['set']): Document {
  const layers = set ? [embedded(family, set, 'layer:set')] : []
  const uses = Object.keys(standardOf(family, layers).uses)
  const records = [...demoDocument().records.values()].filter(({ kind }) => kind !== 'layer')
  const [key] = recordsOf(demoDocument(), 'loadKey')
  const [barrier] = recordsOf(demoDocument(), 'barrier')
  const [forces] = recordsOf(demoDocument(), 'storeyForces')
  let next = 0
  const useNext = () => uses[next++ % uses.length] ?? null
  return documentOf([
    ...records.map((record) => {
      if (record.kind === 'basis') return { ...record, family }
      // what the demo's materials and layers were taken from is the demo's
      if (record.kind === 'material') return { ...record, source: '' }
      if (record.kind === 'buildUp')
        return { ...record, layers: record.layers.map((layer) => ({ ...layer, source: '' })) }
      if (record.kind === 'loadKey') return { ...record, use: useNext(), value: null, partitionWeight: 800 }
      return record.kind === 'barrier' ? { ...record, use: useNext(), value: null } : record
    }),
    ...layers,
    ...uses.flatMap((use, i) => [
      ...(key ? [{ ...key, id: `loadKey:use-${i}` as const, use, value: null, partitionWeight: 800 }] : []),
      ...(barrier ? [{ ...barrier, id: `barrier:use-${i}` as const, use, value: null }] : []),
    ]),
    ...(forces && family === 'IS'
      ? [{ ...forces, id: 'storeyForces:earthquake' as const, rule: 'earthquake' as const }]
      : []),
  ])
}

/** Each query, for each case and level where it asks for them. */
function* queriesOf(state: ProjectState): Generator<Query> {
  const levels = state.levels.map(({ level }) => level.id)
  for (const kind of ['overview', 'keys', 'keySums', 'keySlabs', 'masses', 'wind', 'windProfile', 'standard'] as const)
    yield { kind }
  for (const kind of ['concerns', 'fileSums', 'handedChange'] as const) yield { kind }
  yield { kind: 'rules', list: null }
  yield { kind: 'results', only: null }
  yield { kind: 'csv', only: null }
  for (const key of Object.keys(state.standard.values)) yield { kind: 'source', key }
  for (const caseId of state.caseIds) {
    for (const kind of ['balance', 'lateral', 'reducedBase', 'thrusts', 'slabReductions', 'space'] as const)
      yield { kind, caseId }
    for (const levelId of levels) yield { kind: 'floor', levelId, caseId }
  }
  for (const levelId of levels) yield { kind: 'walls', levelId }
  const [caseId] = state.caseIds.filter((id) => id.startsWith('imposed/'))
  const [levelId] = levels.slice(1)
  if (!caseId || !levelId) return
  for (const { id, role } of recordsOf(state.document, 'member').slice(0, 20))
    yield { kind: role === 'column' ? 'column' : 'member', expandedId: expanded(id, levelId), caseId }
  for (const { id } of recordsOf(state.document, 'panel'))
    yield { kind: 'panel', expandedId: expanded(id, levelId), caseId }
}

/** Addresses of a record, by its kind. */
const addressesOfKind: Partial<Record<Rec['kind'], (id: string) => readonly string[]>> = {
  member: (id) => [`beamWeight:${id}`, `barWeight:${id}`, `faceWeight:${id}`],
  strut: (id) => [`beamWeight:${id}`, `barWeight:${id}`],
  slope: (id) => [`slopeArea:${id}`],
  panel: (id) => [`slab:${id}`],
  barrier: (id) => ['load', 'place', 'moment'].map((part) => `barrier:${id}:${part}`),
  loadKey: (id) => ['buildUp', 'imposed', 'concentrated', 'partitions', 'massShare'].map((part) => `key:${id}:${part}`),
  storeyForces: (id) => [`baseShear:${lateralCase(id)}`],
}

/** Addresses of a level, of a case, of a case on a level, of an element on a level. */
function addressesOfLevel({ level: { id } }: ProjectState['levels'][number], state: ProjectState): readonly string[] {
  const elements = recordsOf(state.document, 'stiffElement').map((element) => expanded(element.id, id))
  return [
    `mass:${id}`,
    ...state.caseIds.flatMap((caseId) => [`level:${id}:${caseId}`, `storeyForce:${expanded(caseId, id)}`]),
    ...elements.flatMap((element) => [`stiffness:${element}`, `element:${element}`]),
  ]
}

const ruleIds: Readonly<Record<FamilyId, readonly string[]>> = {
  EN: ['strength', 'frequent'],
  ASCE: ['lrfd-2', 'asd-2'],
  IS: ['concrete-1'],
  BS: ['ultimate-1'],
}

/** Addresses that a person may come to first; the others are found on the way. */
function addressesOf(state: ProjectState): readonly string[] {
  const { standard, document, levels, caseIds } = state
  return [
    ...Object.keys(standard.values).map((key) => `parameter:${key}`),
    ...[...document.records.values()].flatMap(({ id, kind }) => addressesOfKind[kind]?.(id) ?? []),
    ...[2, 11.4, 40].map((height) => `qp:${height}`),
    ...caseIds.flatMap((id) => ['applied', 'onMembers', 'base', 'notCarried'].map((head) => `${head}:${id}`)),
    ...levels.flatMap((floor) => addressesOfLevel(floor, state)),
    ...effectKinds.flatMap((kind) =>
      effectsOf(state, kind)
        .slice(0, 3)
        .flatMap((effect) => ruleIds[standard.family].map((rule) => `extreme:${rule}:most:${effectKey(effect)}`)),
    ),
  ]
}

/** Every text in a value, however deep, each with what it stands in. */
function* textsIn(value: unknown, at: string): Generator<readonly [text: string, at: string]> {
  if (typeof value === 'string') yield [value, at]
  else if (value instanceof Map) for (const [key, inner] of value) yield* textsIn(inner, `${at}.${String(key)}`)
  else if (Array.isArray(value)) for (const inner of value) yield* textsIn(inner, at)
  else if (typeof value === 'object' && value !== null)
    for (const [key, inner] of Object.entries(value)) yield* textsIn(inner, `${at}.${key}`)
}

/** Words that a family says otherwise: not in what its traces, concerns and cases say. */
const notTheirs: Readonly<Record<FamilyId, RegExp>> = {
  EN: /\b(?:live|dead) loads?\b|\bstory\b|\bcenter/i,
  ASCE: /\bimposed\b|\bpermanent\b|\bstoreys?\b|\bcentre|\bmetre|favourable/i,
  IS: /\bpermanent\b|\blive load|\bstory\b|\bcenter/i,
  BS: /\bpermanent\b|\blive load|\bstory\b|\bcenter/i,
}

/** What is for programs, or is an answer's key: a case by its id, an action, a symbol, a column of a file. */
const forPrograms =
  /\.(?:id|ids|key|\w*Id|action|kind|rule|address|code|about|nature|field|group|principal|cases|said|words)$|^(?:csv|results)/
const named = /\b(?:imposed|permanent)(?:[/.]|$)/

test.each(projects)('$name: no trace, view, concern or file cites another family', ({ family, set }) => {
  const state = deriveProject(new Memo(), demoIn(family, set))
  const found = new Set<string>()
  const addresses = new Set(addressesOf(state))
  const look = (answer: unknown, of: string): void => {
    for (const [text, at] of textsIn(answer, of)) {
      if (notTheirs[family].test(text) && !forPrograms.test(at) && !named.test(text))
        found.add(`${at}: ${text.slice(0, 200)}`)
      if (elsewhere[family].test(text)) found.add(`${at}: ${text.slice(0, 200)}`)
      if (at.endsWith('.address') && addresses.size < 1200) addresses.add(text)
    }
  }
  for (const query of queriesOf(state)) look(ask(state, query), query.kind)
  let answered = 0
  // a set that grows while it is gone through: what a trace leads to is looked at as well
  for (const address of addresses) {
    const traced = ask(state, { kind: 'why', address })
    if (traced) answered++
    look(traced, address.split(':')[0] ?? '')
  }
  expect([...found]).toEqual([])
  expect(answered).toBeGreaterThan(500)
})

test.each(['EN', 'ASCE', 'IS', 'BS'] as const)(
  '%s: what a new building is made of is weighed by tables of its family',
  (family) => {
    const brief = { baysX: 1, spanX: 6, baysY: 1, spanY: 6, storeys: 1, storeyHeight: 3, beamSpacing: 2, slab: 0.15 }
    const records = bayGrid({ ...brief, sort: 'offices', family, units: 'metric', set: null }, 'New', seededRandom(1))
    const sources = records.flatMap((record) => [...textsIn(record, record.kind)])
    expect(sources.length).toBeGreaterThan(20)
    expect(sources.filter(([text]) => elsewhere[family].test(text))).toEqual([])
  },
)
