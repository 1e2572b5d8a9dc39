import { splitExpanded, type StripView } from '@hedrion/core'
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
  /** Its level; empty where there is none. */
  readonly levelId: string
  readonly move: (at: number | null) => void
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
  return {
    strip: strip ?? null,
    levelId: splitExpanded(panel)[1] ?? '',
    move: (next) => usePlace.setState({ panel, at: next }),
  }
}
