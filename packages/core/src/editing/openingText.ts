import type { WallRun } from '../document/recordKinds'
import { formatQuantity, formatValue, type NumberFormat } from '../units/format'
import { parseQuantity } from '../units/parseQuantity'

type Sizes = WallRun['openingSizes']
export type ReadOpenings =
  { readonly ok: true; readonly sizes: Sizes } | { readonly ok: false; readonly problem: string }

const example = 'Enter “12 of 1.2 x 1.5 m; 1 of 0.9 x 2.1 m”.'

/** Reads openings by their sizes, width x height; nothing typed is none. */
export function readOpenings(text: string, format: NumberFormat): ReadOpenings {
  const parts = text.split(';').filter((part) => part.trim() !== '')
  if (parts.length > 50) return refused('At most 50 sizes are allowed.')
  const sizes: Sizes[number][] = []
  for (const part of parts) {
    const read = readSize(part.trim(), format)
    if (typeof read === 'string') return refused(read)
    sizes.push(read)
  }
  return { ok: true, sizes }
}

const refused = (problem: string): ReadOpenings => ({ ok: false, problem })

const form = /^(?:(\d+)\s*(?:of|[x×])\s+)?([^x×]+?)\s*[x×]\s*([^x×]+)$/i

/** One size, or what is wrong with it. */
function readSize(part: string, format: NumberFormat): Sizes[number] | string {
  const found = form.exec(part)
  if (!found) return example
  const [, count = '1', first = '', second = ''] = found
  const [width, height] = [readLength(withUnit(first, second), format), readLength(second, format)]
  if (typeof width === 'string') return width
  if (typeof height === 'string') return height
  const n = Number(count)
  return n >= 1 && n <= 10_000 ? { count: n, width, height } : '1 to 10 000 openings per size are allowed.'
}

/** A unit that stands behind the height alone is meant for both. */
const withUnit = (width: string, height: string): string =>
  /[a-z'"]/i.test(width) ? width : `${width} ${/[a-z'"]+$/i.exec(height)?.[0] ?? ''}`

function readLength(text: string, format: NumberFormat): number | string {
  const read = parseQuantity(text.trim(), 'length', format)
  if (!read.ok) return read.problem
  return read.value > 0 && read.value <= 100 ? read.value : 'An opening must be above 0 and up to 100 m wide and high.'
}

/** “12 of 1.20 x 1.50 m; 1 of 0.90 x 2.10 m”. */
export const openingsText = (sizes: Sizes, format: NumberFormat): string =>
  sizes
    .map(
      ({ count, width, height }) =>
        `${count} of ${formatValue(width, 'length', format)} x ${formatQuantity(height, 'length', format)}`,
    )
    .join('; ')
