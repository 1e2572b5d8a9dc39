import type { Beam } from '../../building/frame'
import { entry } from '../../outcome/assert'
import { distance } from '../../geometry/segment'
import type { Point } from '../../geometry/point'
import { labelOf } from '../../document/labels'
import type { Document } from '../../document/document'
import { takersOf, type LayoutOperator } from '../../rundown/operator'
import type { LineSource, PointSource, WallSource } from '../../rundown/sources'
import { formula } from '../../trace/formula'
import { given, type Traced } from '../../trace/traced'

/** What of a line load a beam takes, by its distance from the beam on the other side. */
export const leverLength = formula({
  symbol: 'l',
  quantity: 'length',
  clause: 'lever rule between two beams',
  inputs: { L: 'length', a: 'length', b: 'length' },
  expression: 'L * a / b',
  evaluate: ({ L, a, b }) => (L * a) / b,
})

/** What of a force a beam takes, by its distance from the beam on the other side. */
export const leverPart = formula({
  symbol: 'η',
  quantity: 'factor',
  clause: 'lever rule between two beams',
  inputs: { a: 'length', b: 'length' },
  expression: 'a / b',
  evaluate: ({ a, b }) => a / b,
})

/** What of a line load a beam takes, where it is no ratio of two distances. */
export const sharedLength = formula({
  symbol: 'l',
  quantity: 'length',
  clause: 'sharing rule of the panel',
  inputs: { L: 'length', eta: 'factor' },
  expression: 'L * eta',
  evaluate: ({ L, eta }) => L * eta,
})

type Levered = LineSource | PointSource | WallSource

/** A load on a beam: by the rows of both. */
export interface Landed {
  readonly document: Document
  readonly operator: LayoutOperator
  readonly row: number
  readonly beam: number
  /** What of the load lands there: m of a line, a share of a force. */
  readonly part: number
}

/** Where a load acts as one, and how long it is; null where it is not the same all along. */
function placed(source: Levered): { readonly at: Point; readonly length: number } | null {
  if (source.kind === 'point') return { at: source.at, length: 1 }
  if (source.kind === 'line' && source.load.varies) return null
  const [a, b, length] =
    source.kind === 'wall'
      ? [source.segment.a, source.segment.b, source.segment.drawn]
      : [source.a, source.b, distance(source.a, source.b)]
  return { at: [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2], length }
}

/** How far a point lies from a beam's line, toward where the other beam is. */
function reach({ a, b }: Beam, toward: Beam, at: Point): { readonly of: number; readonly other: number } {
  const [dx, dy, length] = [b[0] - a[0], b[1] - a[1], distance(a, b)]
  const off = ([x, y]: Point) => ((x - a[0]) * dy - (y - a[1]) * dx) / length
  const other = off([(toward.a[0] + toward.b[0]) / 2, (toward.a[1] + toward.b[1]) / 2])
  return { of: Math.sign(other) * off(at), other: Math.abs(other) }
}

const isNear = (a: number, b: number) => Math.abs(a - b) <= 1e-6 * Math.max(1e-3, Math.abs(b))

/** The beam of two that take a load beside the one in question; null where it is not two. */
function otherOf({ operator: { toBeams, toColumns, plan }, row, beam }: Landed): Beam | null {
  const takers = [...takersOf(toBeams, row)]
  const [other] = takers.filter((taker) => taker !== beam)
  if (takers.length !== 2 || other === undefined || takersOf(toColumns, row).length > 0) return null
  return entry(plan.frame.beams, other)
}

/** The distances by which a beam takes its part; null where it is not their ratio. */
function leversOf(landed: Landed, at: Point, share: number) {
  const { document, operator, beam } = landed
  const other = otherOf(landed)
  if (!other) return null
  const own = entry(operator.plan.frame.beams, beam)
  const { of, other: apart } = reach(other, own, at)
  if (apart < 1e-3 || !isNear(of / apart, share)) return null
  const [name, ownName] = [other, own].map(({ member }) => labelOf(document, member.id))
  return {
    a: given('a', 'length', of, `from ${name ?? ''} to the load`),
    b: given('b', 'length', apart, `from ${name ?? ''} to ${ownName ?? ''}`),
  }
}

/**
 * The part of a line load that a beam takes, m, as its length times a ratio of distances where two beams share it by the lever, or
 * times its mean share; null where the beam takes it whole, or where the load varies along its length.
 */
export function sharedLine(landed: Landed, source: LineSource | WallSource): Traced<'length'> | null {
  const { part } = landed
  const place = placed(source)
  if (!place || isNear(part, place.length)) return null
  const L = given('L', 'length', place.length, 'length of the load')
  const levers = leversOf(landed, place.at, part / place.length)
  if (levers) return leverLength({ L, ...levers })
  return sharedLength({ L, eta: given('η', 'factor', part / place.length, 'share from the sharing rule') })
}

/** The part of a force that a beam takes, as a ratio of distances; null where it is none. */
export function sharedPoint(landed: Landed, { at }: PointSource): Traced<'factor'> | null {
  const levers = isNear(landed.part, 1) ? null : leversOf(landed, at, landed.part)
  return levers && leverPart(levers)
}
