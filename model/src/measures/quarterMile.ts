import { known, QUARTER_MILE, straightLine, type LapCar } from '@bold-ballast/core'
import { runDoubt, typedDoubts } from '../car/runDoubt'
import { CLOCK } from './clock'
import { NOTHING, readOr, runWorkedOut } from './computedFigures'
import { powerOf } from '../car/powerOf'
import { askedAtLeast, shortBy } from './shortBy'
import { driverToCome } from '../car/massWithDriver'
import type { Car } from '../car/Car'
import type { MeasureOfCar } from './MeasureOfCar'

/** A run that is only compared with itself needs no finer steps, s. */
const COARSE = 0.02
/** Elapsed time goes with the cube root of weight over power. */
const POWER_OF_TIME = 3

const ONLY_QUARTER = { speeds: [], distances: [QUARTER_MILE] }
const timeOf = (run: LapCar) => straightLine(run, ONLY_QUARTER, { step: COARSE }).toDistance[0]?.time ?? null

function worked({ geared, summary, modelDoubt }: Pick<Car, 'geared' | 'summary' | 'modelDoubt'>) {
  if (!geared) return NOTHING
  const time = straightLine(geared.run, ONLY_QUARTER).toDistance[0]?.time
  const coarse = timeOf(geared.run)
  if (time === undefined || coarse === null) return NOTHING
  const typed = runDoubt(geared.run, typedDoubts(geared.air, summary), timeOf, coarse)
  return runWorkedOut(time, typed, modelDoubt)
}

/** 402 m from a standstill, s. */
export const quarterMile: MeasureOfCar = {
  workOut: (car) => {
    const times = car.driven.flatMap((o) => o.quarterMile ?? [])
    return readOr(times.length > 0 ? known(Math.min(...times), 'measured', CLOCK) : null, worked(car))
  },
  says: {
    missing: 'Log a pull with a curve, and type gears and grip.',
    unproven: 'nobody has pulled and weighed it at this stage',
    workedOut: 'the run is worked out from gears, grip and drag as typed, not timed',
    settled: 'A timed run would settle it: log it with its day',
  },
  needsMass: true,
  isDriven: true,
  settledBy: 'drive',
  // ET ∝ (W/P)^⅓: Hale and Huntington, as quoted by Fox, Am. J. Phys. 41 (1973) 311.
  shortfall: (mark, { value }, car) => {
    const power = powerOf(car.summary)
    if (mark.comparator !== 'atMost' || !power || !value) return null
    const ratio = (value.value / askedAtLeast(mark)) ** POWER_OF_TIME
    const mass = car.summary.finished.mass.value + driverToCome(car.build)
    return shortBy(mass * (1 - 1 / ratio), power.value * (ratio - 1))
  },
}
