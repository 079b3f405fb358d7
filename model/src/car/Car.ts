import type {
  AeroElement,
  Attitude,
  Brakes,
  Build,
  BuildDocument,
  Component,
  Condition,
  Course,
  Drive,
  LapBasis,
  DynoDay,
  Load,
  Outing,
  Run,
  Rulebook,
  Scrutiny,
  Setup,
  SheetStock,
  Stage,
  Suspension,
} from '@bold-ballast/contract'
import type { AeroBalance, AeroSigma, Known, MassForecast, MassState, StageSummary } from '@bold-ballast/core'
import type { MassMoment } from '../ledger/namedMass'
import type { SwapWithLines } from '../ledger/stageInputs'
import type { BridgedDynos } from '../gains/dynosBetween'
import type { CarAir } from './carAir'
import type { CurveAt } from './curveAt'
import type { GearedCar } from './gearedCar'
import type { BrakeFigures } from '../stance/brakeFigures'
import type { CarStance } from '../stance/carStance'

/** What holds at a stage, and the stage that said it: its own, or one before. */
export interface Held<T> {
  readonly value: T
  readonly from: Stage
}

/** What is aboard: fuel in m³, a driver in kg, loads by their ids. */
export type Aboard = BuildDocument['build']['reference']

/** What the wings, panels and body on a car do together, m², and how doubtful that is. */
export interface CarAero {
  readonly elements: readonly AeroElement[]
  readonly balance: AeroBalance
  readonly sigma: AeroSigma
}

/**
 * The whole car as of a stage, in a condition: what runs, laps, loads, rules and verdicts are functions of. Nothing below
 * it looks into the records again, so all of them speak of the same car. A branch is another car.
 *
 * What takes work is worked out when it is asked for, and once.
 */
export interface Car {
  /** The build as this stage has it: its wheelbase, tracks, tank, seat and springs. */
  readonly build: Build
  readonly loads: readonly Load[]
  readonly stage: Stage
  /** Masses, powers and ratios of the stage, planned, standing and finished, each with its doubt and where it is from. */
  readonly summary: StageSummary
  /** The masses of the summary with each source of their doubt by its name, see `namedMass`. */
  readonly massByName: Readonly<Record<MassMoment, Known>>
  readonly aboard: Aboard
  /** With what is aboard, kg. */
  readonly mass: Known
  /** The same with somebody at the wheel, whom nobody runs a car without. */
  readonly withDriver: Known
  /** Where that sits, m. */
  readonly centre: MassState['centre']
  /** Swaps of this stage and all before it. */
  readonly swaps: readonly SwapWithLines[]
  readonly gears: Held<Drive> | null
  /** The curve that stands, brought to what is planned. */
  readonly curve: CurveAt | null
  /** With gears, curve and driver; null while something is missing. */
  readonly geared: GearedCar | null
  /** The day that its measured power is of. */
  readonly pulledOn: DynoDay | null
  readonly lacks: 'gears' | 'curve' | 'mass' | null
  readonly aero: CarAero
  /** What the air does to it, for runs and laps; null while nobody typed gears. */
  readonly air: CarAir | null
  /** Density of the air, kg/m³: of the day of its curve, or standard. */
  readonly airDensity: number
  readonly attitude: Held<Attitude> | null
  /** What laps are worked out with, beside what other rooms say. */
  readonly lapBasis: Held<LapBasis> | null
  readonly suspension: Held<Suspension> | null
  /** The sheet that it stands on. */
  readonly setup: Held<Setup> | null
  readonly brakes: Held<Brakes> | null
  /** What follows from the brakes in a slow stop; null while nobody typed them, or knows the grip. */
  readonly braking: BrakeFigures | null
  /** The car on its springs, driver aboard. */
  readonly stance: CarStance
  /** Where the height of its centre is from: tilting, or the ledger. */
  readonly heightFrom: 'tilt' | 'ledger'
  readonly sheets: readonly SheetStock[]
  /** On the car by now. */
  readonly components: readonly Component[]
  /** Ethanol in what is burnt, a share; null where nobody said. */
  readonly ethanol: number | null
  readonly scrutiny: Held<Scrutiny> | null
  /** The class it is scrutineered for. */
  readonly rulebook: Rulebook | null
  /** Days that were driven at this stage. */
  readonly driven: readonly Outing[]
  readonly conditions: readonly Condition[]
  /** Runs of the days that were driven at this stage. */
  readonly runs: readonly Run[]
  readonly courses: readonly Course[]
  /** What worked-out runs and laps of this car are off by beside what goes into them, a share. */
  readonly modelDoubt: number
  /** Dynos that the same car was run on. */
  readonly bridges: readonly BridgedDynos[]
  /** What it will weigh once all that is open is fitted; null where nothing would be left of it. */
  readonly forecast: MassForecast | null
}
