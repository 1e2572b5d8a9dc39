import { Clipper, FillRule, type PathD, type PathsD } from 'clipper2-ts'
import { sliverArea } from './tolerance'
import { counterClockwise, crossesItself, regionArea, signedArea, type Region, type Ring } from './polygon'

/** Decimals kept by the integer clipper: 0.1 µm over coordinates up to 1e6 m. */
const decimals = 7

const toPaths = (region: Region): PathsD => region.map((ring): PathD => ring.map(([x, y]) => ({ x, y })))
const fromPaths = (paths: PathsD): Region =>
  paths.map((path): Ring => path.map(({ x, y }) => [x, y])).filter((ring) => Math.abs(signedArea(ring)) > sliverArea)

/** A ring as drawn, either way round, as a region; one that crosses itself falls into its lobes, each counted once. */
export const regionOf = (ring: Ring): Region =>
  crossesItself(ring)
    ? fromPaths(Clipper.unionD(toPaths([ring]), [], FillRule.EvenOdd, decimals))
    : [counterClockwise(ring)]

export const intersection = (a: Region, b: Region): Region =>
  fromPaths(Clipper.intersectD(toPaths(a), toPaths(b), FillRule.NonZero, decimals))

export const difference = (a: Region, b: Region): Region =>
  fromPaths(Clipper.differenceD(toPaths(a), toPaths(b), FillRule.NonZero, decimals))

export const union = (rings: readonly Ring[]): Region =>
  rings.length === 0
    ? []
    : fromPaths(Clipper.unionD(toPaths(rings.map(counterClockwise)), [], FillRule.NonZero, decimals))

export const isEmpty = (region: Region): boolean => regionArea(region) < sliverArea
