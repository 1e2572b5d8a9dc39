import type { SiteRegion, SiteZone } from '@hedrion/contract'
import { formatQuantity, type NumberFormat } from '@hedrion/core'
import { useEffect, useState, type MouseEvent } from 'react'
import styled from 'styled-components'
import { useFormat, useRecords } from '../../compute/SessionContext'
import { useWords } from '../../compute/useWords'
import { Button } from '../../ui/Button'
import { TextLine } from '../../ui/TextLine'
import { Segmented } from '../../ui/Segmented'
import { SiteProfile } from './SiteProfile'
import { loadRegion, lookAt, useSite } from './siteStore'

/** Pixels of the picture to a km of the region. */
const scale = 10

type ZoneKind = 'wind' | 'snow'

/** The region with its zones; a click or a town asks what is known of the place. */
export function SiteMap() {
  const inWords = useWords()
  const { region, found, problem, busy } = useSite()
  const [zones, setZones] = useState<ZoneKind>('wind')
  const [basis] = useRecords('basis')
  useEffect(() => void loadRegion(), [])
  if (!region) return <p>{problem ?? 'Loading …'}</p>
  const site = found ?? basis?.siteData ?? null
  return (
    <Frame>
      <Head>
        <span>{region.name}: click the building site, or choose a town</span>
        <Segmented
          label="Zones shown"
          value={zones}
          options={[
            ['wind', 'wind zones'],
            ['snow', 'snow zones'],
          ]}
          onChange={setZones}
        />
      </Head>
      <Sheet region={region} zones={zones} site={site} />
      <Towns aria-label="Towns">
        {region.towns.map(({ name, east, north }) => (
          <li key={name}>
            <Button kind="link" onPress={() => void lookAt(east, north)}>
              {name}
            </Button>
          </li>
        ))}
      </Towns>
      <Position>
        or enter its position,{' '}
        <TextLine
          label={inWords('Kilometres east and north')}
          value={site ? `${site.east}; ${site.north}` : ''}
          maxLength={40}
          placeholder="12.5; 8.0"
          onCommit={(text) =>
            atPosition(text) ? undefined : inWords('Enter kilometres east and north, like 12.5; 8.0.')
          }
        />{' '}
        <small>km east; km north</small>
      </Position>
      <p role="status">{busy ? 'Searching …' : (problem ?? '')}</p>
      {found && <SiteProfile site={found} />}
    </Frame>
  )
}

/** Looks at a position of the map, as “12.5; 8.0”; whether it could be read. */
function atPosition(text: string): boolean {
  if (text === '') return true
  const [east, north, ...more] = text.split(/\s*[; ]\s*/).map((part) => Number(part.replace(',', '.')))
  if (east === undefined || north === undefined || more.length > 0 || !Number.isFinite(east + north)) return false
  void lookAt(east, north)
  return true
}

interface SheetProps {
  readonly region: SiteRegion
  readonly zones: ZoneKind
  readonly site: { readonly east: number; readonly north: number } | null
}

function Sheet({ region, zones, site }: SheetProps) {
  const format = useFormat()
  const { width, height } = region
  const points = (ring: SiteRegion['land']) => ring.map(([x, y]) => `${x * scale},${(height - y) * scale}`).join(' ')
  const onClick = (event: MouseEvent<SVGSVGElement>) => {
    const box = event.currentTarget.getBoundingClientRect()
    const east = ((event.clientX - box.left) / box.width) * width
    const north = (1 - (event.clientY - box.top) / box.height) * height
    void lookAt(Math.round(east * 10) / 10, Math.round(north * 10) / 10)
  }
  const at = (east: number, north: number) => `translate(${east * scale} ${(height - north) * scale})`
  return (
    <Picture
      viewBox={`0 0 ${width * scale} ${height * scale}`}
      role="img"
      aria-label={`Map of ${region.name}`}
      data-testid="site-map"
      onClick={onClick}
    >
      <defs>
        <pattern id="sea" width={10} height={10} patternUnits="userSpaceOnUse">
          <path d="M0 5q2.5 -3 5 0t5 0" fill="none" stroke="var(--border)" strokeWidth={0.6} />
        </pattern>
      </defs>
      <rect width={width * scale} height={height * scale} fill="url(#sea)" />
      <polygon points={points(region.land)} fill="var(--floor)" stroke="var(--ink)" strokeWidth={1.4} />
      {(zones === 'wind' ? region.windZones : region.snowZones).map((zone, i) => (
        <Zone
          key={zone.name}
          zone={zone}
          index={i}
          kind={zones}
          points={points(zone.outline)}
          height={height}
          format={format}
        />
      ))}
      {region.hills.map(({ name, east, north, height: rise, reach }) => (
        <g key={name} transform={at(east, north)} fill="none" stroke="var(--quiet)" strokeWidth={0.8}>
          {[1, 0.66, 0.33].map((part) => (
            <circle key={part} r={reach * part * scale} strokeDasharray="3 3" />
          ))}
          <text y={-reach * scale - 5} textAnchor="middle" stroke="none" fontStyle="italic">
            {name} +{formatQuantity(rise, 'length', format).replace(/\.0+(?= )/, '')}
          </text>
        </g>
      ))}
      {region.towns.map(({ name, east, north }) => (
        <g key={name} transform={at(east, north)}>
          <circle r={3.4} fill="var(--ink)" />
          <text x={7} y={4} fontWeight={600}>
            {name}
          </text>
        </g>
      ))}
      {site && (
        <g transform={at(site.east, site.north)}>
          <path d="M0 -13l9 13l-9 13l-9 -13z" fill="none" stroke="var(--accent)" strokeWidth={2.6} />
        </g>
      )}
      <g transform={`translate(${width * scale - 34} 34)`} stroke="var(--quiet)" fill="var(--quiet)">
        <path d="M0 -16l5 12h-10z" />
        <text y={12} textAnchor="middle" stroke="none">
          N
        </text>
      </g>
      <g transform={`translate(${width * scale - 160} 34)`} stroke="var(--ink)">
        <path d="M0 -4v4h100v-4" fill="none" />
        <text x={50} y={-6} textAnchor="middle" stroke="none">
          10 km
        </text>
      </g>
    </Picture>
  )
}

interface ZoneProps {
  readonly zone: SiteZone
  readonly index: number
  readonly kind: ZoneKind
  readonly points: string
  readonly height: number
  readonly format: NumberFormat
}

/** A zone by its border and its value; hatches differ, so that neighbours can be told apart in grey. */
function Zone({ zone, index, kind, points, height, format }: ZoneProps) {
  const id = `zone-${kind}-${index}`
  const turn = [45, 0, -45][index % 3] ?? 0
  const east = zone.outline.reduce((sum, [x]) => sum + x, 0) / zone.outline.length
  const value = formatQuantity(zone.value, kind === 'wind' ? 'velocity' : 'pressure', format)
  return (
    <g>
      <pattern id={id} width={9} height={9} patternUnits="userSpaceOnUse" patternTransform={`rotate(${turn})`}>
        <line x1={0} y1={0} x2={0} y2={9} stroke={`var(--${kind})`} strokeWidth={0.7} opacity={0.55} />
      </pattern>
      <polygon points={points} fill={`url(#${id})`} stroke={`var(--${kind})`} strokeWidth={1.2} strokeDasharray="6 4" />
      <text x={east * scale} y={0.93 * height * scale} textAnchor="middle" fontWeight={600}>
        {zone.name}
      </text>
      <text x={east * scale} y={0.93 * height * scale + 15} textAnchor="middle">
        {kind === 'wind' ? value : `${value} + altitude`}
      </text>
    </g>
  )
}

const Frame = styled.div`
  > p {
    min-height: 20px;
    color: var(--warm);
    font-size: 14px;
  }
`
const Head = styled.div`
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  gap: 12px;
  color: var(--quiet);
  font-size: 14px;
  margin-bottom: 6px;
`
const Picture = styled.svg`
  display: block;
  width: 100%;
  border: 1px solid var(--border);
  cursor: crosshair;
  font: 400 13px var(--sans);
  text {
    fill: var(--ink);
    paint-order: stroke;
    stroke: var(--floor);
    stroke-width: 3px;
  }
`
const Position = styled.div`
  margin: 6px 0 0;
  font-size: 14px;
`
const Towns = styled.ul`
  list-style: none;
  margin: 6px 0 0;
  padding: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
  font-size: 14px;
`
