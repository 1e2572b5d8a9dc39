import type { Basis } from '../document/recordKinds'
import type { UseSort } from '../document/useSorts'
import type { FamilyId } from '../standards/family'
import { parseQuantity } from '../units/parseQuantity'
import { metricPoint } from '../units/format'
import { notUnderstood, Sentence, silentWords, takeStandards, unitsIn } from './sentenceWords'

/** What the opening sentence of a new building says; lengths in m. */
export interface BuildingBrief {
  readonly baysX: number
  readonly spanX: number
  readonly baysY: number
  readonly spanY: number
  readonly storeys: number
  readonly storeyHeight: number
  readonly beamSpacing: number
  readonly slab: number
  readonly sort: UseSort
  readonly family: FamilyId
  readonly units: Basis['units']
  /** The national set or edition that it names; null where it names none. */
  readonly set: string | null
}

export const openingSentence =
  '3 x 7.2 m by 3 x 6.0 m, 4 storeys of 3.50 m, steel beams every 3 m, 150 mm concrete, offices, EN recommended.'

/** Whole words, so that “storeys” are no store and a carpet is no car. */
const useWords: readonly (readonly [RegExp, UseSort])[] = [
  [/\boffices?\b/i, 'offices'],
  [/\b(homes?|flats?|housing|residential|apartments?)\b/i, 'homes'],
  [/\b(schools?|class(es|rooms?)?|reading( rooms?)?|restaurants?|dining)\b/i, 'tables'],
  [/\b(theatres?|cinemas?|churches|church|fixed seats)\b/i, 'fixed seats'],
  [/\b(museums?|halls?|exhibitions?)\b/i, 'museums'],
  [/\b(gym|gymnasium|dance|dancing)\b/i, 'gymnastics'],
  [/\b(shops?|retail)\b/i, 'shops'],
  [/\b(stores?|storage|books|archives?)\b/i, 'storage'],
  [/\b(car parks?|cars?|parking)\b/i, 'cars'],
]

type Read = { readonly ok: true; readonly brief: BuildingBrief } | { readonly ok: false; readonly problem: string }

/** Words that go with what is read and add nothing to it: beams are of steel here. */
const silent = new RegExp(
  `${silentWords.source}|\\b(steel|buildings?|frames?|floors?|slabs?|thick|high|bays?|grid|beams?|columns?)\\b`,
  'gi',
)

/**
 * Reads the sentence; anything it cannot find is said in words, with what it looks for, and any word that it does not understand is
 * named.
 * @param family - holds where the sentence names none
 */
export function readOpeningSentence(text: string, family: FamilyId = 'EN'): Read {
  const sentence = new Sentence(text)
  const bays = sentence.take(/(\d+) ?x ?([\d.]+ ?\w+) by (\d+) ?x ?([\d.]+ ?\w+)/i)
  if (!bays) return { ok: false, problem: 'Enter the bays like “3 x 7.2 m by 3 x 6.0 m”.' }
  const storeys = sentence.take(/(\d+) stor(?:e?y|eys|ies) of ([\d.]+ ?\w+)/i)
  if (!storeys) return { ok: false, problem: 'Enter the storeys like “4 storeys of 3.50 m”.' }
  const spacing = sentence.take(/(?:steel )?(?:beams? )?every ([\d.]+ ?\w+)/i)
  if (!spacing) return { ok: false, problem: 'Enter the beam spacing like “beams every 3 m”.' }
  const slab = sentence.take(/([\d.]+ ?(?:mm|cm|m|in)) (?:of )?concrete( slabs?| floors?)?(?! beam)/i)
  if (!slab) return { ok: false, problem: 'Enter the slab like “150 mm concrete”.' }
  const use = useWords.find(([word]) => sentence.take(word) !== null)
  if (!use)
    return { ok: false, problem: 'Give the use of the floors: offices, homes, classrooms, shops, storage, parking …' }
  const length = (part: string | undefined) => {
    const read = parseQuantity(part ?? '', 'length', metricPoint)
    return read.ok ? read.value : NaN
  }
  const standards = takeStandards(sentence, family)
  const brief: BuildingBrief = {
    baysX: Number(bays[1]),
    spanX: length(bays[2]),
    baysY: Number(bays[3]),
    spanY: length(bays[4]),
    storeys: Number(storeys[1]),
    storeyHeight: length(storeys[2]),
    beamSpacing: length(spacing[1]),
    slab: length(slab[1]),
    sort: use[1],
    ...standards,
    units: unitsIn(text),
  }
  const problem = limitProblem(brief) ?? notUnderstood(sentence.leftOver(silent))
  return problem ? { ok: false, problem } : { ok: true, brief }
}

function limitProblem(brief: BuildingBrief): string | undefined {
  const within = (value: number, from: number, to: number) => value >= from && value <= to
  if (!within(brief.baysX, 1, 40) || !within(brief.baysY, 1, 40)) return '1 to 40 bays in each direction are allowed.'
  if (!within(brief.spanX, 1, 30) || !within(brief.spanY, 1, 30)) return 'A bay must be 1 to 30 m.'
  if (!within(brief.storeys, 1, 100)) return '1 to 100 storeys are allowed.'
  if (!within(brief.storeyHeight, 2, 12)) return 'A storey must be 2 to 12 m high.'
  if (!within(brief.beamSpacing, 0.5, brief.spanY)) return 'The beam spacing must be 0.5 m to the bay width.'
  if (!within(brief.slab, 0.05, 1)) return 'The slab must be 50 mm to 1 m thick.'
  return undefined
}
