import { largest } from '../outcome/lists'
import { boxOf } from '../geometry/polygon'
import { recordsOf, type Document } from './document'
import type { Basis, Kind } from './recordKinds'

/** A result that another build gives otherwise: by which clause, in words, and where it bears. */
export interface ChangedResult {
  /** Of the results: one more with each build that moves any. */
  readonly edition: number
  readonly clause: string
  /** As in the change log. */
  readonly words: string
  /** Whether records of a project use it. */
  readonly uses: (document: Document) => boolean
}

const has =
  (kind: Parameters<typeof recordsOf>[1]) =>
  (document: Document): boolean =>
    recordsOf(document, kind).length > 0

/** Whether the box of a panel lies in that of another one of its layout. */
function hasNestedPanels(document: Document): boolean {
  const boxes = recordsOf(document, 'panel').map(({ layout, outline }) => ({ layout, ...boxOf(outline) }))
  return boxes.some((a) =>
    boxes.some((b) => a !== b && a.layout === b.layout && a.x0 >= b.x0 && a.x1 <= b.x1 && a.y0 >= b.y0 && a.y1 <= b.y1),
  )
}

/** Whether a project is of a family, and has a record of a kind. */
const inFamily =
  (family: Basis['family'], kind: Kind = 'basis') =>
  (document: Document): boolean =>
    recordsOf(document, 'basis')[0]?.family === family && has(kind)(document)

const reduces = (document: Document): boolean =>
  recordsOf(document, 'basis').some(({ reductions }) => reductions === 'everywhere')

/** What moved, oldest first. */
export const changedResults: readonly ChangedResult[] = [
  {
    edition: 1,
    clause: 'statics',
    words:
      'A column, hanger, point load or member end where several beams meet is carried by the beams that are supported there, not by the first one.',
    uses: (document) => recordsOf(document, 'member').some(({ role }) => role === 'column' || role === 'hanger'),
  },
  {
    edition: 1,
    clause: 'statics',
    words: 'Path segments of 10 mm or less count in the weight of walls and in line loads.',
    uses: (document) => has('wallRun')(document) || has('lineLoad')(document),
  },
  {
    edition: 1,
    clause: 'statics',
    words: 'A varying area load gives linear ordinates instead of steps.',
    uses: (document) => recordsOf(document, 'areaLoad').some(({ endValue }) => endValue !== null),
  },
  {
    edition: 1,
    clause: 'statics',
    words: 'Supports closer than 50 mm act as one only where the strip cantilevers beyond them.',
    uses: has('panel'),
  },
  {
    edition: 1,
    clause: 'distribution by stiffness',
    words:
      'Forces at re-entrant corners converge, and none are given where they do not; ends on walls or on unstable beams pass their load on.',
    uses: (document) => recordsOf(document, 'panel').some(({ sharing }) => sharing === 'stiffness'),
  },
  {
    edition: 1,
    clause: 'statics',
    words: 'A panel wholly inside another one is deducted from it, so that its floor counts once.',
    uses: hasNestedPanels,
  },
  {
    edition: 1,
    clause: 'EN 1991-1-1 6.2.1(4), 6.2.2(2), 6.3.1.2(10), (11)',
    words:
      'Columns and walls use the factor for storeys only; floors, beams and roofs the factor for area; load from columns on a beam keeps the factor of the columns.',
    uses: inFamily('EN', 'member'),
  },
  {
    edition: 1,
    clause: 'EN 1991-1-1 3.3.2(2)',
    words: 'The factor for storeys is never combined with ψ.',
    uses: (document) => reduces(document) && inFamily('EN')(document),
  },
  {
    edition: 1,
    clause: 'EN 1991-1-1 table 6.12',
    words: 'Barriers of C2 to C4 and D have 1.0 kN/m, of E 2.0 kN/m.',
    uses: inFamily('EN', 'barrier'),
  },
  {
    edition: 1,
    clause: 'BS 6399-1 table 4',
    words: 'Barriers in public areas of banks have 1.5 kN/m.',
    uses: inFamily('BS', 'barrier'),
  },
  {
    edition: 1,
    clause: 'ASCE 7 4.8.2',
    words: 'Fabric awnings and frames of screen enclosures are not reduced.',
    uses: inFamily('ASCE', 'loadKey'),
  },
  {
    edition: 1,
    clause: 'ASCE 7-05 4.2.2, ASCE 7-10 4.3.2',
    words: 'Partitions are added to live loads up to and including 80 psf.',
    uses: inFamily('ASCE', 'loadKey'),
  },
  {
    edition: 1,
    clause: 'ASCE 7 12.7.2',
    words: 'Partitions count in the seismic mass with 10 psf, or with the entered value if higher.',
    uses: inFamily('ASCE', 'loadKey'),
  },
  {
    edition: 1,
    clause: 'IS 875-2 3.1.2',
    words: 'A partition allowance is limited to partitions up to 4.0 kN per metre.',
    uses: inFamily('IS', 'loadKey'),
  },
  {
    edition: 1,
    clause: 'IS 875-2 table 2',
    words: 'Imposed load on roofs without access is reduced above 10 degrees.',
    uses: inFamily('IS', 'slope'),
  },
  {
    edition: 1,
    clause: 'IS 1893-1 table 10',
    words: 'The share of an entered imposed load in the seismic mass follows from its intensity.',
    uses: inFamily('IS', 'areaLoad'),
  },
  {
    edition: 1,
    clause: 'BS 6399-3 4.3.1',
    words: 'Roofs without access have 0.6 kN/m² up to 30 degrees and less beyond.',
    uses: inFamily('BS', 'loadKey'),
  },
  {
    edition: 1,
    clause: 'BS 6399-1 5.1.4',
    words: 'The minimum partition allowance is for offices only.',
    uses: inFamily('BS', 'loadKey'),
  },
  {
    edition: 1,
    clause: 'DIN EN 1991-1-1/NA to 6.3.1.2(8)',
    words: 'No partition allowance is added to imposed loads of 5 kN/m² or more.',
    uses: inFamily('EN', 'layer'),
  },
  {
    edition: 1,
    clause: 'DIN EN 1991-1-4/NA table NA.1',
    words: 'Walls use the coefficients of this table at h/d = 5.',
    uses: inFamily('EN', 'layer'),
  },
  {
    edition: 1,
    clause: 'ASCE 7 2.3.1, 2.4.1, IS 456 table 18, IS 800 table 4, BS 8110-1 table 2.1',
    words: 'Combinations led by wind count only if there is a wind case.',
    uses: (document) => recordsOf(document, 'basis').some(({ family }) => family !== 'EN'),
  },
  {
    edition: 1,
    clause: 'common practice',
    words: 'Stairs have a whole number of steps, weighed with their actual rise.',
    uses: has('stair'),
  },
  {
    edition: 1,
    clause: 'common practice',
    words:
      'Where a column carries part of a wall, the load that the level adds to the column is the remaining load, and storeys for reduction are counted by it.',
    uses: (document) => recordsOf(document, 'member').some(({ role }) => role === 'wall'),
  },
]

/** The edition of the results that this build gives. */
export const resultsEdition = largest(changedResults.map(({ edition }) => edition))

/** What moved since an edition and bears on a project. */
export const changedSince = (document: Document, edition: number): readonly ChangedResult[] =>
  changedResults.filter((entry) => entry.edition > edition && entry.uses(document))
