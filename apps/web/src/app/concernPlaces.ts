import type { StepName } from './steps'

const places: readonly (readonly [prefix: string, step: StepName])[] = [
  ['layer.', 'basis'],
  ['value.', 'actions'],
  ['member.', 'building'],
  ['column.', 'building'],
  ['hanger.', 'building'],
  ['outline.', 'building'],
  ['slope.', 'building'],
  ['selfweight.', 'actions'],
  ['partitions.', 'actions'],
  ['wall.', 'actions'],
  ['wind.velocity-of-another-kind', 'basis'],
  ['wind.', 'actions'],
  ['panel.unloaded', 'actions'],
  ['panel.off-its-beams', 'building'],
  ['panel.', 'paths'],
  ['load.', 'paths'],
  ['surface.', 'actions'],
]

/** The step at which a concern arises and is mended. */
export const stepOfConcern = (code: string): StepName =>
  places.find(([prefix]) => code.startsWith(prefix))?.[1] ?? 'paths'
