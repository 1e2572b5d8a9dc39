import type { Point } from '@hedrion/core'

const compass = ['east', 'north-east', 'north', 'north-west', 'west', 'south-west', 'south', 'south-east'] as const

/** The way that a direction in plan goes, in words: "to the north-east". */
export function wayOf([x, y]: Point): string {
  const eighth = Math.round((Math.atan2(y, x) / Math.PI) * 4)
  return `to the ${compass[(eighth + 8) % 8] ?? 'east'}`
}
