import { nextOrder, putEdit, withoutVersion, type Course, type CourseInLibrary } from '@bold-ballast/contract'
import { formatNumber, formatQuantity } from '@bold-ballast/core'
import { useMemo } from 'react'
import { useCoursesQuery } from '../../../store/api'
import { useBuild } from '../../../store/useBuild'
import { useLiveCar } from '../../../store/useCar'
import { Button } from '../../../ui/Button'
import { download } from '../../../ui/download'
import { ElsewhereDot } from '../../../ui/ElsewhereDot'
import { EmptyRoom } from '../../../ui/EmptyRoom'
import { MayOnly } from '../../../ui/MayOnly'
import { RowButtons } from '../../../ui/RowButtons'
import { CourseMap } from '../../../ui/CourseMap'
import { sayCorners } from '../sayCorners'
import { drawnOr } from '../drawnOr'
import { lapOfCar } from '../lapOfCar'
import { sayLap } from '../sayLap'
import { useChosenCourse } from '../useChosenCourse'
import { lineCsv, lineGeoJson } from './courseFiles'

const LINE = { says: 'line', colour: '--blued', width: 4 }

/** The courses of the build, each with its map and the lap of this stage's car; and those of the workshop's other builds. */
export function CoursesView({ onLine }: { onLine: (id: string | null) => void }) {
  const { courses } = useChosenCourse()
  return (
    <section aria-label="Courses">
      {courses.length === 0 ? (
        <EmptyRoom
          title="No course yet"
          action={
            <Button look="main" onClick={() => onLine(null)}>
              Add a course
            </Button>
          }
        >
          Type straights and corners, draw the line on a plan, trace it over a picture, or read it from a log:
          then every car of this build has a lap there.
        </EmptyRoom>
      ) : (
        <ul className="grid gap-4 @3xl:grid-cols-2" data-testid="course-list">
          {courses.map((course) => (
            <OneCourse key={course.id} course={course} onLine={onLine} />
          ))}
        </ul>
      )}
      <Library />
    </section>
  )
}

function OneCourse({ course, onLine }: { course: Course; onLine: (id: string) => void }) {
  const { unit, removeSaying } = useBuild()
  const car = useLiveCar()
  const drawn = drawnOr(course)
  const found = useMemo(() => lapOfCar(car, course), [car, course])
  const velocity = unit('velocity')
  const file = course.name.toLowerCase().replace(/\s+/g, '-')
  return (
    <li className="rounded-[4px] border border-line bg-panel p-3">
      <div className="flex flex-wrap items-baseline justify-between gap-2">
        <h2 className="text-[20px]">
          {course.name} <ElsewhereDot recordId={course.id} />
        </h2>
        <span className="flex gap-1">
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
      </div>
      {typeof drawn === 'string' ? (
        <p role="alert" className="text-oxide">
          No line: {drawn}.
        </p>
      ) : (
        <>
          <CourseMap
            label={`Map of ${course.name}`}
            points={drawn.points}
            closed={drawn.closed}
            length={drawn.length}
            stretches={[{ from: 0, to: drawn.length, look: LINE }]}
            corners={drawn.corners}
            marks={drawn.sectors.slice(0, -1).map(([, to]) => to)}
          />
          <p className="mt-1 text-[14px]">
            {formatNumber(drawn.length, 0)} m, {sayCorners(drawn.corners.length)}
            {drawn.sectors.length > 1 && `, ${drawn.sectors.length} sectors`}
            {course.width !== null && `, ${formatNumber(course.width, 0)} m wide`}
            {course.line?.closingError != null &&
              `; logged, closed to ${formatNumber(course.line.closingError, 1)} m`}
            .
          </p>
          {found && 'lap' in found && (
            <p className="text-[14px]">
              <b className="figure text-[18px]">{sayLap(found.lap.time)}</b> at the limit,{' '}
              {formatQuantity(found.lap.slowest, velocity, 0)} to{' '}
              {formatQuantity(found.lap.fastest, velocity, 0)}.
            </p>
          )}
          <p className="no-print mt-1 flex gap-1">
            <Button
              look="quiet"
              className="!px-1"
              onClick={() => download(`${file}.csv`, lineCsv(drawn), 'text/csv')}
            >
              CSV<span className="sr-only"> of {course.name}</span>
            </Button>
            <Button
              look="quiet"
              className="!px-1"
              onClick={() => download(`${file}.geojson`, lineGeoJson(course, drawn), 'application/geo+json')}
            >
              GeoJSON<span className="sr-only"> of {course.name}</span>
            </Button>
          </p>
        </>
      )}
      {course.note && <p className="mt-1 text-[13.5px] text-muted">{course.note}</p>}
    </li>
  )
}

/** Courses of the workshop's other builds that this one hasn't got: any of them is taken over whole. */
function Library() {
  const { view, saveSaying } = useBuild()
  const { data } = useCoursesQuery()
  const own = new Set(view.courses.map((c) => c.name.toLowerCase()))
  const seen = new Set<string>()
  const others = (data ?? []).filter(({ buildId, course }) => {
    const name = course.name.toLowerCase()
    if (buildId === view.build.id || own.has(name) || seen.has(name)) return false
    seen.add(name)
    return true
  })
  if (others.length === 0) return null
  const take = ({ course, build }: CourseInLibrary) => {
    const order = nextOrder(view.courses)
    const record = withoutVersion({ ...course, id: crypto.randomUUID(), order, version: 0 })
    saveSaying(
      `Take ${course.name} over from ${build}`,
      [putEdit(view, 'course', record)],
      `${course.name} is here, too.`,
    )
  }
  return (
    <section aria-label="Courses of the workshop" className="mt-5">
      <h2 className="text-[20px]">In the workshop</h2>
      <ul data-testid="course-library">
        {others.map((one) => {
          const drawn = drawnOr(one.course)
          return (
            <li
              key={one.course.id}
              className="flex flex-wrap items-center gap-x-4 border-b border-line py-1.5"
            >
              <span className="font-medium">{one.course.name}</span>
              <span className="text-[13.5px] text-muted">
                {typeof drawn !== 'string' &&
                  `${formatNumber(drawn.length, 0)} m, ${sayCorners(drawn.corners.length)}; `}
                noted for {one.build}
              </span>
              <MayOnly right="plan">
                <Button look="quiet" className="ml-auto" onClick={() => take(one)}>
                  Use it here<span className="sr-only"> {one.course.name}</span>
                </Button>
              </MayOnly>
            </li>
          )
        })}
      </ul>
    </section>
  )
}
