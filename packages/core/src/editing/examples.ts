import type { NumberFormat } from '../units/format'

/** What fields show as examples of what can be typed. */
const typed = {
  move: '0.5 m east',
  repeat: 'every 3 m east, 4 times',
  skewGridLine: 'A1 to C4',
  gridAboutPoint: 'about A1: 8 lines every 45° from 0°, rings at 6; 12 m',
  joists: 'every 0.6 m',
  openings: '12 of 1.2 x 1.5 m',
  surfaceOpenings: '1.2 x 1.5 m at 2.0, 0.9',
  layers: 'screed; 50; 20\ncarpet; 0.05',
  byValue: 'walls above 6 kN/m',
} as const

export type TypedExample = keyof typeof typed

/** Of sections, materials and layers several are named; each is found or read by itself. */
export const stockExamples = {
  sections: ['IPE 330', 'rectangle 300 x 600', 'tube 200 x 100 x 8'],
  materials: ['concrete C30/37', 'timber C24'],
  layers: ['mortar', 'plywood', 'gypsum board'],
} as const

/** Positions as they are typed while something is drawn: the first one, and how one goes on. */
const places = {
  plan: [
    ['B2', 'B2 to C3', '7.2; 3.0'],
    ['4.2 m east', 'C3', '3 m at 30°'],
  ],
  elevation: [
    ['2 at Roof', '7.2 m at 3.5 m'],
    ['3.5 m up', '3 at Roof'],
  ],
  space: [
    ['B2 at Roof', 'B2 at 3.5 m'],
    ['3.5 m up', 'C3', 'C3 at Roof'],
  ],
} as const

type Format = Pick<NumberFormat, 'decimal'>

const inFormat = (text: string, { decimal }: Format): string =>
  decimal === 'comma' ? text.replace(/(\d)\.(\d)/g, '$1,$2') : text

/** An example as the project writes numbers; it is read as it stands. */
export const typedExample = (of: TypedExample, format: Format): string => inFormat(typed[of], format)

export const typedExampleNames = Object.keys(typed) as TypedExample[]

/** The first position and those that go on from it, each read as it stands. */
export const placeExamples = (view: keyof typeof places, format: Format): readonly (readonly string[])[] =>
  places[view].map((some) => some.map((text) => inFormat(text, format)))

/** “B2, B2 to C3, or 7.2; 3.0”, for the first position and for the next. */
export function placeExampleWords(view: keyof typeof places, format: Format): readonly [string, string] {
  const [first = '', next = ''] = placeExamples(view, format).map(
    (some) => `${some.slice(0, -1).join(', ')}, or ${some.at(-1) ?? ''}`,
  )
  return [first, next]
}
