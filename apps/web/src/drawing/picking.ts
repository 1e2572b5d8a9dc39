import type { Point } from '@hedrion/core'

/** Which way an arrow key goes, y upwards. */
export const directions: Readonly<Record<string, Point>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
}

/** What is picked after a press on a thing: it alone, or with `more` it beside the others, or no longer among them. */
export const pickedAfter = (picked: readonly string[], id: string, more: boolean): readonly string[] =>
  !more ? [id] : picked.includes(id) ? picked.filter((other) => other !== id) : [...picked, id]
