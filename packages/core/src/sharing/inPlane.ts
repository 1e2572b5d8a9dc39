import type { RoofPlane } from '../building/slopes'
import type { Point } from '../geometry/point'
import { loadOver, type Density } from '../geometry/density'
import type { Region } from '../geometry/polygon'
import { distance } from '../geometry/segment'
import { loadAlong } from './lineEnds'
import type { Ground, Sharer } from './sharer'
import type { Carrier } from './rails'
import type { Share, ShareLine, SharePoint } from './share'

/**
 * A rule over a panel that lies in a plane of a roof, as it works in that plane: what is nearest there need not be nearest in plan.
 * Panel, members and load are laid into the plane, shared, and what members take is brought back to their lengths in plan. Load stays
 * what it is per area, length or piece in plan.
 */
export function inPlane(ground: Ground, { uphill, stretch }: RoofPlane, rule: (laid: Ground) => Sharer): Sharer {
  const up: Point = [Math.cos(uphill), Math.sin(uphill)]
  const drawn = ([x, y]: Point, by: number): Point => {
    const more = (by - 1) * (x * up[0] + y * up[1])
    return [x + more * up[0], y + more * up[1]]
  }
  const lay = (at: Point): Point => drawn(at, stretch)
  const layRegion = (region: Region): Region => region.map((ring) => ring.map(lay))
  // the same value at the same place: it grows less per metre uphill
  const laidDensity = ({ at, value, grows }: Density): Density => ({
    at: lay(at),
    value,
    grows: drawn(grows, 1 / stretch),
  })
  const pieces = piecesOf(ground.carriers, lay, stretch)
  const sharer = rule({
    ...ground,
    outline: layRegion(ground.outline),
    border: layRegion(ground.border),
    carriers: pieces.map(({ laid }) => laid),
    columns: ground.columns.map((column) => ({ ...column, at: lay(column.at) })),
  })
  const back = backOf(pieces, (at) => drawn(at, 1 / stretch))
  return {
    area: (region, density) => {
      const { force, moments } = loadOver(region, density)
      return back(sharer.area(layRegion(region), laidDensity(density)), 1 / stretch, force, moments)
    },
    line: (a, b, ends) => {
      const { force, moments } = loadAlong(a, b, ends)
      const [p, q] = [lay(a), lay(b)]
      return back(sharer.line(p, q, ends), distance(a, b) / distance(p, q), force, moments)
    },
    point: (at) => back(sharer.point(lay(at)), 1, 1, at),
    dividing: (region) => sharer.dividing(layRegion(region)).map((path) => path.map((at) => drawn(at, 1 / stretch))),
  }
}

/** A straight piece of a member in plan, and as it lies in the plane. */
interface Piece {
  readonly laid: Carrier
  readonly from: number
  /** Length in plan, and in the plane. */
  readonly length: number
  readonly laidLength: number
}

/** Pieces of one member begin so far apart in the plane that none overlaps the next, whichever way each runs. */
function piecesOf(carriers: readonly Carrier[], lay: (at: Point) => Point, stretch: number): readonly Piece[] {
  return carriers.map((carrier): Piece => {
    const [a, b] = [lay(carrier.a), lay(carrier.b)]
    const [length, laidLength] = [distance(carrier.a, carrier.b), distance(a, b)]
    const from = carrier.from * stretch
    const { stops } = carrier
    const laidStops = stops
      ?.filter((s) => s > carrier.from && s < carrier.from + length)
      .map((s) => from + ((s - carrier.from) * laidLength) / length)
    const laid = { ...carrier, a, b, from }
    return { laid: laidStops ? { ...laid, stops: laidStops } : laid, from: carrier.from, length, laidLength }
  })
}

type Back = (share: Share, part: number, applied: number, appliedMoments: Point) => Share

/** Brings a share back to lengths in plan, a part of it. */
function backOf(pieces: readonly Piece[], backAt: (at: Point) => Point): Back {
  const byMember = new Map<string, Piece[]>()
  for (const piece of [...pieces].sort((p, q) => p.from - q.from)) {
    const known = byMember.get(piece.laid.member)
    if (known) known.push(piece)
    else byMember.set(piece.laid.member, [piece])
  }
  const pieceAt = (member: string, s: number): Piece | undefined => {
    const own = byMember.get(member) ?? []
    // the last that begins before it; what hangs past an end by a tolerance belongs to the end
    return own.findLast(({ laid }) => laid.from <= s) ?? own[0]
  }
  const place = ({ laid, from, length, laidLength }: Piece, s: number): number =>
    from + ((s - laid.from) * length) / laidLength
  const backLine = (line: ShareLine, part: number): readonly ShareLine[] => {
    const piece = pieceAt(line.member, (line.s0 + line.s1) / 2)
    if (!piece) return []
    const scale = (part * piece.laidLength) / piece.length
    return [{ ...line, s0: place(piece, line.s0), s1: place(piece, line.s1), q0: line.q0 * scale, q1: line.q1 * scale }]
  }
  const backPoint = (point: SharePoint, part: number): readonly SharePoint[] => {
    const piece = pieceAt(point.member, point.s)
    return piece ? [{ ...point, s: place(piece, point.s), force: point.force * part }] : []
  }
  return (share, part, applied, appliedMoments) => ({
    ...share,
    lines: share.lines.flatMap((line) => backLine(line, part)),
    points: share.points.flatMap((point) => backPoint(point, part)),
    turns: share.turns.flatMap((line) => backLine(line, part)),
    turnPoints: share.turnPoints.flatMap((point) => backPoint(point, part)),
    onColumns: share.onColumns.map((point) => ({ ...point, at: backAt(point.at), force: point.force * part })),
    applied,
    appliedMoments,
    notCarried: share.notCarried * part,
    torque: share.torque * part,
  })
}
