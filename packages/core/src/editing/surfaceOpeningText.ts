import type { WallSurface } from '../document/recordKinds'
import { formatQuantity, formatValue, type NumberFormat } from '../units/format'
import { parseQuantity } from '../units/parseQuantity'

type Openings = WallSurface['openings']
export type ReadSurfaceOpenings =
  { readonly ok: true; readonly openings: Openings } | { readonly ok: false; readonly problem: string }

const example = 'Enter “1.2 x 1.5 m at 2.0, 0.9”: width x height at distance along, height above base.'

/** Reads openings of a wall surface, parted by semicolons: width x height at a distance along its path, a height over its foot. */
export function readSurfaceOpenings(text: string, format: NumberFormat): ReadSurfaceOpenings {
  const parts = text.split(';').filter((part) => part.trim() !== '')
  if (parts.length > 100) return { ok: false, problem: 'At most 100 openings are allowed.' }
  const openings: Openings[number][] = []
  for (const part of parts) {
    const read = readOpening(part.trim(), format)
    if (typeof read === 'string') return { ok: false, problem: read }
    openings.push(read)
  }
  return { ok: true, openings }
}

/** Width, height, way along and height up; where a comma is the decimal sign a space parts the last two. */
const form = /^([^x×]+?)\s*[x×]\s*(.+?)\s+at\s+(\S+(?:\s*[a-z'"]+)?)(?:\s*,\s+|\s+|,(?=\d))(\S+(?:\s*[a-z'"]+)?)$/i

function readOpening(part: string, format: NumberFormat): Openings[number] | string {
  const found = form.exec(part)
  if (!found) return example
  const lengths: number[] = []
  for (const text of found.slice(1)) {
    const read = parseQuantity(text.replace(/,$/, '').trim(), 'length', format)
    if (!read.ok) return read.problem
    lengths.push(read.value)
  }
  const [width = 0, height = 0, along = 0, sill = 0] = lengths
  return outside({ along, sill, width, height }) ?? { along, sill, width, height }
}

const outside = ({ along, sill, width, height }: Openings[number]): string | undefined => {
  const sized = within(width, 0, 1000) && within(height, 0, 300) && width > 0 && height > 0
  if (!sized) return 'An opening must be above 0, up to 1000 m wide and 300 m high.'
  return within(along, 0, 1e4) && within(sill, 0, 300)
    ? undefined
    : 'An opening must start on the surface: 0 or more along it and up.'
}

const within = (value: number, from: number, to: number): boolean => value >= from && value <= to

/** “1.20 x 1.50 m at 2.00, 0.90 m”. */
export const surfaceOpeningsText = (openings: Openings, format: NumberFormat): string =>
  openings
    .map(
      ({ along, sill, width, height }) =>
        `${formatValue(width, 'length', format)} x ${formatQuantity(height, 'length', format)} at ${formatValue(along, 'length', format)}${format.decimal === 'comma' ? ' ' : ', '}${formatQuantity(sill, 'length', format)}`,
    )
    .join('; ')
