import { boxOf } from '../geometry/polygon'
import { recordsOf, type Document } from './document'

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

/** What moved, oldest first. */
export const changedResults: readonly ChangedResult[] = [
  {
    edition: 1,
    clause: 'statics',
    words:
      'A column, hanger, point load or tip of a member where several beams meet is borne by those that bear there, not by the first one.',
    uses: (document) => recordsOf(document, 'member').some(({ role }) => role === 'column' || role === 'hanger'),
  },
  {
    edition: 1,
    clause: 'statics',
    words: 'Steps of a path of 10 mm or less count in the weight of walls and in line loads.',
    uses: (document) => has('wallRun')(document) || has('lineLoad')(document),
  },
  {
    edition: 1,
    clause: 'statics',
    words: 'An area load that varies gives straight ordinates, no steps.',
    uses: (document) => recordsOf(document, 'areaLoad').some(({ endValue }) => endValue !== null),
  },
  {
    edition: 1,
    clause: 'statics',
    words: 'Supports nearer than 50 mm share as one only at the end of a strip that stands out beyond them.',
    uses: has('panel'),
  },
  {
    edition: 1,
    clause: 'sharing by stiffness',
    words:
      'Forces at corners that turn into a panel settle, and where they do not none are given; ends that stand on walls or on beams that cannot stand hand on what they get.',
    uses: (document) => recordsOf(document, 'panel').some(({ sharing }) => sharing === 'stiffness'),
  },
  {
    edition: 1,
    clause: 'statics',
    words: 'A panel that lies wholly within another one is left out of it, so that its floor counts once.',
    uses: hasNestedPanels,
  },
]

/** The edition of the results that this build gives. */
export const resultsEdition = Math.max(...changedResults.map(({ edition }) => edition))

/** What moved since an edition and bears on a project. */
export const changedSince = (document: Document, edition: number): readonly ChangedResult[] =>
  changedResults.filter((entry) => entry.edition > edition && entry.uses(document))
