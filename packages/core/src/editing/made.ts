import type { Document, Random } from '../document/document'
import type { Layout, Member } from '../document/recordKinds'
import type { Point } from '../geometry/point'
import type { Drawn } from './shaped'

/** A record made of what was drawn, or why there is none. */
export type Made = { readonly ok: true; readonly record: Drawn } | { readonly ok: false; readonly problem: string }

export const problem = (sentence: string): Made => ({ ok: false, problem: sentence })

export const made = <D extends Drawn>(record: D): Made => ({ ok: true, record })

export const noStock = problem('No sections or materials yet. Add one first.')

/** What a drawing is made on. */
export interface Ground {
  readonly document: Document
  readonly layout: Layout
  readonly random: Random
  /** A wall run may return to its start. */
  readonly closed?: boolean
}

export type Base = Pick<Member, 'layout' | 'label'>
export type Maker = (points: readonly Point[], base: Base, ground: Ground) => Made
