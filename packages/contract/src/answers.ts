import type { ChangeSet, Conflict, Problem, Rec, SetAside } from '@hedrion/core'

/** Every refusal of the server has this shape. */
export interface ApiProblem {
  /** Stable: `project.unknown`, `change.conflict`. */
  readonly code: string
  readonly message: string
  /** What of the request it is about: a field of the body, a header, or the address. */
  readonly path?: string
  readonly problems?: readonly Problem[]
  readonly conflicts?: readonly Conflict[]
}

/** A change set with the counter that the project had after it, and when it was accepted. */
export interface AcceptedChange extends ChangeSet {
  readonly counter: number
  readonly at: string
}

/** An accepted change: the counter that it got. `others` are changes between the counter it saw and its own. */
export interface ChangeAnswer {
  readonly counter: number
  readonly others: readonly AcceptedChange[]
}

export interface OpenProject {
  readonly id: string
  readonly name: string
  readonly counter: number
  /** The version of the format that the records are in. */
  readonly format: number
  /** The edition of the results that its readers were last told of. */
  readonly results: number
  /** Stored records that cannot be taken as they are. */
  readonly aside: readonly SetAside[]
  readonly records: Readonly<Record<string, Rec>>
}
