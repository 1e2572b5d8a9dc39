import { splitExpanded, type StripView } from '@hedrion/core'
import { useState } from 'react'
import { create } from 'zustand'
import { useAnswer, useRecord } from '../../compute/SessionContext'
import { useCaseId } from '../../drawing/useCaseInView'
import { useLook } from '../../state/look'

interface Place {
  readonly panel: string
  /** From the first edge across the span, m. */
  readonly at: number | null
}

const usePlace = create<Place>(() => ({ panel: '', at: null }))

interface StripInView {
  readonly strip: StripView | null
  /** Where it is wanted, m: while it is moved the answer comes later. */
  readonly at: number
  /** Its level; empty where there is none. */
  readonly levelId: string
  readonly move: (at: number | null) => void
}

/** The last strip of a panel stays until the next is there, so that a hand that moves it keeps its hold. */
function useLast(panel: string, strip: StripView | null | undefined): StripView | null {
  const [last, setLast] = useState<{ readonly panel: string; readonly strip: StripView } | null>(null)
  if (strip && last?.strip !== strip) setLast({ panel, strip })
  return strip ?? (strip === undefined && last?.panel === panel ? last.strip : null)
}

/** The strip of the picked panel that is looked at: its middle until another is asked for. */
export function useStrip(): StripInView {
  const [look] = useLook()
  const caseId = useCaseId()
  const picked = look.picked.at(-1) ?? ''
  const panel = useRecord(splitExpanded(picked)[0])?.kind === 'panel' ? picked : ''
  const place = usePlace()
  const at = place.panel === panel ? place.at : null
  const strip = useAnswer({ kind: 'strip', expandedId: panel, caseId, at })
  const held = useLast(panel, strip)
  return {
    strip: held,
    at: at ?? held?.at ?? 0,
    levelId: splitExpanded(panel)[1] ?? '',
    move: (next) => usePlace.setState({ panel, at: next }),
  }
}
