import type { SharingRule } from '../sharing/sharer'

/** How a panel hands its load on, as sheets, traces and the report call it. */
export const sharingNames: Readonly<Record<SharingRule, string>> = {
  oneWay: 'one-way, along its span',
  twoWay: 'two-way, to the nearest member',
  surrounding: 'to the nearest surrounding beam',
  even: 'one even value on the surrounding beams',
  corners: 'to its corners',
  stiffness: 'by stiffness, as a plate',
}

/** Every rule with its name, to choose from. */
export const sharingChoices = Object.entries(sharingNames) as readonly (readonly [SharingRule, string])[]
