import type { SeasonDay } from '@bold-ballast/model'
import { useMemo } from 'react'
import { useBuild } from '../../../store/useBuild'
import { Chart, type Series } from '../../../ui/Chart'
import { sayTime } from '../sayTime'
import { SEASON_LOOKS } from './seasonLooks'

/** Best and median by day, at each place that was driven at more than once. */
export function Paces({ days }: { days: readonly SeasonDay[] }) {
  const { view } = useBuild()
  const places = useMemo(() => {
    const known = days.filter((d) => d.day.courseId !== null && d.best !== null)
    return view.courses
      .map((course) => ({ course, days: known.filter((d) => d.day.courseId === course.id) }))
      .filter(({ days: there }) => there.length > 1)
  }, [days, view.courses])
  if (places.length === 0) return null
  return (
    <div className="mt-4 grid gap-x-6 @4xl:grid-cols-2">
      {places.map(({ course, days: there }) => {
        const line = (name: string, at: number, of: (d: SeasonDay) => number | null): Series => ({
          name,
          x: there.map((d) => d.day.date),
          y: there.map(of),
          colour: SEASON_LOOKS[at]?.[0] ?? '--blued',
          symbol: SEASON_LOOKS[at]?.[1] ?? 'circle',
          mode: 'lines+markers',
          says: there.map((d) => {
            const time = of(d)
            return `${d.day.name}, ${d.day.date}: ${name.toLowerCase()} ${time === null ? 'not known' : sayTime(time)}, ${d.laps} laps`
          }),
        })
        const series = [line('Best', 0, (d) => d.best), line('Median', 1, (d) => d.evidence?.median ?? null)]
        return (
          <Chart
            key={course.id}
            title={`${course.name}, day by day`}
            summary={`Best and median lap of each day at ${course.name}.`}
            xTitle="Day"
            yTitle="Lap (s)"
            series={series}
            table={{
              header: ['Day', 'Best (s)', 'Median (s)'],
              rows: there.map((d) => [d.day.date, d.best, d.evidence?.median ?? null]),
            }}
            filename={`pace-${course.name}`.toLowerCase().replace(/\s+/g, '-')}
            height={230}
          />
        )
      })}
    </div>
  )
}
