import { largest } from '../outcome/lists'
import { simpleMember, simplePanel } from '../document/blanks'
import { newId, recordsOf, type Document, type Random } from '../document/document'
import type {
  Barrier,
  Layout,
  LineLoad,
  Member,
  Opening,
  Panel,
  Patch,
  AreaLoad,
  PointLoad,
  ReductionRegion,
  Slope,
  Stair,
  StiffElement,
  WallRun,
  WallSurface,
} from '../document/recordKinds'
import { isUpright } from '../document/roles'
import type { Point } from '../geometry/point'
import { signedArea } from '../geometry/polygon'
import type { Ring } from '../geometry/polygon'
import { ringAt } from './beamRings'
import { isSpaceTool, strutMaker } from './drawnStruts'
import { made, noStock, problem, type Base, type Ground, type Made, type Maker } from './made'
import { freeLabel, labeller, type Drawn } from './shaped'
import {
  usualBarrier,
  usualLoad,
  usualPatchKey,
  usualSlab,
  usualSharing,
  usualSpan,
  usualFlight,
  usualStiffElement,
  usualStock,
  usualTruss,
  usualWall,
  usualWallSurface,
} from './usual'

/** What can be drawn, and how many points it takes: a number, or a ring or path that ends when one says so. */
export const tools = {
  beam: { name: 'beam', shape: 'segment' },
  girder: { name: 'girder', shape: 'segment' },
  joist: { name: 'joist', shape: 'segment' },
  rafter: { name: 'rafter', shape: 'segment' },
  purlin: { name: 'purlin', shape: 'segment' },
  truss: { name: 'truss', shape: 'segment' },
  bentBeam: { name: 'cranked or curved beam', shape: 'path' },
  column: { name: 'column', shape: 'point' },
  hanger: { name: 'hanger', shape: 'point' },
  rakingColumn: { name: 'raking column', shape: 'segment' },
  wall: { name: 'bearing wall', shape: 'path' },
  panel: { name: 'panel', shape: 'ring' },
  panelInRing: { name: 'panel in a beam bay', shape: 'point' },
  opening: { name: 'opening', shape: 'ring' },
  slope: { name: 'roof slope', shape: 'ring' },
  strut: { name: 'brace', shape: 'segment' },
  girt: { name: 'girt', shape: 'segment' },
  tie: { name: 'tie', shape: 'segment' },
  chord: { name: 'chord', shape: 'segment' },
  trussMember: { name: 'truss member', shape: 'segment' },
  post: { name: 'post', shape: 'point' },
  patch: { name: 'patch', shape: 'ring' },
  patchInRing: { name: 'patch in a beam bay', shape: 'point' },
  wallRun: { name: 'wall run', shape: 'path' },
  lineLoad: { name: 'line load', shape: 'path' },
  pointLoad: { name: 'point load', shape: 'point' },
  areaLoad: { name: 'area load', shape: 'ring' },
  reductionRegion: { name: 'reduction region', shape: 'ring' },
  stair: { name: 'flight of stairs', shape: 'segment' },
  barrier: { name: 'barrier', shape: 'path' },
  wallSurface: { name: 'pressure surface', shape: 'path' },
  stiffElement: { name: 'lateral element', shape: 'segment' },
} as const satisfies Record<string, { readonly name: string; readonly shape: 'point' | 'segment' | 'ring' | 'path' }>

export type Tool = keyof typeof tools

/** "A beam", "an opening". */
export const withArticle = (name: string, article: 'A' | 'a' = 'a'): string =>
  `${article}${/^[aeiou]/.test(name) ? 'n' : ''} ${name}`

/** Points that a shape needs at least. */
export const leastPoints = { point: 1, segment: 2, ring: 3, path: 2 } as const

/** The letter of new labels. */
export const letters: Readonly<Record<Tool, string>> = {
  beam: 'B',
  girder: 'G',
  joist: 'J',
  rafter: 'R',
  purlin: 'L',
  truss: 'T',
  bentBeam: 'B',
  column: 'C',
  hanger: 'N',
  rakingColumn: 'C',
  wall: 'M',
  panel: 'P',
  panelInRing: 'P',
  opening: 'V',
  slope: 'S',
  strut: 'K',
  girt: 'K',
  tie: 'K',
  chord: 'K',
  trussMember: 'K',
  post: 'K',
  patch: 'A',
  patchInRing: 'A',
  wallRun: 'W',
  lineLoad: 'Q',
  pointLoad: 'F',
  areaLoad: 'U',
  reductionRegion: 'D',
  stair: 'Z',
  barrier: 'H',
  wallSurface: 'O',
  stiffElement: 'E',
}

/** A new record from the points that were drawn; what it needs beside them is taken from what is there already. */
export function drawRecord(tool: Tool, points: readonly Point[], ground: Ground): Made {
  const { document, layout } = ground
  const label = nextLabel(tool, document, layout)
  const base = { layout: layout.id, label }
  if (points.length < leastPoints[tools[tool].shape])
    return problem(`${withArticle(tools[tool].name, 'A')} needs ${leastPoints[tools[tool].shape]} points.`)
  return makers[tool](points, base, ground)
}

/** Roles of members, each a tool of its own. */
export const memberRoles = ['beam', 'girder', 'joist', 'rafter', 'purlin', 'truss', 'column', 'hanger', 'wall'] as const

const isMemberTool = (tool: Tool): tool is Member['role'] => (memberRoles as readonly string[]).includes(tool)

/** The kind of record that a tool makes. */
function kindOf(tool: Tool): Drawn['kind'] {
  if (isMemberTool(tool) || tool === 'bentBeam' || tool === 'rakingColumn') return 'member'
  if (isSpaceTool(tool)) return 'strut'
  return tool === 'panelInRing' ? 'panel' : tool === 'patchInRing' ? 'patch' : tool
}

const makers: Readonly<Record<Tool, Maker>> = {
  ...(Object.fromEntries(
    memberRoles.map((role): readonly [Member['role'], Maker] => [
      role,
      (points, base, ground) => drawMember(role, isUpright(role) ? points.slice(0, 1) : points, base, ground),
    ]),
  ) as Readonly<Record<Member['role'], Maker>>),
  wall: drawBearingWall,
  rakingColumn: (points, base, ground) => drawMember('column', points, base, ground),
  bentBeam: (points, base, ground) =>
    ground.closed
      ? problem('A cranked or curved beam cannot end at its start: draw a ring as two.')
      : drawMember('beam', points, base, ground),
  panel: (outline, base, ground) => drawPanel(outline, base, ground),
  panelInRing: (points, base, ground) => inRing(points, ground, (ring) => drawPanel(ring, base, ground, 'ring')),
  opening: (outline, base, { random }) =>
    made<Opening>({ kind: 'opening', id: newId('opening', random), ...base, outline }),
  slope: drawSlope,
  strut: strutMaker('brace'),
  girt: strutMaker('girt'),
  tie: strutMaker('tie'),
  chord: strutMaker('chord'),
  trussMember: strutMaker('web'),
  post: strutMaker('post'),
  patch: drawPatch,
  patchInRing: (points, base, ground) => inRing(points, ground, (ring) => drawPatch(ring, base, ground)),
  stair: drawStair,
  barrier: (path, base, { document, layout, random, closed = false }) =>
    made<Barrier>({
      kind: 'barrier',
      id: newId('barrier', random),
      ...base,
      path,
      closed: closed && path.length > 2,
      ...usualBarrier(document, layout),
    }),
  wallSurface: (path, base, { document, random, closed = false }) =>
    made<WallSurface>({
      kind: 'wallSurface',
      id: newId('wallSurface', random),
      ...base,
      path,
      closed: closed && path.length > 2,
      ...usualWallSurface(document),
    }),
  stiffElement: drawStiffElement,
  wallRun: (path, base, { document, random, closed = false }) =>
    made<WallRun>({
      kind: 'wallRun',
      id: newId('wallRun', random),
      ...base,
      path,
      closed: closed && path.length > 2,
      ...usualWall(document),
    }),
  lineLoad: (path, base, { document, random }) =>
    made<LineLoad>({
      kind: 'lineLoad',
      id: newId('lineLoad', random),
      ...base,
      ...usualLoad(recordsOf(document, 'lineLoad')),
      path,
      endValue: null,
    }),
  areaLoad: (outline, base, { document, random }) =>
    made<AreaLoad>({
      kind: 'areaLoad',
      id: newId('areaLoad', random),
      ...base,
      ...usualLoad(recordsOf(document, 'areaLoad')),
      outline,
      endValue: null,
      measured: 'plan',
      angle: 0,
    }),
  // as nearly all would have it: slabs for the region, beams as elsewhere
  reductionRegion: (outline, base, { random }) =>
    made<ReductionRegion>({
      kind: 'reductionRegion',
      id: newId('reductionRegion', random),
      ...base,
      outline,
      slabs: 'byArea',
      slabFactor: null,
      beams: 'usual',
      beamFactor: null,
    }),
  pointLoad: (points, base, { document, random }) =>
    made<PointLoad>({
      kind: 'pointLoad',
      id: newId('pointLoad', random),
      ...base,
      ...usualLoad(recordsOf(document, 'pointLoad')),
      path: points.slice(0, 1),
    }),
}

function nextLabel(tool: Tool, document: Document, layout: Layout): string {
  const kind = kindOf(tool)
  const taken = recordsOf(document, kind)
    .filter((record) => record.layout === layout.id)
    .map((record) => record.label)
  return freeLabel(`${letters[tool]}1`, new Set(taken))
}

/** Barriers along wall runs, so that people lean on parapets: as high as a wall whose height is typed, where that is one to lean on. */
export function barriersAlong(document: Document, runs: readonly WallRun[], random: Random): readonly Barrier[] {
  const labellers = new Map<string, ReturnType<typeof labeller>>()
  return runs.flatMap(({ layout: id, path, closed, heightRule, height }): Barrier[] => {
    const layout = document.records.get(id)
    if (layout?.kind !== 'layout') return []
    const drawn = drawRecord('barrier', path, { document, layout, random, closed })
    if (!drawn.ok || drawn.record.kind !== 'barrier') return []
    const label = labellers.get(id) ?? labeller(document, layout)
    labellers.set(id, label)
    const typed = heightRule === 'typed' && height !== null && height <= 2 ? { height } : {}
    return [{ ...drawn.record, ...typed, label: label(drawn.record) }]
  })
}

function drawMember(
  role: Member['role'],
  points: readonly Point[],
  base: Pick<Member, 'layout' | 'label'>,
  { document, random }: Ground,
): Made {
  const alike = recordsOf(document, 'member').filter((member) => member.role === role)
  const stock = usualStock(document, alike)
  if (!stock) return noStock
  return made<Member>({
    kind: 'member',
    id: newId('member', random),
    ...base,
    role,
    path: points,
    ...stock,
    ...simpleMember,
    truss: role === 'truss' ? (alike[0]?.truss ?? usualTruss(points, stock.section)) : null,
  })
}

function drawBearingWall(points: readonly Point[], base: Base, { document, random, closed }: Ground): Made {
  const stock = stockOfWalls(document)
  if (!stock)
    return problem(
      'A bearing wall must have a material and a rectangular section whose width is the wall thickness. Add them first, e.g. “rectangle 240 x 1000”.',
    )
  const [start] = points
  return made<Member>({
    kind: 'member',
    id: newId('member', random),
    ...base,
    role: 'wall',
    path: closed && start && points.length > 2 ? [...points, start] : points,
    ...stock,
    ...simpleMember,
  })
}

/** As walls before it have; else the first rectangle, as wide as the wall is thick, and the heaviest material that is no metal. */
function stockOfWalls(document: Document): Pick<Member, 'section' | 'material'> | null {
  const alike = recordsOf(document, 'member').filter(({ role }) => role === 'wall')
  if (alike.length > 0) return usualStock(document, alike)
  const rectangle = recordsOf(document, 'section').find(({ shape }) => shape === 'rectangle')
  const [material] = recordsOf(document, 'material')
    .filter(({ unitWeight }) => unitWeight < lightestMetal)
    .sort((p, q) => q.unitWeight - p.unitWeight)
  return rectangle && material ? { section: rectangle.id, material: material.id } : null
}

/** Aluminium is the lightest metal that is built with, 27 kN/m³ (EN 1991-1-1, table A.4). */
const lightestMetal = 26_900

/** The first side that is drawn is the eaves: the roof climbs from it, 10 degrees or as the one before. */
function drawSlope(outline: readonly Point[], base: Base, { document, random }: Ground): Made {
  const [a = [0, 0], b = [1, 0]] = outline
  const inwards = signedArea(outline) < 0 ? -1 : 1
  const uphill = Math.atan2(inwards * (b[0] - a[0]), -inwards * (b[1] - a[1]))
  const before = recordsOf(document, 'slope').at(-1)
  return made<Slope>({
    kind: 'slope',
    id: newId('slope', random),
    ...base,
    outline,
    pitch: before?.pitch ?? Math.PI / 18,
    uphill,
    eaves: before?.eaves ?? 0,
  })
}

function drawStair(points: readonly Point[], base: Base, { document, random }: Ground): Made {
  const usual = usualFlight(document, points)
  if (!usual) return problem('No materials yet. Add one first.')
  return made<Stair>({ kind: 'stair', id: newId('stair', random), ...base, path: points.slice(0, 2), ...usual })
}

function drawStiffElement(points: readonly Point[], base: Base, { document, random }: Ground): Made {
  const usual = usualStiffElement(document)
  if (!usual) return problem('No materials yet. Add one first.')
  return made<StiffElement>({
    kind: 'stiffElement',
    id: newId('stiffElement', random),
    ...base,
    path: points.slice(0, 2),
    ...usual,
  })
}

function drawPanel(
  outline: readonly Point[],
  base: Base,
  { document, layout, random }: Ground,
  edges: Panel['edges'] = 'drawn',
): Made {
  return made<Panel>({
    kind: 'panel',
    id: newId('panel', random),
    ...base,
    outline,
    spanAngle: usualSpan(document, layout),
    slab: usualSlab(document, layout),
    ...simplePanel,
    sharing: usualSharing(document, layout),
    edges,
  })
}

/** What is made of the ring of beams round a point. */
function inRing([at]: readonly Point[], { document, layout }: Ground, make: (ring: Ring) => Made): Made {
  const found = ringAt(document, layout.id, at ?? [0, 0])
  return found.ok ? make(found.ring) : problem(found.problem)
}

function drawPatch(
  points: readonly Point[],
  base: Pick<Patch, 'layout' | 'label'>,
  { document, layout, random }: Ground,
): Made {
  const key = usualPatchKey(document, layout)
  if (!key) return problem('No load keys yet. Add one first.')
  const orders = recordsOf(document, 'patch')
    .filter((patch) => patch.layout === layout.id)
    .map(({ order }) => order)
  return made<Patch>({
    kind: 'patch',
    id: newId('patch', random),
    ...base,
    outline: points,
    key,
    mode: 'insteadOf',
    order: Math.max(0, largest(orders)) + 1,
  })
}
