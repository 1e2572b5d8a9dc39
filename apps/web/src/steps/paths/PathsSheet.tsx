import { isUpright, recordIdOf, splitStretch } from '@hedrion/core'
import { useAnswer, useRecord } from '../../compute/SessionContext'
import { useCaseId } from '../../drawing/useCaseInView'
import { Note, Sheet } from '../../sheet/Sheet'
import { useLook } from '../../state/look'
import { BeamSheet } from './BeamSheet'
import { ColumnSheet } from './ColumnSheet'
import { LevelSums } from './LevelSums'
import { PanelSheet } from './PanelSheet'

/** The picked member or panel and its part of the path; without a pick the sums of the building. */
export function PathsSheet() {
  const [look] = useLook()
  const picked = look.picked.at(-1) ?? ''
  const record = useRecord(recordIdOf(picked))
  const overview = useAnswer({ kind: 'overview' })
  const caseId = useCaseId()
  if (!overview) return null
  if (caseId === '')
    return (
      <Sheet title="Load paths">
        <Note>No panels yet. Close a bay of beams, or build from the opening sentence.</Note>
      </Sheet>
    )
  const goesDown = record?.kind === 'member' && (isUpright(record.role) || splitStretch(picked)[1] !== null)
  if (goesDown) return <ColumnSheet expandedId={picked} caseId={caseId} />
  if (record?.kind === 'member') return <BeamSheet expandedId={picked} caseId={caseId} />
  if (record?.kind === 'panel') return <PanelSheet expandedId={picked} caseId={caseId} />
  return <LevelSums caseId={caseId} overview={overview} />
}
