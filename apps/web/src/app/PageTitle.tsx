import { useLocation } from 'react-router'
import { useRecords } from '../compute/SessionContext'
import { stepNames, stepTitles } from './steps'

/** The title of the page names the step and the project: what tells tabs, windows and bookmarks apart. */
export function PageTitle() {
  const [basis] = useRecords('basis')
  const { pathname } = useLocation()
  const step = stepNames.find((name) => pathname.endsWith(`/${name}`))
  return <title>{[step && stepTitles[step], basis?.name ?? 'Project', 'Hedrion'].filter(Boolean).join(' · ')}</title>
}
