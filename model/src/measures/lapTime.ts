import type { Outing } from '@bold-ballast/contract'
import { known } from '@bold-ballast/core'
import { lapOf as lap } from '../course/lapOf'
import { lapDoubt } from '../course/lapDoubt'
import type { Car } from '../car/Car'
import { CLOCK } from './clock'
import { NOTHING, readOr, runWorkedOut } from './computedFigures'
import type { MeasureOfCar } from './MeasureOfCar'

const isAt = (name: string, place: string): boolean => name.toLowerCase().includes(place.toLowerCase())

/** Whether a day was at a place: its course is called so, or it is itself. */
export const wasAt = (
  { courses }: Pick<Car, 'courses'>,
  day: Pick<Outing, 'courseId' | 'name'>,
  place: string,
): boolean => isAt(day.name, place) || courses.some((c) => c.id === day.courseId && isAt(c.name, place))

const worked: MeasureOfCar['workOut'] = (car, { place }) => {
  const course = car.courses.find((c) => isAt(c.name, place))
  if (!course || !car.geared) return NOTHING
  const { time } = lap(car.geared.run, course)
  return runWorkedOut(time, lapDoubt(car, course), car.modelDoubt)
}

/** The best lap of a place, s. */
export const lapTime: MeasureOfCar = {
  workOut: (car, asked) => {
    const laps = car.driven.flatMap((o) => (wasAt(car, o, asked.place) ? (o.bestLap ?? []) : []))
    const best = laps.length > 0 ? known(Math.min(...laps), 'measured', CLOCK) : null
    return readOr(best, worked(car, asked))
  },
  says: {
    missing: 'Log a day with its best lap, or type the line of the course.',
    unproven: 'nobody has timed a lap at this stage',
    workedOut: 'the lap is worked out along the line of the course, not timed',
    settled: 'A timed lap would settle it: log the day with its best lap',
  },
  needsMass: true,
  isDriven: true,
  settledBy: 'drive',
}
