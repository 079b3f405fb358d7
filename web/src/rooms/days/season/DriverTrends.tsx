import { formatNumber } from '@bold-ballast/core'
import { driverDays, type DriverDay } from '@bold-ballast/model'
import { useMemo } from 'react'
import { useBuild } from '../../../store/useBuild'
import { Chart, type Series } from '../../../ui/Chart'
import { sayTime } from '../sayTime'
import { SEASON_LOOKS } from './seasonLooks'

const percent = (share: number) => formatNumber(share * 100, 2)
const nameOf = (driver: string) => driver || 'nobody named'

/** How alike each driver's laps get over the season: what is left of their scatter once changes and the day's trend are off. */
export function DriverTrends() {
  const { view } = useBuild()
  const byDriver = useMemo(() => {
    const found = new Map<string, DriverDay[]>()
    for (const day of driverDays(view)) found.set(day.driver, [...(found.get(day.driver) ?? []), day])
    return [...found]
  }, [view])
  const placeOf = (day: DriverDay) =>
    view.courses.find((c) => c.id === day.courseId)?.name ??
    view.outings.find((o) => o.id === day.outingId)?.name ??
    ''
  if (!byDriver.some(([, days]) => days.length > 1)) return null
  const series = byDriver.map(([driver, days], i): Series => {
    const [colour, symbol] = SEASON_LOOKS[i % SEASON_LOOKS.length] ?? ['--blued', 'circle']
    return {
      name: nameOf(driver),
      x: days.map((day) => day.date),
      y: days.map((day) => Number((day.scatter * 100).toFixed(3))),
      colour,
      symbol,
      mode: 'lines+markers',
      says: days.map(
        (day) =>
          `${nameOf(driver)}, ${placeOf(day)}, ${day.date}: ${percent(day.scatter)} % from lap to lap, median ${sayTime(day.median)}, ${day.laps} laps`,
      ),
    }
  })
  return (
    <section aria-label="Drivers over the season" className="mt-5 max-w-[820px]">
      <Chart
        title="How alike each driver’s laps are"
        summary={byDriver
          .map(([driver, days]) => {
            const [first, last] = [days[0], days.at(-1)]
            return first && last && days.length > 1
              ? `${nameOf(driver)}: ${percent(first.scatter)} % at first, ${percent(last.scatter)} % last.`
              : ''
          })
          .filter(Boolean)
          .join(' ')}
        xTitle="Day"
        yTitle="From lap to lap (% of a lap)"
        series={series}
        table={{
          header: ['Driver', 'Day', 'Where', 'Laps', 'Best', 'Median', 'From lap to lap (%)'],
          rows: byDriver.flatMap(([driver, days]) =>
            days.map((day) => [
              nameOf(driver),
              day.date,
              placeOf(day),
              day.laps,
              sayTime(day.best),
              sayTime(day.median),
              percent(day.scatter),
            ]),
          ),
        }}
        filename="drivers-over-the-season"
        height={230}
      />
    </section>
  )
}
