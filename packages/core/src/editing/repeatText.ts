import type { Floor } from '../building/floors'
import type { Document } from '../document/document'
import type { Point } from '../geometry/point'
import type { NumberFormat } from '../units/format'
import { floorsOf } from './levels'
import { readShiftText } from './placeText'

/** How picked things are to be repeated: so many times along a shift, or on other layouts. */
export type Repeat =
  | { readonly kind: 'along'; readonly shift: Point; readonly times: number }
  | {
      readonly kind: 'layouts'
      readonly layouts: readonly string[]
      readonly levels: string
      /** What is there of the same kinds goes away. */
      readonly instead: boolean
    }

export type ReadRepeat =
  { readonly ok: true; readonly repeat: Repeat } | { readonly ok: false; readonly problem: string }

const refused = (problem: string): ReadRepeat => ({ ok: false, problem })

/** Reads `every 3 m east, 4 times`, `levels 3-14` or `levels 3-14 instead of what is there`. */
export function readRepeat(text: string, document: Document, format: NumberFormat): ReadRepeat {
  const along = /^every\s+(.+?),\s*(\d+)\s*times?$/i.exec(text.trim())
  if (along) return readAlong(along[1] ?? '', Number(along[2]), format)
  const levels = /^levels?\s+(.+?)(,?\s+instead(?:\s+of\s+what\s+is\s+there)?)?$/i.exec(text.trim())
  if (levels) return readLevels(levels[1] ?? '', levels[2] !== undefined, document)
  return refused('Enter “every 3 m east, 4 times”, “levels 3-14” or “levels 3-14 instead of what is there”.')
}

function readAlong(step: string, times: number, format: NumberFormat): ReadRepeat {
  const read = readShiftText(step, format)
  if (!read.ok) return refused(read.problem)
  if (times < 1 || times > 200) return refused('Enter 1 to 200 repeats.')
  return { ok: true, repeat: { kind: 'along', shift: read.shift, times } }
}

/** One level, or a range by the names of its ends. */
function readLevels(text: string, instead: boolean, document: Document): ReadRepeat {
  const floors = floorsOf(document)
  const [from = '', to = from] = text.split(/\s*(?:-|–|to)\s*/)
  const indexOf = (name: string) => floors.findIndex(({ level }) => level.name.toLowerCase() === name.toLowerCase())
  const [first, last] = [indexOf(from), indexOf(to)].sort((a, b) => a - b)
  if (first === undefined || last === undefined || first < 0) {
    const names = floors.map(({ level }) => level.name).join(', ')
    return refused(`No level ${indexOf(from) < 0 ? from : to}; levels are ${names}.`)
  }
  const between: readonly Floor[] = floors.slice(first, last + 1)
  const layouts = [...new Set(between.flatMap(({ layoutId }) => layoutId ?? []))]
  if (layouts.length === 0) return refused('These levels have no layout.')
  return { ok: true, repeat: { kind: 'layouts', layouts, levels: text, instead } }
}
