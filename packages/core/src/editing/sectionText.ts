import { own } from '../outcome/own'
import { newId, type Random } from '../document/document'
import type { Section } from '../document/recordKinds'
import { stockSections } from '../standards/stock/sections'
import type { NumberFormat } from '../units/format'
import { parseQuantity } from '../units/parseQuantity'

export type ReadSection =
  { readonly ok: true; readonly section: Section } | { readonly ok: false; readonly problem: string }

const refused = (problem: string): ReadSection => ({ ok: false, problem })

type Figures = Pick<Section, 'shape' | 'area' | 'depth' | 'width'>

/** How many lengths a shape takes, what they are, and what follows from them; null where they make no section. */
interface ShapeWord {
  readonly lengths: readonly string[]
  readonly figures: (lengths: readonly number[]) => Figures | null
}

const shapes: Readonly<Record<string, ShapeWord>> = {
  rectangle: {
    lengths: ['width', 'depth'],
    figures: ([b = 0, h = 0]) => ({ shape: 'rectangle', area: b * h, depth: h, width: b }),
  },
  circle: {
    lengths: ['diameter'],
    figures: ([d = 0]) => ({ shape: 'circle', area: (Math.PI * d * d) / 4, depth: d, width: d }),
  },
  // corners are taken as sharp: 1 to 3 % too heavy (common practice)
  tube: {
    lengths: ['width', 'depth', 'thickness'],
    figures: ([b = 0, h = 0, t = 0]) =>
      2 * t < Math.min(b, h) ? { shape: 'tube', area: b * h - (b - 2 * t) * (h - 2 * t), depth: h, width: b } : null,
  },
  pipe: {
    lengths: ['diameter', 'thickness'],
    figures: ([d = 0, t = 0]) =>
      2 * t < d ? { shape: 'pipe', area: Math.PI * t * (d - t), depth: d, width: d } : null,
  },
}

const example =
  'Enter “IPE 330”, “UB 457x191x67”, “UPE 200”, “L 80x8”, “W14x90”, “rectangle 300 x 600”, “circle 400”, “tube 200 x 100 x 8” or “pipe 219.1 x 8”.'

/** Reads the name of a rolled section, or a shape with its outer dimensions. */
export function readSection(text: string, format: NumberFormat, random: Random): ReadSection {
  const plain = text.trim().replace(/\s+/g, ' ')
  const rolled = readRolled(plain, random)
  if (rolled) return rolled
  const [, word = '', rest = ''] = /^([a-z]+) (.+)$/i.exec(plain) ?? []
  const shape = own(shapes, word.toLowerCase())
  return shape ? readShape(plain, shape, rest, format, random) : refused(example)
}

const made = (name: string, figures: Figures, random: Random): ReadSection => ({
  ok: true,
  section: { kind: 'section', id: newId('section', random), name, ...figures, assumed: false, source: '' },
})

/** A rolled section as a record; a name that no series has is a programming error. */
export function rolledSection(name: string, random: Random, assumed: boolean): Section {
  const stock = stockSections.get(name)
  if (!stock) throw new Error(`No section ${name}`)
  const { area, depth, width, source, shape: form } = stock
  return {
    kind: 'section',
    id: newId('section', random),
    name,
    shape: form,
    area,
    depth,
    width,
    assumed,
    source,
  }
}

type Parts = readonly (string | undefined)[]

/** How names of rolled sections are written: the head that a series shares, and the size within it. */
const writings: readonly (readonly [
  pattern: RegExp,
  read: (parts: Parts) => readonly [head: string, size: string | undefined],
])[] = [
  [/^w ?(\d+) ?[x×] ?(\d+(?:\.\d)?)$/i, ([, depth = '', weight]) => [`W${depth}x`, weight]],
  [
    /^(ub|uc) ?(\d+) ?[x×] ?(\d+) ?[x×] ?(\d+)$/i,
    ([, kind = '', high = '', wide = '', mass]) => [`${kind.toUpperCase()} ${high}x${wide}x`, mass],
  ],
  [/^l ?(\d+)(?: ?[x×] ?\1)? ?[x×] ?(\d+(?:\.\d)?)$/i, ([, leg = '', thickness]) => [`L ${leg}x`, thickness]],
  [
    /^l ?(\d+) ?[x×] ?(\d+) ?[x×] ?(\d+)$/i,
    // whichever leg is said first
    ([, a = '', b = '', thickness]) => [Number(a) > Number(b) ? `L ${a}x${b}x` : `L ${b}x${a}x`, thickness],
  ],
  [
    /^(ubp|pfc) ?(\d+) ?[x×] ?(\d+) ?[x×] ?(\d+)$/i,
    ([, kind = '', high = '', wide = '', mass]) => [`${kind.toUpperCase()} ${high}x${wide}x`, mass],
  ],
  [
    /^(hp|hd|hl|he|ipe|u) ?(\d+) ?[x×] ?(\d+(?:\.\d)?)$/i,
    ([, kind = '', high = '', mass]) => [`${kind.toUpperCase()} ${high}x`, mass],
  ],
  // the letters of a lighter or heavier row stand before its size or after it
  [/^ipe ?(aa|a|o) ?(\d+)$/i, ([, letters = '', size]) => [`IPE ${letters.toUpperCase()} `, size]],
  [/^ipe ?(\d+) ?(aa|a|o)$/i, ([, size, letters = '']) => [`IPE ${letters.toUpperCase()} `, size]],
  [
    /^(ipe|ipn|upe|upn|he ?(?:aa|[abm])?) ?(\d+) ?(aa|[abm])?$/i,
    ([, series = '', size, suffix = '']) => [`${`${series.replace(' ', '')}${suffix}`.toUpperCase()} `, size],
  ],
]

/** "ipe330", "HE 200 B" and "HEB 200" alike, "IPE A 200", "HD 400 x 187", "L 80 x 80 x 8", "L 80x8" and "L 75x100x8", and "W14 x 90"; a size that is not rolled names its neighbours. */
function readRolled(text: string, random: Random): ReadSection | null {
  for (const [pattern, read] of writings) {
    const parts = pattern.exec(text)
    if (!parts) continue
    const [head, size] = read(parts)
    return readSize(head, Number(size), random)
  }
  return null
}

/** The section of a series by its size: the height, or the weight of a US shape. */
function readSize(head: string, size: number, random: Random): ReadSection {
  const name = `${head}${size}`
  if (stockSections.has(name)) return { ok: true, section: rolledSection(name, random, false) }
  // the head of equal legs begins names of unequal ones too
  const sizes = [...stockSections.keys()].filter(
    (other) => other.startsWith(head) && !Number.isNaN(Number(other.slice(head.length))),
  )
  if (sizes.length === 0) return refused(example)
  const sizeOf = (other: string) => Number(other.slice(head.length))
  const below = sizes.findLast((other) => sizeOf(other) < size)
  const above = sizes.find((other) => sizeOf(other) > size)
  return refused(
    `${name} is not a rolled size; ${[below, above].filter(Boolean).join(' and ')} ${below && above ? 'are' : 'is'}.`,
  )
}

function readShape(
  text: string,
  { lengths, figures }: ShapeWord,
  rest: string,
  format: NumberFormat,
  random: Random,
): ReadSection {
  const parts = rest.split(/\s*[x×*]\s*/i)
  if (parts.length !== lengths.length) return refused(`This shape needs ${lengths.join(' x ')}.`)
  const values: number[] = []
  for (const [i, part] of parts.entries()) {
    const read = parseQuantity(part, 'smallLength', format)
    if (!read.ok) return refused(read.problem)
    if (!(read.value >= 1e-3 && read.value <= 20)) return refused(`The ${lengths[i]} is outside 1 mm to 20 m.`)
    values.push(read.value)
  }
  const found = figures(values)
  return found ? made(text, found, random) : refused('The walls are thicker than half the section.')
}
