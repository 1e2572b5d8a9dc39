import { useEffect } from 'react'
import { useRecords, useSession } from '../../compute/SessionContext'
import { Sheet } from '../../sheet/Sheet'
import { Later } from '../../ui/Later'
import { FamilyLines } from './FamilyLines'
import { PressureChain } from './PressureChain'
import { ProjectLines } from './ProjectLines'
import { SiteDataLines } from './SiteDataLines'
import { SiteLines } from './SiteLines'
import { siteOf } from './siteStore'
import { StandardValues } from './StandardValues'

/** The facts of the project; family, set and own values; the site; what follows from them. */
export function BasisSheet() {
  const [basis] = useRecords('basis')
  const { store } = useSession()
  const { projectId } = store.getState()
  useEffect(() => siteOf(projectId), [projectId])
  if (!basis) return null
  return (
    <Sheet title="Basis" scope="of the project">
      <FamilyLines basis={basis} />
      <Later>
        <SiteLines basis={basis} />
      </Later>
      <Later after={1}>
        <SiteDataLines basis={basis} />
      </Later>
      <Later after={2}>
        <PressureChain />
      </Later>
      <Later after={4}>
        <ProjectLines basis={basis} />
      </Later>
      <Later after={5}>
        <StandardValues />
      </Later>
    </Sheet>
  )
}
