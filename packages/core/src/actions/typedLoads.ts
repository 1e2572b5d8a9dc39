import { recordsOf, type Document } from '../document/document'
import type { AreaLoad, LineLoad, PointLoad, Rec } from '../document/recordKinds'
import type { Concern } from '../outcome/outcome'
import type { Standard } from '../standards/layer'
import { given, type Traced } from '../trace/traced'
import { typedLoads } from './cases'
import { casesOfUse } from './keyLoads'

export type TypedLoad = LineLoad | PointLoad | AreaLoad

export const isTypedLoad = (record: Rec | undefined): record is TypedLoad =>
  record?.kind === 'lineLoad' || record?.kind === 'pointLoad' || record?.kind === 'areaLoad'

/** Line loads, then point and area loads, each in the order of their ids. */
export const typedLoadsOf = (document: Document): readonly TypedLoad[] => [
  ...recordsOf(document, 'lineLoad'),
  ...recordsOf(document, 'pointLoad'),
  ...recordsOf(document, 'areaLoad'),
]

/** The case that a typed load acts in; null where an imposed one has no use that the standard knows. */
export function caseOfTyped({ nature, use }: TypedLoad, standard: Standard): string | null {
  return nature === 'permanent' ? typedLoads : (casesOfUse(use, standard)?.imposed ?? null)
}

/** Its value, N/m, N or N/m²; at the end of a line or area load it may be another one. */
export const valueAt = (load: TypedLoad, end: 'start' | 'end'): number =>
  load.kind !== 'pointLoad' && end === 'end' ? (load.endValue ?? load.value) : load.value

const quantities = { lineLoad: 'lineLoad', pointLoad: 'force', areaLoad: 'pressure' } as const

/** Its value as it was typed. */
export const typedValue = (load: TypedLoad, end: 'start' | 'end' = 'start'): Traced => {
  const from = [`entered for ${load.label}`, load.what].filter(Boolean).join(', ')
  return given(load.kind === 'pointLoad' ? 'F' : 'q', quantities[load.kind], valueAt(load, end), from)
}

/** An imposed load without a use that the standard knows belongs to no case. */
export function typedConcerns(loads: readonly TypedLoad[], standard: Standard): readonly Concern[] {
  return loads.flatMap((load): Concern[] =>
    caseOfTyped(load, standard) === null && (load.value !== 0 || valueAt(load, 'end') !== 0)
      ? [{ code: 'load.no-use', about: [load.id], data: { label: load.label } }]
      : [],
  )
}
