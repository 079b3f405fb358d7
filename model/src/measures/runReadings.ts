import { CORNERS, itemAt, known, lapParts, timesDoubts, type Known } from '@bold-ballast/core'
import type { Run } from '@bold-ballast/contract'
import type { Car } from '../car/Car'
import { courseDrawn } from '../course/courseDrawn'
import { lapDoubt } from '../course/lapDoubt'
import { lapOf } from '../course/lapOf'
import { lapsThatCount } from '../days/timedOutings'
import { CLOCK } from './clock'
import { NOTHING, readOr, runWorkedOut } from './computedFigures'
import { wasAt } from './lapTime'
import type { Asked, MeasureOfCar } from './MeasureOfCar'

/** A receiver's speed, m/s; a gauge's temperature, K; a pressure gauge, Pa: one standard uncertainty (common practice). */
const SPEED = 0.2
const GAUGE_TEMPERATURE = 1.5
const GAUGE_PRESSURE = 0.1e5
const TYRE_GAUGE = 0.02e5

const same = (a: string, b: string) => a.trim().toLowerCase() === b.trim().toLowerCase()

/** Runs that were driven at a place, or at any where none is named. */
export function runsAt(
  { driven, runs, courses }: Pick<Car, 'driven' | 'runs' | 'courses'>,
  place: string,
): Run[] {
  const days = new Set(driven.flatMap((day) => (wasAt({ courses }, day, place) ? [day.id] : [])))
  return runs.filter((run) => days.has(run.outingId))
}

/** The course of a place with its worked-out lap; null where there is none. */
function lapAt(car: Car, place: string) {
  const course = car.courses.find((c) => c.name.toLowerCase().includes(place.toLowerCase()))
  const run = car.geared?.run
  return course && run ? { course, drawn: courseDrawn(course), lap: lapOf(run, course) } : null
}

/** The best time of a sector, s. */
export const sectorTime: MeasureOfCar = {
  workOut: (car, { place, part }) => {
    const at = Number(part) - 1
    const times = runsAt(car, place)
      .filter((run) => run.track === 'dry')
      .flatMap(lapsThatCount)
      .flatMap(({ sectors }) => sectors[at] ?? [])
    const best = times.length > 0 ? known(Math.min(...times), 'measured', CLOCK) : null
    const found = lapAt(car, place)
    const sector = found?.drawn.sectors[at]
    if (!found || !sector) return readOr(best, NOTHING)
    const { time } = itemAt(lapParts(found.lap, [sector]), 0)
    const share = time / found.lap.time
    const doubts = timesDoubts(lapDoubt(car, found.course), share)
    return readOr(best, runWorkedOut(time, doubts, car.modelDoubt))
  },
  says: {
    missing: 'Log a day with laps and their sectors, or mark sectors on the course.',
    unproven: 'nobody has timed that sector at this stage',
    workedOut: 'the sector is worked out along the line of the course, not timed',
    settled: 'A timed sector settles it: log a day with its laps',
  },
  isDriven: true,
  settledBy: 'drive',
}

/** The highest least speed in a corner that a log has, m/s: the most that the car was carried through at. */
export const cornerSpeed: MeasureOfCar = {
  workOut: (car, { place, part }) => {
    const speeds = runsAt(car, place).flatMap((run) =>
      run.corners.flatMap((c) => (same(c.name, part) ? [c.least] : [])),
    )
    const best = speeds.length > 0 ? known(Math.max(...speeds), 'measured', SPEED) : null
    const found = lapAt(car, place)
    const corner = found?.drawn.corners.find((c) => same(c.name, part))
    if (!found || !corner) return readOr(best, NOTHING)
    const { slowest } = itemAt(lapParts(found.lap, [[corner.from, corner.to]]), 0)
    // A lap that is off by a share has its corners off by about as much.
    // A slower lap is slower through its corners.
    const doubts = timesDoubts(lapDoubt(car, found.course), -slowest / found.lap.time)
    return readOr(best, runWorkedOut(slowest, doubts, car.modelDoubt))
  },
  says: {
    missing: 'Take a run’s laps from its log, or name the corner on the course.',
    unproven: 'no log has that corner at this stage',
    workedOut: 'the speed is worked out along the line of the course, not logged',
    settled: 'A log settles it: take a run’s laps from it under Days, Logs',
  },
  isDriven: true,
  settledBy: 'drive',
}

/** The reading that is farthest on the wrong side of a mark. */
function worst(values: readonly number[], { comparator, value }: Asked): number | null {
  if (values.length === 0) return null
  if (comparator === 'atLeast') return Math.min(...values)
  if (comparator === 'within' && value !== undefined)
    return values.reduce((far, v) => (Math.abs(v - value) > Math.abs(far - value) ? v : far))
  return Math.max(...values)
}

const readings =
  (quantity: 'temperature' | 'pressure', doubt: number): MeasureOfCar['workOut'] =>
  (car, asked) => {
    const values = runsAt(car, asked.place).flatMap((run) =>
      run.readings.flatMap((r) => (r.quantity === quantity && same(r.name, asked.part) ? [r.value] : [])),
    )
    return readOr(measured(worst(values, asked), doubt), NOTHING)
  }
const measured = (value: number | null, doubt: number): Known | null =>
  value === null ? null : known(value, 'measured', doubt)

const GAUGES = {
  says: {
    missing: 'Type what that gauge read after a run, under Days.',
    unproven: 'nobody has read that gauge at this stage',
    settled: 'A reading settles it: type it after a run',
  },
  isDriven: true,
  settledBy: 'drive',
} as const

/** A temperature off a gauge, by its name, K: the worst of all runs. */
export const temperatureRead: MeasureOfCar = {
  workOut: readings('temperature', GAUGE_TEMPERATURE),
  ...GAUGES,
}
/** A pressure off a gauge, by its name, Pa: the worst of all runs. */
export const pressureRead: MeasureOfCar = { workOut: readings('pressure', GAUGE_PRESSURE), ...GAUGES }

/** Tyre pressures straight after runs, Pa: that of the four which lies farthest out. */
export const hotPressure: MeasureOfCar = {
  workOut: (car, asked) => {
    const values = runsAt(car, asked.place).flatMap((run) =>
      CORNERS.flatMap((corner) => run.hot[corner] ?? []),
    )
    return readOr(measured(worst(values, asked), TYRE_GAUGE), NOTHING)
  },
  says: {
    missing: 'Type hot pressures straight after a run, under Days.',
    unproven: 'nobody has read hot pressures at this stage',
    settled: 'Pressures straight after a run settle it',
  },
  isDriven: true,
  settledBy: 'drive',
}
