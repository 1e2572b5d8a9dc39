import { Injectable } from '@nestjs/common'
import type { SiteData, SiteRegion } from '@hedrion/contract'
import { findTown, region, siteAt, townNames } from './aldermere'

/** Where site data come from: a real service would take the place of the simulated one behind this. */
export abstract class SiteDataSource {
  abstract region(): SiteRegion
  abstract at(east: number, north: number): SiteData | undefined
  abstract find(address: string): SiteData | undefined
  /** What an address may name. */
  abstract known(): readonly string[]
}

/** The simulated service of the invented region of Aldermere. */
@Injectable()
export class SimulatedSiteData extends SiteDataSource {
  region(): SiteRegion {
    return region
  }

  at(east: number, north: number): SiteData | undefined {
    return siteAt([east, north])
  }

  find(address: string): SiteData | undefined {
    const town = findTown(address)
    return town && siteAt(town.at, address.trim())
  }

  known(): readonly string[] {
    return townNames
  }
}
