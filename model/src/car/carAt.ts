import type { Build, BuildDocument, Stage } from '@bold-ballast/contract'
import {
  aboard as pointsAboard,
  aeroBalance,
  aeroSigma,
  foldMass,
  massAboard,
  placedAreas,
  stateOf,
} from '@bold-ballast/core'
import { bridgedDynos } from '../gains/dynosBetween'
import { foldBuild } from '../ledger/foldBuild'
import { namedMass } from '../ledger/namedMass'
import { forecastOf } from '../ledger/forecastOf'
import type { Aboard, Car, Held } from './Car'
import { carAir } from './carAir'
import { carFacts } from './carFacts'
import { carriedAt } from './carriedAt'
import { curveAt } from './curveAt'
import { fittedAt } from './fittedAt'
import { heightByTilt } from './heightByTilt'
import { onSheetsHole, onSheetsTyres } from './onSheet'
import { setupAt } from './setupAt'
import { brakeFigures } from '../stance/brakeFigures'
import { carStance } from '../stance/carStance'
import { gearedCar } from './gearedCar'
import { driverToCome } from './massWithDriver'
import { once } from './once'
import { timedOutings } from '../days/timedOutings'
import { densityOf } from './runningCar'
import { timedSpread } from './timedSpread'

/** What a run or lap is off by of a car that nobody has timed, as a share (common practice). */
const UNTIMED = 0.06

const kept = new WeakMap<BuildDocument, Map<string, Car>>()

/**
 * The whole car as of a stage: what is fitted, geared, pulled, aboard and typed there, found once.
 *
 * This is the only place that looks up what holds at a stage. Runs, laps, ladders, aero, rules and verdicts take the car.
 *
 * @param document a build, or what it would be in a branch; never changed afterwards
 * @param aboard what is aboard; left out, the build's reference condition
 * @returns the same car for the same question
 * @throws {RangeError} where the document has no such stage
 * @example carAt(document, stageId).geared?.gearing
 */
export function carAt(document: BuildDocument, stageId: string, aboard?: Aboard): Car {
  if (aboard) return resolve(document, stageId, aboard)
  const cars = kept.get(document) ?? new Map<string, Car>()
  kept.set(document, cars)
  const before = cars.get(stageId)
  if (before) return before
  const car = resolve(document, stageId, document.build.reference)
  cars.set(stageId, car)
  return car
}

const keptInOrder = new WeakMap<BuildDocument, readonly Car[]>()

/** The cars of all stages, in order. */
export function carsOf(document: BuildDocument): readonly Car[] {
  const cars =
    keptInOrder.get(document) ?? foldBuild(document).stages.map((stage) => carAt(document, stage.id))
  keptInOrder.set(document, cars)
  return cars
}

const keptDoubt = new WeakMap<BuildDocument, number>()

/** How near worked-out laps come to driven ones in a build: of all its cars, so it is found once. */
function modelDoubtOf(document: BuildDocument): number {
  const { stages } = foldBuild(document)
  const doubt =
    keptDoubt.get(document) ??
    timedSpread(timedOutings(document), document.courses, (id) =>
      stages.some((s) => s.id === id) ? (carAt(document, id).geared?.run ?? null) : null,
    ) ??
    UNTIMED
  keptDoubt.set(document, doubt)
  return doubt
}

function resolve(document: BuildDocument, stageId: string, aboard: Aboard): Car {
  const folded = foldBuild(document)
  const { stages, summaries, ledger, geometry } = folded
  const at = stages.findIndex((s) => s.id === stageId)
  const [stage, summary] = [stages[at], summaries[at]]
  if (!stage || !summary) throw new RangeError('A car is of a stage, and the build has no such stage.')
  const built = geometry?.buildOf(stageId)
  const build: Build = built ?? document.build
  const carriers = built ?? carFacts(document)
  const held = <T extends { readonly stageId: string }>(all: readonly T[]): Held<T> | null => {
    const value = carriedAt(all, stages, stageId)
    const from = value && stages.find((s) => s.id === value.stageId)
    return value && from ? { value, from } : null
  }
  const shift =
    aboard === build.reference ? 0 : massAboard(aboard, carriers) - massAboard(build.reference, carriers)
  const mass = { ...summary.mass, value: summary.mass.value + shift }
  const toCome = driverToCome(build, aboard)
  const centre = once(
    () =>
      stateOf(foldMass(summary.fitted, pointsAboard({ ...aboard, driver: aboard.driver + toCome }, carriers)))
        .centre,
  )
  const onSheet = setupAt(document.setups, stages, stageId)
  const sheetOf = stages.find((s) => s.id === onSheet?.stageId)
  const setup = onSheet && sheetOf ? { value: onSheet, from: sheetOf } : null
  const suspension = held(document.suspensions)
  const brakes = held(document.brakes)
  const braking = once(() => brakes && brakeFigures(car, brakes.value, 0))
  const drivetrain = held(document.drivetrains)
  const gears = drivetrain && {
    value: onSheetsTyres(drivetrain.value.drive, build.layout, onSheet),
    from: drivetrain.from,
  }
  const curve = once(() => curveAt(folded, at))
  const tilted = heightByTilt(folded, document.tiltTests, at)
  const stance = once(() =>
    carStance({
      build,
      suspension: suspension?.value ?? null,
      setup: onSheet,
      mass: car.withDriver,
      centre: {
        x: centre().x,
        z: tilted
          ? { ...centre().z, value: centre().z.value + tilted.adds, sigma: tilted.sigma, grade: 'measured' }
          : centre().z,
      },
    }),
  )
  const aero = once(() => {
    const elements = fittedAt(document.aeroElements, stages, stageId).map((element) =>
      onSheetsHole(
        geometry ? { ...element, x: geometry.movedTo(element.x, element.stageId, stageId) } : element,
        onSheet,
      ),
    )
    return {
      elements,
      balance: aeroBalance(placedAreas(elements), build.wheelbase),
      sigma: aeroSigma(elements, build.wheelbase),
    }
  })
  const scrutiny = held(document.scrutinies)
  const sizing = held(document.sizings)
  const geared = once(() => {
    const own = curve()
    return car.lacks === null && gears && own ? gearedCar(car, gears.value, own) : null
  })
  const named = {
    planned: once(() => namedMass(document, stageId, 'planned')),
    standing: once(() => namedMass(document, stageId, 'standing')),
    finished: once(() => namedMass(document, stageId, 'finished')),
  }
  const modelDoubt = once(() => modelDoubtOf(document))
  const components = once(() => fittedAt(document.components, stages, stageId))
  const bridges = once(() => bridgedDynos(document))
  const forecast = once(() => forecastOf(document, car, ledger))
  const drivenDays = new Set(
    document.outings.flatMap((o) => (o.stageId === stageId && !o.planned ? [o.id] : [])),
  )
  const car: Car = {
    build,
    loads: built?.loads ?? document.loads,
    stage,
    summary,
    massByName: {
      get planned() {
        return named.planned()
      },
      get standing() {
        return named.standing()
      },
      get finished() {
        return named.finished()
      },
    },
    aboard,
    mass,
    withDriver: { ...mass, value: mass.value + toCome },
    gears,
    attitude: held(document.attitudes),
    lapBasis: held(document.lapBases),
    suspension,
    setup,
    brakes,
    get stance() {
      return stance()
    },
    get braking() {
      return braking()
    },
    heightFrom: tilted ? 'tilt' : 'ledger',
    sheets: document.sheetStocks,
    scrutiny,
    rulebook: document.rulebooks.find((b) => b.id === scrutiny?.value.rulebookId) ?? null,
    swaps: stages.slice(0, at + 1).flatMap((s: Stage) => ledger.swapsOf(s.id)),
    pulledOn: document.dynoDays.find((d) => d.id === summary.measuredPower?.dynoDayId) ?? null,
    driven: timedOutings(document).filter((o) => o.stageId === stageId && !o.planned),
    runs: document.runs.filter((run) => drivenDays.has(run.outingId) && !run.planned),
    conditions: document.conditions,
    courses: document.courses,
    get centre() {
      return centre()
    },
    get curve() {
      return curve()
    },
    get geared() {
      return geared()
    },
    get lacks() {
      if (!gears) return 'gears'
      if (!curve()) return 'curve'
      // A line that takes too much off leaves no car to run.
      return car.withDriver.value > 0 ? null : 'mass'
    },
    get aero() {
      return aero()
    },
    get air() {
      return gears && carAir(build, aero(), gears.value)
    },
    get airDensity() {
      return densityOf(curve()?.day)
    },
    get components() {
      return components()
    },
    get ethanol() {
      return sizing?.value.engine?.ethanol ?? curve()?.day.ethanol ?? null
    },
    get modelDoubt() {
      return modelDoubt()
    },
    get bridges() {
      return bridges()
    },
    get forecast() {
      return forecast()
    },
  }
  return car
}
