import { Controller, Get, Query } from '@nestjs/common'
import { ApiOperation } from '@nestjs/swagger'
import { SiteDataQuery, type SiteData, type SiteRegion } from '@hedrion/contract'
import { Problem } from '../http/problem'
import { SiteDataSource } from './siteDataSource'

@Controller('api/site-data')
export class SiteDataController {
  constructor(private readonly source: SiteDataSource) {}

  @Get('region')
  @ApiOperation({ summary: 'The region covered, with its zones' })
  region(): SiteRegion {
    return this.source.region()
  }

  @Get()
  @ApiOperation({ summary: 'Altitude, wind, snow, terrain by direction and ground profile of a site' })
  site(@Query() { address, east, north }: SiteDataQuery): SiteData {
    if (east !== undefined && north !== undefined)
      return (
        this.source.at(east, north) ?? refuse('This point is at sea or outside the region. Choose a point on land.')
      )
    if (address === undefined || address.trim() === '')
      return refuse('Enter an address, or east and north coordinates.')
    const known = this.source.known().join(', ')
    return this.source.find(address) ?? refuse(`Address not found in the region. Known towns: ${known}.`)
  }
}

function refuse(sentence: string): never {
  throw new Problem(404, 'site.unknown', sentence)
}
