import { doubtName, known, named, roadSpeedAt, topSpeed as fastest, type LapCar } from '@bold-ballast/core'
import { runDoubt, typedDoubts } from '../car/runDoubt'
import { NOTHING, readOr, workedOut } from './computedFigures'
import type { MeasureOfCar } from './MeasureOfCar'

/** What a logger's or a gun's speed is off by, as a share (common practice). */
const LOGGED = 0.005
/** What a worked-out top speed is off by, as a share, beside what goes into it (common practice). */
const SPEED_MODEL = 0.015

const worked: MeasureOfCar['workOut'] = ({ geared, summary }, { gear }) => {
  if (!geared) return NOTHING
  const speedOf = (run: LapCar) => {
    const gearing = { ...geared.gearing, rollingRadius: run.rollingRadius }
    const best = fastest(gearing, run.curve, { ...geared.load, mass: run.mass, dragArea: run.dragArea })
    if (!best) return null
    if (gear === null) return best.speed
    if (gearing.ratios[gear - 1] === undefined) return null
    return Math.min(best.speed, roadSpeedAt(gearing, gear - 1, gearing.limiter))
  }
  const speed = speedOf(geared.run)
  if (speed === null) return NOTHING
  const typed = runDoubt(geared.run, typedDoubts(geared.air, summary), speedOf, speed)
  return workedOut(named(speed, 'claim', { ...typed, [doubtName.model('topSpeed')]: SPEED_MODEL * speed }))
}

/** The fastest it goes, in a gear where one is named, m/s. */
export const topSpeed: MeasureOfCar = {
  workOut: (car, asked) => {
    // A logged speed tells of no gear.
    const speeds = asked.gear === null ? car.driven.flatMap((o) => o.topSpeed ?? []) : []
    const best = speeds.length > 0 ? Math.max(...speeds) : null
    return readOr(best === null ? null : known(best, 'measured', LOGGED * best), worked(car, asked))
  },
  says: {
    missing: 'Log a pull with a curve, and type the gears.',
    unproven: 'nobody has pulled and weighed it at this stage',
    workedOut: 'the speed is worked out from power and drag, not driven',
    settled: 'A logged top speed would settle it: log it with its day',
  },
  needsMass: true,
  isDriven: true,
  settledBy: 'drive',
}
