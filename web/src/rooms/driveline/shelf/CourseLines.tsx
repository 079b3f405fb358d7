import { formatNumber, fromSi, lapTime } from '@bold-ballast/core'
import { useMemo } from 'react'
import { useBuild } from '../../../store/useBuild'
import { useCar } from '../../../store/useCar'
import { Button } from '../../../ui/Button'
import { RowButtons } from '../../../ui/RowButtons'

/** The lines of courses, each with the lap that the car of this stage could do there. */
export function CourseLines({ onLine }: { onLine: (id: string | null) => void }) {
  const { view, unit, removeSaying } = useBuild()
  const car = useCar()
  const velocity = unit('velocity')
  const laps = useMemo(() => {
    const run = car.geared?.run
    return [...view.courses]
      .sort((a, b) => a.order - b.order)
      .map((course) => ({ course, lap: run && lapTime(run, course) }))
  }, [view.courses, car])
  const say = (v: number) => formatNumber(fromSi(v, velocity), 0)
  return (
    <section aria-label="Lines of courses" className="mt-4">
      <div className="flex items-baseline justify-between gap-2">
        <h2 className="text-[19px]">Lines of courses</h2>
        <Button onClick={() => onLine(null)}>Add a line</Button>
      </div>
      <ul data-testid="lines">
        {laps.map(({ course, lap }) => (
          <li key={course.id} className="flex flex-wrap items-center gap-x-4 border-b border-line py-1.5">
            <span className="font-medium">{course.name}</span>
            <span className="text-[13.5px] text-muted">
              {formatNumber(
                course.sections.reduce((sum, s) => sum + s.length, 0),
                0,
              )}{' '}
              m, {course.sections.filter((s) => s.radius !== null).length} corners
              {lap &&
                `: ${formatNumber(lap.time, 1)} s at the limit, ${say(lap.slowest)} to ${say(lap.fastest)} ${velocity.symbol}`}
            </span>
            <span className="ml-auto flex gap-1">
              <RowButtons
                name={`the line of ${course.name}`}
                onChange={() => onLine(course.id)}
                onRemove={() =>
                  removeSaying(
                    'course',
                    course.id,
                    `the line of ${course.name}`,
                    `The line of ${course.name} removed.`,
                  )
                }
              />
            </span>
          </li>
        ))}
        {laps.length === 0 && (
          <li className="py-1.5 text-muted">
            None yet. With the straights and corners of a course you get the lap that a car could do there,
            what each change is worth in it, and a lap among what you try.
          </li>
        )}
      </ul>
      {laps.length > 0 && (
        <p className="mt-1 text-[13px] text-muted">
          A car always at the limit of its tyres, its engine or its brakes, with shifts that take no time:
          good for comparing, and quicker than anybody drives it.
        </p>
      )}
    </section>
  )
}
