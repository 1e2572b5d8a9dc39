import type { SiteData, SiteRegion } from '@hedrion/contract'
import { create } from 'zustand'
import { Refused, request } from '../../state/api'

interface SiteState {
  /** An answer belongs to the project that asked. */
  readonly project: string
  readonly view: 'pressure' | 'map'
  readonly region: SiteRegion | null
  /** What the service answered last; nothing of it counts before it is taken. */
  readonly found: SiteData | null
  readonly problem: string | null
  readonly busy: boolean
}

/** What is asked of the site-data service; not part of the project. */
export const useSite = create<SiteState>(() => ({
  project: '',
  view: 'pressure',
  region: null,
  found: null,
  problem: null,
  busy: false,
}))

/** Another project begins with no answer. */
export function siteOf(project: string): void {
  if (useSite.getState().project !== project) useSite.setState({ project, found: null, problem: null, busy: false })
}

export const showSite = (view: SiteState['view']): void => useSite.setState({ view })

const away = 'The site-data service is not responding. All values can be entered by hand.'

/** Asks for a place; the newest question counts, whatever order the answers come in. */
async function ask(query: string): Promise<void> {
  useSite.setState({ busy: true, problem: null })
  const isNewest = newest()
  try {
    const found = await request<SiteData>('GET', `/site-data?${query}`)
    if (isNewest()) useSite.setState({ found, busy: false })
  } catch (error) {
    const problem = error instanceof Refused ? error.message : away
    if (isNewest()) useSite.setState({ problem, busy: false })
  }
}

let asked = 0
function newest(): () => boolean {
  const mine = ++asked
  return () => mine === asked
}

export const lookUp = (address: string): Promise<void> => ask(new URLSearchParams({ address }).toString())

export const lookAt = (east: number, north: number): Promise<void> =>
  ask(new URLSearchParams({ east: String(east), north: String(north) }).toString())

/** The region is fetched once, when the map is first looked at. */
export async function loadRegion(): Promise<void> {
  if (useSite.getState().region) return
  try {
    useSite.setState({ region: await request<SiteRegion>('GET', '/site-data/region') })
  } catch {
    useSite.setState({ problem: away })
  }
}
