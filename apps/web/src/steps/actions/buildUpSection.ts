import type { BuildUp, SlabUnderKey } from '@hedrion/core'

/** A layer or slab in the section: where it begins and how thick it is, m, and what it weighs, Pa. */
export interface Band {
  readonly name: string
  readonly from: number
  readonly size: number
  readonly weight: number
  readonly isSlab: boolean
}

interface Section {
  readonly bands: readonly Band[]
  /** Units of the picture per metre. */
  readonly scale: number
}

/** Units of the picture per metre at most, so that paper does not look like a slab. */
const largest = 1200

/**
 * What of a build-up has a thickness, in its order, and the slab under it where there is one kind of it alone; as large
 * as fits into `room`.
 */
export function sectionOf(layers: BuildUp['layers'], slabs: readonly SlabUnderKey[], room: number): Section {
  const [slab, another] = slabs
  const parts = [
    ...layers.flatMap(({ name, thickness, unitWeight }) =>
      thickness === null || thickness <= 0
        ? []
        : [{ name, size: thickness, weight: thickness * (unitWeight ?? 0), isSlab: false }],
    ),
    ...(slab && !another ? [{ name: 'slab', size: slab.thickness, weight: slab.weight, isSlab: true }] : []),
  ]
  let from = 0
  const bands = parts.map((part): Band => {
    const band = { ...part, from }
    from += part.size
    return band
  })
  return {
    bands: bands.some(({ isSlab }) => !isSlab) ? bands : [],
    scale: from > 0 ? Math.min(room / from, largest) : 0,
  }
}

/** Places of labels in a column, near where they belong and at least `gap` apart, none above the first line. */
export function labelPlaces(wanted: readonly number[], gap: number): readonly number[] {
  let least = gap / 2
  return wanted.map((place) => {
    const at = Math.max(place, least)
    least = at + gap
    return at
  })
}
