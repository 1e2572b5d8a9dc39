import { familyOf, formatQuantity, pressureRuleOf } from '@hedrion/core'
import { lazy, Suspense } from 'react'
import styled from 'styled-components'
import { useAnswer, useFormat, useRecords } from '../../compute/SessionContext'
import { Later } from '../../ui/Later'
import { Segmented } from '../../ui/Segmented'
import { SiteMap } from './SiteMap'
import { showSite, useSite } from './siteStore'
import { TerrainSection } from './TerrainSection'
import { UseTable } from './UseTable'
import { WindRose } from './WindRose'

// the chart library is the largest part of this page: it comes when the page is there
const ProfileChart = lazy(() => import('./ProfileChart').then((module) => ({ default: module.ProfileChart })))

/** The site: the building on its terrain to scale, the pressure over height beside it, and the four directions. */
export function BasisPicture() {
  const profile = useAnswer({ kind: 'windProfile' })
  const format = useFormat()
  const view = useSite((state) => state.view)
  const [basis] = useRecords('basis')
  if (!basis) return null
  const { name } = familyOf(basis.family)
  const rule = pressureRuleOf(basis.family)
  const terrain = rule?.terrainOf(basis.terrain) ?? basis.terrain
  const said = rule?.terrains.find(([id]) => id === terrain)?.[1] ?? ''
  return (
    <Page tabIndex={0} role="region" aria-label="The site">
      <Head>
        <h3>{basis.place === '' ? 'The site' : basis.place}</h3>
        <Segmented
          label="View of the site"
          value={view}
          options={[
            ['pressure', 'pressure'],
            ['map', 'map'],
          ]}
          onChange={showSite}
        />
      </Head>
      {view === 'map' ? (
        <SiteMap />
      ) : profile ? (
        <>
          <p>
            {rule?.name} {formatQuantity(profile.topPressure, 'pressure', format)} at{' '}
            {formatQuantity(profile.top, 'length', format)} above ground, terrain {said}
          </p>
          <Pair>
            <TerrainSection terrain={terrain} said={said} height={profile.points.at(-1)?.z ?? 12} />
            <Later after={6}>
              <Suspense fallback={<p>Loading …</p>}>
                <ProfileChart profile={profile} />
              </Suspense>
            </Later>
          </Pair>
          <WindRose velocity={basis.basicWindVelocity ?? 0} />
        </>
      ) : (
        <p>
          {rule
            ? 'No site yet. Enter the wind velocity on the sheet to see the pressure over height.'
            : `Wind is not derived by ${name} in this version, so no site is drawn.`}
        </p>
      )}
      <Later after={profile ? 12 : 1}>
        <UseTable />
      </Later>
    </Page>
  )
}

const Page = styled.div`
  flex: 1;
  overflow: auto;
  padding: 16px 20px;
  h3 {
    font: 600 18px/1.3 var(--serif);
  }
  > p {
    color: var(--quiet);
    margin-bottom: 12px;
  }
`
const Head = styled.div`
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  margin-bottom: 4px;
`
const Pair = styled.div`
  display: grid;
  grid-template-columns: minmax(220px, 1fr) minmax(240px, 1.1fr);
  height: 400px;
`
