import { expandFloors } from '../building/floors'
import { recordsOf, type Document } from '../document/document'
import type {
  Barrier,
  Layout,
  LineLoad,
  LoadKey,
  Material,
  Member,
  Panel,
  Section,
  Stair,
  StiffElement,
  WallRun,
  WallSurface,
} from '../document/recordKinds'
import type { Point } from '../geometry/point'
import { distance } from '../geometry/segment'

// What a new record is like until a person says otherwise: as what is there already.

type LoadFields = Pick<LineLoad, 'what' | 'nature' | 'use' | 'value'>

/** As most loads are, permanent ones before imposed ones where there are as many; 1 kN (per metre) until it is typed. */
export function usualLoad(loads: readonly LoadFields[]): LoadFields {
  const permanentFirst = [...loads].sort((a, b) => (a.nature === b.nature ? 0 : a.nature === 'permanent' ? -1 : 1))
  const alike = permanentFirst.map(({ what, nature, use, value }) => JSON.stringify([nature, what, use, value]))
  const most = permanentFirst[alike.indexOf(mostUsed(alike) ?? '')]
  const { what, nature, use, value } = most ?? { what: '', nature: 'permanent', use: null, value: 1000 }
  return { what, nature, use, value }
}

/** The section and material that most of what is alike has; the first ones where there is none yet. */
export function usualStock(
  document: Document,
  alike: readonly Pick<Member, 'section' | 'material'>[],
): Pick<Member, 'section' | 'material'> | null {
  const section = mostUsed<Section['id']>(alike.map((entry) => entry.section)) ?? recordsOf(document, 'section')[0]?.id
  const material =
    mostUsed<Material['id']>(alike.map((entry) => entry.material)) ?? recordsOf(document, 'material')[0]?.id
  return section && material ? { section, material } : null
}

/** A twelfth of the span deep, with an even number of bays about as long as it is deep (common practice). */
export function usualTruss([a, b]: readonly Point[], section: Section['id']): NonNullable<Member['truss']> {
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

/** Height of the storey under the lowest level that a layout stands on, m; 3 where it stands on none. */
export function storeyUnder(document: Document, layout: Layout): number {
  const floors = expandFloors(recordsOf(document, 'level'), recordsOf(document, 'levelRange'))
  return floors.find(({ layoutId }) => layoutId === layout.id)?.storeyHeight ?? 3
}

function mostUsed<T extends string>(values: readonly T[]): T | undefined {
  const counts = new Map<T, number>()
  for (const value of values) counts.set(value, (counts.get(value) ?? 0) + 1)
  // the sort is stable: of equal counts the first that came
  return [...counts].sort(([, n], [, m]) => m - n)[0]?.[0]
}

const panelsOn = (document: Document, layout: Layout): readonly Panel[] =>
  recordsOf(document, 'panel').filter((panel) => panel.layout === layout.id)

/** The span of the panel drawn before; across the drawing where there is none. */
export const usualSpan = (document: Document, layout: Layout): number =>
  panelsOn(document, layout)[0]?.spanAngle ?? Math.PI / 2

export const usualSlab = (document: Document, layout: Layout): Panel['slab'] =>
  panelsOn(document, layout)[0]?.slab ?? null

export const usualSharing = (document: Document, layout: Layout): Panel['sharing'] =>
  panelsOn(document, layout)[0]?.sharing ?? 'oneWay'

/** 2.87 kN/m2 and no openings until it is typed; net of the beam above, since most walls stand on lines of beams. */
export function usualWall(
  document: Document,
): Pick<WallRun, 'weight' | 'buildUp' | 'heightRule' | 'height' | 'openingShare' | 'openingSizes'> {
  const [before] = recordsOf(document, 'wallRun')
  return {
    weight: before?.weight ?? 2870,
    buildUp: before?.buildUp ?? null,
    heightRule: 'lessBeam',
    height: null,
    openingShare: 0,
    openingSizes: [],
  }
}

/**
 * The load key of the patch that was drawn last on the layout; else one that is no layout's default, since what carries
 * a whole floor or roof is seldom a patch on another; else any but the layout's own, which would change nothing.
 */
export function usualPatchKey(document: Document, layout: Layout): LoadKey['id'] | null {
  const [last] = recordsOf(document, 'patch')
    .filter((patch) => patch.layout === layout.id && patch.key !== layout.defaultKey)
    .sort((p, q) => q.order - p.order)
  if (last) return last.key
  const keys = [...recordsOf(document, 'loadKey')].sort((a, b) => (a.name < b.name ? -1 : 1))
  const defaults = new Set(recordsOf(document, 'layout').map(({ defaultKey }) => defaultKey))
  const found =
    keys.find(({ id }) => !defaults.has(id)) ?? keys.find(({ id }) => id !== layout.defaultKey) ?? keys.at(0)
  return found?.id ?? null
}

type FlightFields = Pick<Stair, 'width' | 'rise' | 'waist' | 'riser' | 'material' | 'key'>

/**
 * As the flight drawn before, else 1.20 m wide and 160 mm thick, with steps of 17 over 28 cm (common practice), of what the first
 * slab is made of; null while there is no material.
 */
export function usualFlight(document: Document, [foot = [0, 0], head = [0, 0]]: readonly Point[]): FlightFields | null {
  const rise = Math.round((distance(foot, head) * 0.17 * 100) / 0.28) / 100
  const before = recordsOf(document, 'stair').at(-1)
  if (before) {
    const { width, waist, riser, material, key } = before
    return { width, rise, waist, riser, material, key }
  }
  const material = massiveMaterial(document)
  return material ? { width: 1.2, rise, waist: 0.16, riser: 0.17, material, key: null } : null
}

/** The use of the floor, and 1.10 m high, as the one before. */
export function usualBarrier(document: Document, { defaultKey }: Layout): Pick<Barrier, 'use' | 'value' | 'height'> {
  const key = defaultKey ? document.records.get(defaultKey) : undefined
  const before = recordsOf(document, 'barrier').at(-1)
  return { use: key?.kind === 'loadKey' ? key.use : null, value: before?.value ?? null, height: before?.height ?? 1.1 }
}

type SurfaceFields = Pick<WallSurface, 'above' | 'depth' | 'sharing' | 'overOpenings' | 'openings' | 'pressures'>

/** From floor to floor without a pressure yet, or as the one before. */
export function usualWallSurface(document: Document): SurfaceFields {
  const before = recordsOf(document, 'wallSurface').at(-1)
  const { above = 0, depth = null, sharing = 'upright', overOpenings = 'bridged', pressures = [] } = before ?? {}
  // which side a wind meets is each surface's own matter
  return {
    above,
    depth,
    sharing,
    overOpenings,
    openings: [],
    pressures: pressures.filter(({ nature }) => nature !== 'wind'),
  }
}

type StiffFields = Pick<StiffElement, 'sort' | 'thickness' | 'material' | 'section' | 'diagonals' | 'stiffness'>

/**
 * As the one drawn before, else a wall of 200 mm (common practice) of what the first slab is made of; null while there is no material.
 */
export function usualStiffElement(document: Document): StiffFields | null {
  const before = recordsOf(document, 'stiffElement').at(-1)
  if (before) {
    const { sort, thickness, material, section, diagonals, stiffness } = before
    return { sort, thickness, material, section, diagonals, stiffness }
  }
  const material = massiveMaterial(document)
  return material && { sort: 'wall', thickness: 0.2, material, section: null, diagonals: 1, stiffness: 1e8 }
}

/** What the first slab is made of, or the first material. */
function massiveMaterial(document: Document): Material['id'] | null {
  const slab = recordsOf(document, 'panel').find((panel) => panel.slab !== null)?.slab
  return slab?.material ?? recordsOf(document, 'material')[0]?.id ?? null
}
