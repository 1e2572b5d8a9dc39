import { candidateText, meanOf, saysOnDrawing, type CandidateView, type NumberFormat } from '@hedrion/core'
import { part } from './planOptions'
import { composed } from './said'
import type { Label, Shape, Tone } from './scene'

/** Near enough to have been meant, and yet left out, wants a look; what is left out for a reason does not. */
const toneOf = ({ verdict }: CandidateView): Tone =>
  verdict === 'counts' ? 'accent' : verdict === 'offPanel' ? 'warm' : 'quiet'

/** At a picked panel: what supports it lies over a broad line; what its limits leave out is struck by short strokes, and says why. */
export function candidatesPart(candidates: readonly CandidateView[], format: NumberFormat) {
  return part({
    shapes: candidates.map((candidate): Shape => ({
      kind: 'line',
      points: [candidate.a, candidate.b],
      stroke: { tone: toneOf(candidate), width: 7, ...(candidate.verdict === 'counts' ? {} : { dash: [2, 6] }) },
    })),
    labels: candidates.filter(saysOnDrawing).map((candidate): Label => ({
      ...composed(candidateText(candidate, format)),
      at: meanOf([candidate.a, candidate.b]),
      dy: -13,
      tone: toneOf(candidate),
      priority: 85,
    })),
  })
}
