import type { Point } from '../geometry/point'
import { distance } from '../geometry/segment'
import { entry } from '../outcome/assert'
import type { Symmetric } from './symmetric'

/** What a beam stands on, at s along it. */
export interface BeamSeat {
  readonly s: number
  /** The beam that it stands on, and where on it; null on a column, which does not give. */
  readonly on: { readonly member: string; readonly at: number } | null
}

/** A beam as an elastic support: it bends with the plate and does not twist. */
export interface ElasticBeam {
  readonly member: string
  /** Flexural stiffness EI, Nm². */
  readonly stiffness: number
  readonly length: number
  readonly seats: readonly BeamSeat[]
  /** Ends that are held against turning. */
  readonly held: { readonly start: boolean; readonly end: boolean }
  /** Where it is cut into single spans. */
  readonly hinges: readonly number[]
}

/** A point of the plate on a beam. */
export interface Contact {
  readonly node: number
  readonly s: number
  /** The way in which s grows there: a unit vector. */
  readonly along: Point
}

/** A place along a beam: which deflection it has, and what holds it. */
export interface Place {
  readonly s: number
  /** Among the points that deflect: those of the plate come first. */
  readonly point: number
  readonly node: number | null
  readonly along: Point | null
  /** The beam that it stands on here; null where it bears itself. */
  readonly on: string | null
}

/** Beams cut at every place where something happens, and the points that deflect. */
export interface Grillage {
  readonly places: ReadonlyMap<string, readonly Place[]>
  /** The point that stands for each point (those that are one share it). */
  readonly root: (point: number) => number
  readonly fixed: ReadonlySet<number>
}

/** Places nearer than this along a beam are one: what lies on one point of the setting-out meets there. */
const onePlace = 0.015

/** Which points of plate and beams deflect together. `onColumns` are nodes of the plate that stand on columns. */
export function grillageOf(
  beams: readonly ElasticBeam[],
  contacts: ReadonlyMap<string, readonly Contact[]>,
  nodes: number,
  onColumns: readonly number[],
): Grillage {
  const parents = Array.from({ length: nodes }, (_, i) => i)
  const root = (point: number): number => {
    let at = point
    while (parents[at] !== at) at = parents[at] ?? at
    return at
  }
  const join = (a: number, b: number) => void (parents[Math.max(root(a), root(b))] = Math.min(root(a), root(b)))
  const drafts = new Map(beams.map((beam) => [beam.member, placesOf(beam, beams, contacts.get(beam.member) ?? [])]))
  const places = new Map<string, readonly Place[]>()
  for (const [member, draft] of drafts)
    places.set(
      member,
      draft.map((place) => ({ ...place, point: place.node ?? parents.push(parents.length) - 1 })),
    )
  const nearest = (member: string, s: number): Place | undefined =>
    places.get(member)?.find((place) => Math.abs(place.s - s) <= onePlace)
  const held: number[] = [...onColumns]
  for (const { member, seats } of beams)
    for (const { s, on } of seats) {
      const place = nearest(member, s)
      if (!place) continue
      if (!on) held.push(place.point)
      const under = on && nearest(on.member, on.at)
      if (under) join(place.point, under.point)
    }
  return { places, root, fixed: new Set(held.map(root)) }
}

type Draft = Omit<Place, 'point'>

/** Ends, seats, what stands on it, and the plate: rising, each once. */
function placesOf(beam: ElasticBeam, beams: readonly ElasticBeam[], contacts: readonly Contact[]): readonly Draft[] {
  const carried = beams.flatMap(({ seats }) => seats.flatMap(({ on }) => (on?.member === beam.member ? [on.at] : [])))
  const all: Draft[] = [
    ...contacts.map(({ node, s, along }) => ({ s, node, along, on: null })),
    ...beam.seats.map(({ s, on }) => ({ s, node: null, along: null, on: on?.member ?? null })),
    ...[0, beam.length, ...carried].map((s) => ({ s, node: null, along: null, on: null })),
  ].sort((p, q) => p.s - q.s)
  const out: Draft[] = []
  for (const place of all) {
    const last = out.at(-1)
    if (last && place.s - last.s <= onePlace) {
      const [first, second] = last.node === null ? [place, last] : [last, place]
      out[out.length - 1] = { ...first, on: first.on ?? second.on }
    } else out.push(place)
  }
  return out
}

/** A displacement as a sum of unknowns, each with its factor; none where it is held. */
type Sum = readonly (readonly [unknown: number, factor: number])[]

export interface BeamPiece {
  readonly from: Place
  readonly to: Place
  /** Of the deflection and the slope at its start, then at its end. */
  readonly displacements: readonly [Sum, Sum, Sum, Sum]
  readonly stiffness: readonly (readonly number[])[]
  readonly way: Point | null
  /** Whether it has the plate's slope at its start, and at its end. */
  readonly withPlate: readonly [boolean, boolean]
}

/** The unknowns of the points that deflect, and of the slopes of the plate (in y, and minus that in x). */
export interface Unknowns {
  readonly deflectionOf: (root: number) => number | null
  readonly turnsOf: (node: number) => readonly [number, number] | null
  readonly add: () => number
}

/**
 * Every piece of every beam. On the plate a beam has the plate's slope along its axis; off the plate it has its own, anew behind a
 * hinge.
 */
export function piecesOf(
  beams: readonly ElasticBeam[],
  { places, root }: Grillage,
  points: readonly Point[],
  unknowns: Unknowns,
): readonly BeamPiece[] {
  const deflection = ({ point }: Place): Sum => {
    const unknown = unknowns.deflectionOf(root(point))
    return unknown === null ? [] : [[unknown, 1]]
  }
  return beams.flatMap((beam) => {
    const list = places.get(beam.member) ?? []
    // of a place off the plate: what the piece before it has there; null where it turns by itself
    let own: Sum | null = beam.held.start ? [] : null
    return list.slice(1).map((to, i): BeamPiece => {
      const from = list[i] ?? to
      const way = wayOf(from, to, points)
      const isLast = i === list.length - 2
      const heldHere = (at: Place) => (at === list[0] && beam.held.start) || (at === to && isLast && beam.held.end)
      const onPlate = (at: Place): Sum | null => {
        const turns = at.node === null || heldHere(at) ? null : unknowns.turnsOf(at.node)
        // dw/ds = w,x cos + w,y sin
        return turns && way
          ? [
              [turns[0], way[1]],
              [turns[1], -way[0]],
            ]
          : null
      }
      const [start, end] = [onPlate(from), onPlate(to)]
      const before = start ?? own ?? [[unknowns.add(), 1]]
      const after = end ?? (isLast && beam.held.end ? [] : [[unknowns.add(), 1] as const])
      const hinged = !isLast && beam.hinges.some((s) => Math.abs(s - to.s) <= onePlace)
      own = hinged ? null : after
      return {
        from,
        to,
        displacements: [deflection(from), before, deflection(to), after],
        stiffness: bendingOf(beam.stiffness, to.s - from.s),
        way,
        withPlate: [start !== null, end !== null],
      }
    })
  })
}

/** The way along a piece: between its points on the plate, or as it runs at the one that is on it. */
function wayOf(from: Place, to: Place, points: readonly Point[]): Point | null {
  const [a, b] = [points[from.node ?? -1], points[to.node ?? -1]]
  if (!a || !b) return from.along ?? to.along
  const length = distance(a, b)
  return [(b[0] - a[0]) / length, (b[1] - a[1]) / length]
}

/** Stiffness of a straight beam in bending (J. S. Przemieniecki, Theory of Matrix Structural Analysis, 5.6, without shear). */
function bendingOf(EI: number, h: number): readonly (readonly number[])[] {
  const k = EI / h ** 3
  return [
    [12 * k, 6 * h * k, -12 * k, 6 * h * k],
    [6 * h * k, 4 * h * h * k, -6 * h * k, 2 * h * h * k],
    [-12 * k, -6 * h * k, 12 * k, -6 * h * k],
    [6 * h * k, 2 * h * h * k, -6 * h * k, 4 * h * h * k],
  ]
}

/** Adds a piece of a beam to the whole. */
export function addPiece(whole: Symmetric, { displacements, stiffness }: BeamPiece): void {
  displacements.forEach((first, i) => {
    displacements.forEach((second, j) => {
      for (const [p, factor] of first)
        for (const [q, other] of second) if (p >= q) whole.add(p, q, factor * other * entry(entry(stiffness, i), j))
    })
  })
}

/** Adds an element of the plate to the whole; what is held drops out. */
export function addElement(
  whole: Symmetric,
  unknowns: readonly (number | null)[],
  value: (i: number, j: number) => number,
): void {
  unknowns.forEach((p, i) => {
    if (p === null) return
    for (let j = 0; j <= i; j++) {
      const q = unknowns[j] ?? null
      // two corners that are one point: the pair counts both ways round
      if (q !== null) whole.add(p, q, value(i, j) * (p === q && i !== j ? 2 : 1))
    }
  })
}
