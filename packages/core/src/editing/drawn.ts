import { newId, recordsOf, type Document, type Random } from '../document/document'
import type {
  Layout,
  LineLoad,
  LoadKey,
  Material,
  Member,
  Opening,
  Panel,
  Patch,
  PointLoad,
  Section,
  Slope,
  Strut,
  WallRun,
} from '../document/recordKinds'
import { expandFloors } from '../building/floors'
import type { Point } from '../geometry/point'
import { signedArea } from '../geometry/polygon'
import { distance } from '../geometry/segment'
import { freeLabel, type Drawn } from './shaped'

/** What can be drawn, and how many points it takes: a number, or a ring or path that ends when one says so. */
export const tools = {
  beam: { name: 'beam', shape: 'segment' },
  girder: { name: 'girder', shape: 'segment' },
  joist: { name: 'joist', shape: 'segment' },
  rafter: { name: 'rafter', shape: 'segment' },
  purlin: { name: 'purlin', shape: 'segment' },
  truss: { name: 'truss', shape: 'segment' },
  column: { name: 'column', shape: 'point' },
  panel: { name: 'panel', shape: 'ring' },
  opening: { name: 'opening', shape: 'ring' },
  slope: { name: 'roof slope', shape: 'ring' },
  strut: { name: 'brace', shape: 'segment' },
  patch: { name: 'patch', shape: 'ring' },
  wallRun: { name: 'wall run', shape: 'path' },
  lineLoad: { name: 'line load', shape: 'path' },
  pointLoad: { name: 'point load', shape: 'point' },
} as const satisfies Record<string, { readonly name: string; readonly shape: 'point' | 'segment' | 'ring' | 'path' }>

export type Tool = keyof typeof tools

/** Points that a shape needs at least. */
export const leastPoints = { point: 1, segment: 2, ring: 3, path: 2 } as const

const letters: Readonly<Record<Tool, string>> = {
  beam: 'B',
  girder: 'G',
  joist: 'J',
  rafter: 'R',
  purlin: 'L',
  truss: 'T',
  column: 'C',
  panel: 'P',
  opening: 'V',
  slope: 'S',
  strut: 'K',
  patch: 'A',
  wallRun: 'W',
  lineLoad: 'Q',
  pointLoad: 'F',
}

export type Made = { readonly ok: true; readonly record: Drawn } | { readonly ok: false; readonly problem: string }

const problem = (sentence: string): Made => ({ ok: false, problem: sentence })

interface Ground {
  readonly document: Document
  readonly layout: Layout
  readonly random: Random
  /** A wall run may return to its start. */
  readonly closed?: boolean
}

/** A new record from the points that were drawn; what it needs beside them is taken from what is there already. */
export function drawRecord(tool: Tool, points: readonly Point[], ground: Ground): Made {
  const { document, layout } = ground
  const label = nextLabel(tool, document, layout)
  const base = { layout: layout.id, label }
  if (points.length < leastPoints[tools[tool].shape])
    return problem(`A ${tools[tool].name} needs ${leastPoints[tools[tool].shape]} points.`)
  return makers[tool](points, base, ground)
}

const memberTools = ['beam', 'girder', 'joist', 'rafter', 'purlin', 'truss', 'column'] as const

const isMemberTool = (tool: Tool): tool is Member['role'] => (memberTools as readonly string[]).includes(tool)

type Base = Pick<Member, 'layout' | 'label'>
type Maker = (points: readonly Point[], base: Base, ground: Ground) => Made

const makers: Readonly<Record<Tool, Maker>> = {
  ...(Object.fromEntries(
    memberTools.map((role): readonly [Member['role'], Maker] => [
      role,
      (points, base, ground) => drawMember(role, points, base, ground),
    ]),
  ) as Readonly<Record<Member['role'], Maker>>),
  panel: (outline, base, { document, layout, random }) =>
    made<Panel>({
      kind: 'panel',
      id: newId('panel', random),
      ...base,
      outline,
      spanAngle: usualSpan(document, layout),
      slab: usualSlab(document, layout),
      overhang: 'lever',
      openings: 'bridged',
    }),
  opening: (outline, base, { random }) =>
    made<Opening>({ kind: 'opening', id: newId('opening', random), ...base, outline }),
  slope: drawSlope,
  strut: drawStrut,
  patch: drawPatch,
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

type LoadFields = Pick<LineLoad, 'what' | 'nature' | 'use' | 'value'>

/** A load is most often drawn again like the one before: 1 kN (per metre) until it is typed. */
function usualLoad(loads: readonly LoadFields[]): LoadFields {
  const { what, nature, use, value } = loads.at(-1) ?? { what: '', nature: 'permanent', use: null, value: 1000 }
  return { what, nature, use, value }
}

const made = <D extends Drawn>(record: D): Made => ({ ok: true, record })

function nextLabel(tool: Tool, document: Document, layout: Layout): string {
  const kind = isMemberTool(tool) ? 'member' : tool
  const taken = recordsOf(document, kind)
    .filter((record) => record.layout === layout.id)
    .map((record) => record.label)
  return freeLabel(`${letters[tool]}1`, new Set(taken))
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
    path: points.slice(0, role === 'column' ? 1 : 2),
    ...stock,
    startRelease: 'pinned',
    endRelease: 'pinned',
    truss: role === 'truss' ? (alike[0]?.truss ?? usualTruss(points, stock.section)) : null,
  })
}

const noStock = problem('There is no section and material yet. Add one first.')

/** The section and material that most of what is alike has; the first ones where there is none yet. */
function usualStock(
  document: Document,
  alike: readonly Pick<Member, 'section' | 'material'>[],
): Pick<Member, 'section' | 'material'> | null {
  const section = mostUsed<Section['id']>(alike.map((entry) => entry.section)) ?? recordsOf(document, 'section')[0]?.id
  const material =
    mostUsed<Material['id']>(alike.map((entry) => entry.material)) ?? recordsOf(document, 'material')[0]?.id
  return section && material ? { section, material } : null
}

/** A twelfth of the span deep, with an even number of bays about as long as it is deep (common practice). */
function usualTruss([a, b]: readonly Point[], section: Section['id']): NonNullable<Member['truss']> {
  const length = a && b ? distance(a, b) : 1
  const depth = Math.max(0.5, Math.round((length / 12) * 20) / 20)
  return {
    bottom: 'straight',
    depth,
    bays: Math.min(60, Math.max(2, 2 * Math.round(length / depth / 2))),
    posts: true,
    bottomSection: section,
    webSection: section,
  }
}

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

/** From the foot of the storey up to the level, until heights are typed. */
function drawStrut(points: readonly Point[], base: Base, { document, layout, random }: Ground): Made {
  const stock = usualStock(document, recordsOf(document, 'strut'))
  if (!stock) return noStock
  return made<Strut>({
    kind: 'strut',
    id: newId('strut', random),
    ...base,
    role: 'brace',
    path: points.slice(0, 2),
    startHeight: -storeyUnder(document, layout),
    endHeight: 0,
    ...stock,
  })
}

/** Height of the storey under the lowest level that a layout stands on, m; 3 where it stands on none. */
function storeyUnder(document: Document, layout: Layout): number {
  const floors = expandFloors(recordsOf(document, 'level'), recordsOf(document, 'levelRange'))
  return floors.find(({ layoutId }) => layoutId === layout.id)?.storeyHeight ?? 3
}

function drawPatch(
  points: readonly Point[],
  base: Pick<Patch, 'layout' | 'label'>,
  { document, layout, random }: Ground,
): Made {
  const keys = recordsOf(document, 'loadKey')
  // a patch with the default's own key would change nothing
  const key: LoadKey | undefined = keys.find(({ id }) => id !== layout.defaultKey) ?? keys[0]
  if (!key) return problem('There is no load key yet. Add one first.')
  const orders = recordsOf(document, 'patch')
    .filter((patch) => patch.layout === layout.id)
    .map(({ order }) => order)
  return made<Patch>({
    kind: 'patch',
    id: newId('patch', random),
    ...base,
    outline: points,
    key: key.id,
    mode: 'insteadOf',
    order: Math.max(0, ...orders) + 1,
  })
}

function mostUsed<T extends string>(values: readonly T[]): T | undefined {
  const counts = new Map<T, number>()
  for (const value of values) counts.set(value, (counts.get(value) ?? 0) + 1)
  return [...counts].sort(([a, n], [b, m]) => m - n || (a < b ? -1 : 1))[0]?.[0]
}

const panelsOn = (document: Document, layout: Layout): readonly Panel[] =>
  recordsOf(document, 'panel').filter((panel) => panel.layout === layout.id)

/** The span of the panel drawn before; across the drawing where there is none. */
const usualSpan = (document: Document, layout: Layout): number =>
  panelsOn(document, layout)[0]?.spanAngle ?? Math.PI / 2

const usualSlab = (document: Document, layout: Layout): Panel['slab'] => panelsOn(document, layout)[0]?.slab ?? null

/** 2.87 kN/m2 and no openings until it is typed; net of the beam above, since most walls stand on lines of beams. */
function usualWall(document: Document): Pick<WallRun, 'weight' | 'buildUp' | 'heightRule' | 'height' | 'openingShare'> {
  const [before] = recordsOf(document, 'wallRun')
  return {
    weight: before?.weight ?? 2870,
    buildUp: before?.buildUp ?? null,
    heightRule: 'lessBeam',
    height: null,
    openingShare: 0,
  }
}
