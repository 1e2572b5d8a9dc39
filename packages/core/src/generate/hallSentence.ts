import type { Basis } from '../document/recordKinds'
import type { FamilyId } from '../standards/family'
import { metricPoint } from '../units/format'
import { parseQuantity } from '../units/parseQuantity'
import type { Quantity } from '../units/quantity'
import { notUnderstood, Sentence, silentWords, takeStandards, unitsIn } from './sentenceWords'

/** What the opening sentence of a hall says; lengths in m, pitch in rad. */
export interface HallBrief {
  /** Across, from eaves to eaves. */
  readonly span: number
  readonly bays: number
  readonly bay: number
  /** From the base up to the eaves. */
  readonly eaves: number
  readonly pitch: number
  readonly frames: 'rafters' | 'trusses'
  /** The most that purlins stand apart in plan. */
  readonly purlins: number
  readonly family: FamilyId
  readonly units: Basis['units']
  /** The national set or edition that it names; null where it names none. */
  readonly set: string | null
}

export const hallSentence =
  'Hall of 24 m by 6 x 6.0 m, eaves at 6.00 m, pitch 10°, steel trusses, purlins every 2 m, EN recommended.'

type Read = { readonly ok: true; readonly brief: HallBrief } | { readonly ok: false; readonly problem: string }

const asked = {
  span: [/hall (?:of )?([\d.]+ ?\w+) by/i, 'Enter the span and the bays like “Hall of 24 m by 6 x 6.0 m”.'],
  bays: [/by (\d+) ?x/i, 'Enter the bays like “by 6 x 6.0 m”.'],
  bay: [/by \d+ ?x ?([\d.]+ ?\w+)/i, 'Enter the bays like “by 6 x 6.0 m”.'],
  eaves: [/eaves (?:at |of )?([\d.]+ ?\w+)/i, 'Enter the eaves height like “eaves at 6.00 m”.'],
  pitch: [/pitch (?:of )?([\d.]+ ?°?)/i, 'Enter the roof pitch like “pitch 10°”.'],
  frames: [/\b(truss|rafter|portal)/i, 'Enter the roof structure: trusses or rafters.'],
  purlins: [/purlins (?:every )?([\d.]+ ?\w+)/i, 'Enter the purlin spacing like “purlins every 2 m”.'],
} as const satisfies Record<string, readonly [RegExp, string]>

/** Words that go with what is read and add nothing to it. */
const silent = new RegExp(
  `${silentWords.source}|\\b(halls?|steel|truss(es)?|rafters?|portals?|portal frames?|frames?|roof|bays?|wide|high|eaves|pitch|purlins?)\\b`,
  'gi',
)

/**
 * Reads the sentence of a hall; anything it cannot find is said in words, with what it looks for, and any word that it does not
 * understand is named.
 * @param family - holds where the sentence names none
 */
export function readHallSentence(text: string, family: FamilyId = 'EN'): Read {
  const sentence = new Sentence(text)
  const clean = sentence.rest
  const found: Partial<Record<keyof typeof asked, string>> = {}
  for (const name of Object.keys(asked) as (keyof typeof asked)[]) {
    const [pattern, words] = asked[name]
    const match = pattern.exec(clean)?.[1]
    if (match === undefined) return { ok: false, problem: words }
    found[name] = match
  }
  const value = (part: string | undefined, quantity: Quantity) => {
    const read = parseQuantity(part ?? '', quantity, metricPoint)
    return read.ok ? read.value : NaN
  }
  const brief: HallBrief = {
    span: value(found.span, 'length'),
    bays: Number(found.bays),
    bay: value(found.bay, 'length'),
    eaves: value(found.eaves, 'length'),
    pitch: value(found.pitch, 'angle'),
    frames: /truss/i.test(found.frames ?? '') ? 'trusses' : 'rafters',
    purlins: value(found.purlins, 'length'),
    ...takeStandards(sentence, family),
    units: unitsIn(clean),
  }
  for (const [pattern] of [
    [/hall (?:of )?[\d.]+ ?\w+ by \d+ ?x ?[\d.]+ ?\w+/i] as const,
    asked.eaves,
    asked.pitch,
    asked.purlins,
  ])
    sentence.take(pattern)
  const problem = limitProblem(brief) ?? notUnderstood(sentence.leftOver(silent))
  return problem ? { ok: false, problem } : { ok: true, brief }
}

function limitProblem({ span, bays, bay, eaves, pitch, purlins }: HallBrief): string | undefined {
  const within = (value: number, from: number, to: number) => value >= from && value <= to
  if (!within(span, 4, 100)) return 'The hall must be 4 to 100 m wide.'
  if (!within(bays, 1, 40)) return '1 to 40 bays are allowed.'
  if (!within(bay, 1, 30)) return 'A bay must be 1 to 30 m.'
  if (!within(eaves, 2, 30)) return 'The eaves must be 2 to 30 m high.'
  if (!within(pitch, 0, Math.PI / 4)) return 'The pitch must be 0 to 45°.'
  if (!within(purlins, 0.5, span / 2)) return 'The purlin spacing must be 0.5 m to half the span.'
  return undefined
}
