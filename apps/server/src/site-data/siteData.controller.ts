import { Controller, Get, Query } from '@nestjs/common'
import { ApiOperation } from '@nestjs/swagger'
import { SiteDataQuery, type SiteData, type SiteRegion } from '@hedrion/contract'
import { Problem } from '../http/problem'
import { SiteDataSource } from './siteDataSource'

@Controller('api/site-data')
export class SiteDataController {
  constructor(private readonly source: SiteDataSource) {}

  @Get('region')
  @ApiOperation({ summary: 'The region that is served, with its zones' })
  region(): SiteRegion {
    return this.source.region()
  }

  @Get()
  @ApiOperation({ summary: 'Altitude, wind, snow, terrain by direction and a profile of a place' })
  site(@Query() { address, east, north }: SiteDataQuery): SiteData {
    if (east !== undefined && north !== undefined)
      return this.source.at(east, north) ?? refuse('This place is at sea or outside the region. Choose one on land.')
    if (address === undefined || address.trim() === '') return refuse('Say an address, or a place by east and north.')
    const known = this.source.known().join(', ')
    return this.source.find(address) ?? refuse(`No place of the region is called so. It knows ${known}.`)
  }
}

function refuse(sentence: string): never {
  throw new Problem(404, 'site.unknown', sentence)
}
