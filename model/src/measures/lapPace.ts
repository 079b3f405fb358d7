import { known } from '@bold-ballast/core'
import type { Car } from '../car/Car'
import { lapsThatCount } from '../days/timedOutings'
import { lapEvidence, type LapEvidence } from '../days/lapEvidence'
import { CLOCK } from './clock'
import { NOTHING, readOr } from './computedFigures'
import type { MeasureOfCar } from './MeasureOfCar'
import { runsAt } from './runReadings'

/** Laps of a place that count, on a dry track. */
const lapsAt = (car: Pick<Car, 'driven' | 'runs' | 'courses'>, place: string) =>
  runsAt(car, place)
    .filter((run) => run.track === 'dry')
    .flatMap(lapsThatCount)

const says = {
  missing: 'Log a day with its laps.',
  unproven: 'nobody has logged so many laps there at this stage',
  settled: 'Logged laps settle it: log a day with its runs',
} as const

/** What laps of a place show that count, beside a mark on them: a best may have been reached once. Null for none. */
export const lapsBeside = (
  car: Pick<Car, 'driven' | 'runs' | 'courses'>,
  place: string,
): LapEvidence | null => lapEvidence(lapsAt(car, place))

/** The mean of the three best laps of a place, s: a pace, where a best may be luck. */
export const lapBestThree: MeasureOfCar = {
  workOut: (car, { place }) => {
    const pace = lapEvidence(lapsAt(car, place))?.bestThree ?? null
    return readOr(pace === null ? null : known(pace, 'measured', CLOCK / Math.sqrt(3)), NOTHING)
  },
  says,
  isDriven: true,
  settledBy: 'drive',
}

/** The median lap of a place, s: what the car is driven at all day. */
export const lapMedian: MeasureOfCar = {
  workOut: (car, { place }) => {
    const found = lapEvidence(lapsAt(car, place))
    if (!found || found.count < 3 || found.scatter === null) return readOr(null, NOTHING)
    // The median of a bell is 1.25 times as doubtful as its mean.
    const doubt = Math.hypot(CLOCK, (1.253 * found.scatter) / Math.sqrt(found.count))
    return readOr(known(found.median, 'measured', doubt), NOTHING)
  },
  says,
  isDriven: true,
  settledBy: 'drive',
}
