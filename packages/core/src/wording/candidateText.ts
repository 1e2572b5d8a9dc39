import { distance } from '../geometry/segment'
import { shortestMeant, type Candidate } from '../sharing/candidates'
import { formatQuantity, type NumberFormat } from '../units/format'

/** What the limits make of a member at a panel, as the drawing and the sheet say it; empty where nothing needs to be said. */
export function candidateText(
  { verdict, off, angle }: Pick<Candidate, 'verdict' | 'off' | 'angle'>,
  format: NumberFormat,
): string {
  const away = formatQuantity(off, 'smallLength', format)
  const turned = isStraight(angle) ? 'along the span' : `${formatQuantity(angle ?? 0, 'angle', format)} to the span`
  switch (verdict) {
    case 'counts':
      return off > 0 ? `counts, ${away} off` : ''
    case 'offPanel':
      return `excluded, ${away} off`
    case 'alongSpan':
      return `excluded, ${turned}`
    case 'spared':
      return 'excluded for this panel'
    case 'takesNone':
      return 'not loaded'
    case 'inSpace':
      return off > 0 ? `excluded, out of plane, ${away} off the plane` : 'excluded, out of plane'
  }
}

/** Along the span but for the setting-out: nobody needs to be told on the drawing, half a degree. */
const straight = (0.5 * Math.PI) / 180
const isStraight = (angle: number | null): boolean => angle !== null && angle < straight

/** Whether the drawing says it too: what runs straight along the span, or only ends on the panel, is marked without words. */
export function saysOnDrawing({ verdict, off, angle, a, b }: Omit<Candidate, 'member'>): boolean {
  if (distance(a, b) <= shortestMeant) return false
  return verdict === 'counts' ? off > 0 : verdict !== 'alongSpan' || !isStraight(angle)
}
