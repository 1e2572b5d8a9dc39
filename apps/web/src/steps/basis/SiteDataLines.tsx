import { smallest } from '@hedrion/core'
import type { SiteData, SiteTerrain } from '@hedrion/contract'
import type { Basis, NumberFormat } from '@hedrion/core'
import { useFormat } from '../../compute/SessionContext'
import { useEdit, useNote } from '../../compute/useEdit'
import { Line, Note, Section, Warm } from '../../sheet/Sheet'
import { Value } from '../../sheet/Value'
import { Button } from '../../ui/Button'
import { lookUp, showSite, useSite } from './siteStore'

const rank: readonly SiteTerrain[] = ['0', 'I', 'II', 'III', 'IV']

/** One terrain for all directions: the smoothest that lies upwind of any, which is on the safe side. */
const smoothest = (sectors: SiteData['sectors']): SiteTerrain =>
  rank[smallest(sectors.map(({ terrain }) => rank.indexOf(terrain)))] ?? 'II'

/** A distance on the map: km, or miles where the project is in feet (NIST SP 811: 1 mi = 1.609344 km). */
const awayText = (km: number, { system }: NumberFormat): string =>
  system === 'us' ? `${(km / 1.609344).toFixed(1)} mi` : `${km.toFixed(1)} km`

/** What a place is kept as, once its values are taken. */
function kept({ source, east, north, altitude, windZone, basicWindVelocity, snowZone, groundSnow, sectors }: SiteData) {
  return { source, east, north, altitude, windZone, basicWindVelocity, snowZone, groundSnow, sectors }
}

/** Asks the site-data service, shows what it knows of the place, and takes it over in one step. */
export function SiteDataLines({ basis }: { readonly basis: Basis }) {
  const { found, problem, busy, view } = useSite()
  const edit = useEdit()
  const note = useNote()
  const format = useFormat()
  const take = (site: SiteData) =>
    edit.set(basis, note.text(basis, 'site', basis.place || 'none', site.place), {
      place: site.place,
      altitude: site.altitude,
      basicWindVelocity: site.basicWindVelocity,
      terrain: smoothest(site.sectors),
      groundSnow: site.groundSnow,
      siteData: kept(site),
    })
  return (
    <Section
      title="Site data"
      aside={
        <Button kind="link" onPress={() => showSite(view === 'map' ? 'pressure' : 'map')}>
          {view === 'map' ? 'Show the pressure' : 'Show the map'}
        </Button>
      }
    >
      <Line
        reference="by address"
        result={
          <Button kind="link" isDisabled={busy || basis.place === ''} onPress={() => void lookUp(basis.place)}>
            {busy ? 'searching …' : 'Search'}
          </Button>
        }
      >
        {basis.place === '' ? 'Enter an address above, or click on the map.' : basis.place}
      </Line>
      {problem && <Warm role="alert">{problem}</Warm>}
      {!found && basis.siteData && (
        <Note>
          Source: {basis.siteData.source}: {basis.siteData.windZone}, {basis.siteData.snowZone}.
        </Note>
      )}
      {found && (
        <>
          <Line reference="altitude" result={<Value value={found.altitude} quantity="length" />}>
            {found.place}
          </Line>
          <Line
            reference={`wind, ${found.windZone}`}
            result={<Value value={found.basicWindVelocity} quantity="velocity" />}
          >
            basic wind velocity
          </Line>
          <Line reference={`snow, ${found.snowZone}`} result={<Value value={found.groundSnow} quantity="pressure" />}>
            ground snow load
          </Line>
          <Line reference="upwind terrain" result={<strong>{smoothest(found.sectors)}</strong>}>
            {found.sectors.map(({ from, terrain }) => `${from} ${terrain}`).join(' · ')}
            <small>; the smoothest is used for all directions</small>
          </Line>
          <Line
            lit
            reference={found.source}
            result={
              <Button kind="primary" onPress={() => take(found)}>
                Use these values
              </Button>
            }
          >
            {awayText(found.east, format)} east, {awayText(found.north, format)} north
          </Line>
        </>
      )}
    </Section>
  )
}
