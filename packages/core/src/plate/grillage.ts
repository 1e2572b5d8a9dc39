import type { Symmetric } from './symmetric'

/** What a beam stands on, at s along it. */
export interface BeamSeat {
  readonly s: number
  /** The beam that it stands on, and where on it; null on a column, which does not give. */
  readonly on: { readonly member: string; readonly at: number } | null
}

/** A beam as an elastic support: it bends and does not twist; a bent one as if it were straight. */
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
}

/** A place along a beam: which deflection it has, and what holds it. */
export interface Place {
  readonly s: number
  /** Among the points that deflect: those of the plate come first. */
  readonly point: number
  readonly node: number | null
  /** The beam that it stands on here; null where it bears itself. */
  readonly on: string | null
}

/** Beams cut at every place where something happens, and the points that deflect. */
export interface Grillage {
  readonly places: ReadonlyMap<string, readonly Place[]>
  /** The point that stands for each point (those that are one share it). */
  readonly root: (point: number) => number
  readonly fixed: ReadonlySet<number>
  readonly points: number
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
      draft.map(({ s, node, on }) => ({ s, node, on, point: node ?? parents.push(parents.length) - 1 })),
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
  return { places, root, fixed: new Set(held.map(root)), points: parents.length }
}

type Draft = Pick<Place, 's' | 'node' | 'on'>

/** Ends, seats, what stands on it, and the plate: rising, each once. */
function placesOf(beam: ElasticBeam, beams: readonly ElasticBeam[], contacts: readonly Contact[]): readonly Draft[] {
  const carried = beams.flatMap(({ seats }) => seats.flatMap(({ on }) => (on?.member === beam.member ? [on.at] : [])))
  const all: Draft[] = [
    ...contacts.map(({ node, s }) => ({ s, node, on: null })),
    ...beam.seats.map(({ s, on }) => ({ s, node: null, on: on?.member ?? null })),
    ...[0, beam.length, ...carried].map((s) => ({ s, node: null, on: null })),
  ].sort((p, q) => p.s - q.s)
  const out: Draft[] = []
  for (const place of all) {
    const last = out.at(-1)
    if (last && place.s - last.s <= onePlace)
      out[out.length - 1] = {
        s: place.node === null ? last.s : place.s,
        node: last.node ?? place.node,
        on: last.on ?? place.on,
      }
    else out.push(place)
  }
  return out
}

/** Numbers of the unknowns of one piece of a beam: deflection and turn at its start, then at its end; null where held. */
export type PieceUnknowns = readonly [number | null, number | null, number | null, number | null]

export interface BeamPiece {
  readonly member: string
  readonly from: Place
  readonly to: Place
  readonly unknowns: PieceUnknowns
  readonly stiffness: readonly (readonly number[])[]
}

/** Every piece of every beam; turns are numbered from `next` on, anew behind a hinge. */
export function piecesOf(
  beams: readonly ElasticBeam[],
  { places, root }: Grillage,
  deflectionOf: (root: number) => number | null,
  numbering: { next: number },
): readonly BeamPiece[] {
  return beams.flatMap((beam) => {
    const along = places.get(beam.member) ?? []
    let turn: number | null = beam.held.start ? null : numbering.next++
    return along.slice(1).map((to, i): BeamPiece => {
      const from = along[i] ?? to
      const isLast = i === along.length - 2
      const after = isLast && beam.held.end ? null : numbering.next++
      const unknowns = [deflectionOf(root(from.point)), turn, deflectionOf(root(to.point)), after] as const
      const hinged = !isLast && beam.hinges.some((s) => Math.abs(s - to.s) <= onePlace)
      turn = hinged ? numbering.next++ : after
      return { member: beam.member, from, to, unknowns, stiffness: bendingOf(beam.stiffness, to.s - from.s) }
    })
  })
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

/** Adds an element to the whole; what is held drops out. */
export function addElement(
  whole: Symmetric,
  unknowns: readonly (number | null)[],
  value: (i: number, j: number) => number,
): void {
  unknowns.forEach((p, i) => {
    if (p === null) return
    for (let j = 0; j <= i; j++) {
      const q = unknowns[j] ?? null
      // two ends that are one point: the pair counts both ways round
      if (q !== null) whole.add(p, q, value(i, j) * (p === q && i !== j ? 2 : 1))
    }
  })
}
