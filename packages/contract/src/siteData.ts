import { Transform, type TransformFnParams } from 'class-transformer'
import { IsNumber, IsOptional, IsString, Matches, MaxLength, Max, Min } from 'class-validator'
import { plainText, plainTextRule } from './plainText'

/** A number as people write it; what is none, such as nothing at all or 0x10, stays a text and is refused. */
const asNumber = ({ value }: TransformFnParams): unknown =>
  typeof value === 'string' && /^[+-]?\d+(\.\d+)?$/.test(value) ? Number(value) : (value as unknown)

const distance = { message: '$property is a distance in km, from 0 to 1000.' }

/** Asks for a place by its address, or by its coordinates in km east and north of the region's south-west corner. */
export class SiteDataQuery {
  @IsOptional()
  @IsString()
  @MaxLength(120)
  @Matches(plainText, plainTextRule('address'))
  address?: string

  @IsOptional()
  @Transform(asNumber)
  @IsNumber({ allowNaN: false, allowInfinity: false }, distance)
  @Min(0, distance)
  @Max(1000, distance)
  east?: number

  @IsOptional()
  @Transform(asNumber)
  @IsNumber({ allowNaN: false, allowInfinity: false }, distance)
  @Min(0, distance)
  @Max(1000, distance)
  north?: number
}

export const compassSectors = ['N', 'NE', 'E', 'SE', 'S', 'SW', 'W', 'NW'] as const
export type CompassSector = (typeof compassSectors)[number]
export type SiteTerrain = '0' | 'I' | 'II' | 'III' | 'IV'

/** What the site-data service knows of a place. SI units; coordinates in km. */
export interface SiteData {
  /** Who says so, for the sheet. */
  readonly source: string
  readonly place: string
  readonly east: number
  readonly north: number
  /** m above sea level. */
  readonly altitude: number
  readonly windZone: string
  /** m/s, v_b,0. */
  readonly basicWindVelocity: number
  readonly snowZone: string
  /** Pa, s_k on the ground. */
  readonly groundSnow: number
  /** What lies upwind, by the direction that the wind comes from. */
  readonly sectors: readonly { readonly from: CompassSector; readonly terrain: SiteTerrain }[]
  /** West to east through the place: m from the place, m above sea level. */
  readonly profile: readonly { readonly distance: number; readonly elevation: number }[]
}

export interface SiteZone {
  readonly name: string
  /** m/s for wind; Pa at sea level for snow. */
  readonly value: number
  /** Ring in km. */
  readonly outline: readonly (readonly [east: number, north: number])[]
}

/** The region that the service serves, as a map draws it; km. */
export interface SiteRegion {
  readonly name: string
  readonly width: number
  readonly height: number
  readonly land: readonly (readonly [east: number, north: number])[]
  readonly windZones: readonly SiteZone[]
  readonly snowZones: readonly SiteZone[]
  readonly towns: readonly { readonly name: string; readonly east: number; readonly north: number }[]
  readonly hills: readonly {
    readonly name: string
    readonly east: number
    readonly north: number
    /** m above its surroundings. */
    readonly height: number
    /** km, to where a fifth of the height is left. */
    readonly reach: number
  }[]
}
