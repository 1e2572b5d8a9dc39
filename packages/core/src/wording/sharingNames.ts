import type { SharingRule } from '../sharing/sharer'

/** How a panel hands its load on, as sheets, traces and the report call it. */
export const sharingNames: Readonly<Record<SharingRule, string>> = {
  oneWay: 'one-way, along the span',
  twoWay: 'two-way, nearest member',
  surrounding: 'two-way, perimeter beams only',
  even: 'surrounding beams, equal load per length',
  corners: 'corner supports',
  stiffness: 'plate on elastic supports',
}

/** Every rule with its name, to choose from. */
export const sharingChoices = Object.entries(sharingNames) as readonly (readonly [SharingRule, string])[]
