import * as barriers from '../src/actions/barriers'
import * as elementShare from '../src/actions/lateral/elementShare'
import * as stiffness from '../src/actions/lateral/stiffness'
import * as storeyForce from '../src/actions/lateral/storeyForce'
import * as ownWeight from '../src/actions/ownWeight'
import * as reduction from '../src/actions/reduction'
import * as liveReduction from '../src/actions/liveReduction'
import * as partitions from '../src/actions/partitions'
import * as pitchedRoof from '../src/actions/pitchedRoof'
import * as stored from '../src/actions/storedLoad'
import * as stairs from '../src/actions/stairLoad'
import * as wall from '../src/actions/wallLoad'
import * as coefficients from '../src/actions/wind/wallCoefficients'
import * as wind from '../src/actions/wind/windLoads'
import * as masses from '../src/queries/massViews'
import * as raking from '../src/rundown/raking'
import * as landing from '../src/queries/why/landing'
import * as lever from '../src/queries/why/lever'
import * as pressure from '../src/standards/en/peakVelocityPressure'
import * as asceWind from '../src/standards/asce/wind'
import * as isEarthquake from '../src/standards/is/earthquake'
import * as isWind from '../src/standards/is/wind'
import type { Traced } from '../src/trace/traced'
import type { Quantity } from '../src/units/quantity'

/** Any formula of the core, its inputs by name. */
export interface AnyFormula {
  (inputs: Readonly<Record<string, Traced>>): Traced
  readonly symbol: string
  readonly clause: string
  readonly quantity: Quantity
  readonly inputs: Readonly<Record<string, Quantity>>
  readonly expression: string
  readonly evaluate: (inputs: Readonly<Record<string, number>>) => number
}

const isFormula = (value: unknown): value is AnyFormula =>
  typeof value === 'function' && 'expression' in value && 'evaluate' in value

/** Every formula of the core by its name. A new module with formulas is to be named here; a test counts them. */
export const formulas: ReadonlyMap<string, AnyFormula> = new Map(
  [
    ownWeight,
    partitions,
    pitchedRoof,
    stored,
    reduction,
    liveReduction,
    wall,
    stairs,
    barriers,
    elementShare,
    stiffness,
    storeyForce,
    coefficients,
    wind,
    landing,
    lever,
    raking,
    masses,
    pressure,
    asceWind,
    isWind,
    isEarthquake,
  ]
    .flatMap((module) => Object.entries(module))
    .filter((entry): entry is [string, AnyFormula] => isFormula(entry[1])),
)
