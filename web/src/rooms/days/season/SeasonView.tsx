import { formatNumber } from '@bold-ballast/core'
import { seasonDays, tyreSets, type SeasonDay } from '@bold-ballast/model'
import { csvOf } from '@bold-ballast/words'
import { useMemo } from 'react'
import { useMay } from '../../../store/me'
import { useBuild } from '../../../store/useBuild'
import { useMoney } from '../../../store/useMoney'
import { Button } from '../../../ui/Button'
import { Chart, type Series } from '../../../ui/Chart'
import { download } from '../../../ui/download'
import { RowButtons } from '../../../ui/RowButtons'
import { TableHead } from '../../../ui/TableHead'
import { NoDay } from '../NoDay'
import { sayTime } from '../sayTime'
import { useChosenDay } from '../useChosenDay'

const LOOKS = [
  ['--blued', 'circle'],
  ['--oxide', 'diamond'],
  ['--zinc', 'square'],
  ['--ochre', 'triangle-up'],
] as const

/** The season: its days with their laps, results and cost; how quick at each place; what the tyres have been through. */
export function SeasonView({ onDay }: { onDay: (id: string | null) => void }) {
  const { view, removeSaying } = useBuild()
  const seesMoney = useMay('money')
  const money = useMoney(view.build.currency)
  const { choose } = useChosenDay()
  const days = useMemo(() => seasonDays(view), [view])
  const sets = useMemo(() => tyreSets(view), [view])
  if (view.outings.length === 0) return <NoDay onDay={() => onDay(null)} />
  const laps = days.reduce((sum, d) => sum + d.laps, 0)
  const cost = days.reduce((sum, d) => sum + (d.cost ?? 0), 0)
  const points = days.reduce((sum, d) => sum + (d.points ?? 0), 0)
  const right = 'px-2 text-right whitespace-nowrap tabular-nums'
  const csv = () =>
    csvOf(
      ['date', 'day', 'laps', 'best (s)', 'three best (s)', 'median (s)', 'place', 'of', 'points', 'cost'],
      days.map(({ day, laps: count, best, evidence, cost: spent }) => [
        day.date,
        day.name,
        count,
        best,
        evidence?.bestThree ?? null,
        evidence?.median ?? null,
        day.result?.place ?? null,
        day.result?.of ?? null,
        day.result?.points ?? null,
        seesMoney ? spent : null,
      ]),
    )
  return (
    <section aria-label="Season">
      <div className="flex flex-wrap items-end justify-between gap-2">
        <p className="text-[17px]" data-testid="season-says">
          {days.length} {days.length === 1 ? 'day' : 'days'}, {formatNumber(laps, 0)} laps or runs
          {points !== 0 && `, ${formatNumber(points, 0)} points`}
          {seesMoney &&
            cost > 0 &&
            `, ${money(cost)} for entries and parts: ${money(cost / Math.max(1, laps))} a lap`}
          .
        </p>
        <Button look="quiet" onClick={() => download(`${view.build.name} season.csv`, csv(), 'text/csv')}>
          CSV
        </Button>
      </div>
      <div className="relative mt-2 overflow-x-auto">
        <table className="w-full max-w-[1040px]" data-testid="season">
          <caption className="sr-only">Days of the season</caption>
          <TableHead
            columns={[
              { says: 'Day' },
              { says: 'Laps', figures: true, className: 'px-2' },
              { says: 'Best', figures: true, className: 'px-2' },
              { says: 'Three best', figures: true, className: 'px-2' },
              { says: 'Median', figures: true, className: 'px-2' },
              { says: 'Place', figures: true, className: 'px-2' },
              ...(seesMoney ? [{ says: 'Cost', figures: true, className: 'px-2' }] : []),
              { says: 'Change', unseen: true },
            ]}
          />
          <tbody>
            {days.map(({ day, laps: count, best, evidence, cost: spent }) => (
              <tr key={day.id} className="border-b border-line">
                <th scope="row" className="py-1 pr-2 text-left font-medium">
                  {day.name} <span className="text-[12.5px] font-normal text-muted">{day.date}</span>
                </th>
                <td className={right}>{count}</td>
                <td className={`${right} figure text-[17px]`}>{best === null ? '–' : sayTime(best)}</td>
                <td className={right}>{evidence?.bestThree == null ? '–' : sayTime(evidence.bestThree)}</td>
                <td className={right}>{evidence ? sayTime(evidence.median) : '–'}</td>
                <td className={right}>
                  {day.result
                    ? `${day.result.place}${day.result.of === null ? '' : ` of ${day.result.of}`}`
                    : '–'}
                </td>
                {seesMoney && <td className={right}>{spent === null ? '–' : money(spent)}</td>}
                <td className="text-right whitespace-nowrap">
                  <Button look="quiet" className="!px-1" onClick={() => choose(day.id)}>
                    Look at<span className="sr-only"> {day.name}</span>
                  </Button>
                  <RowButtons
                    name={day.name}
                    recordId={day.id}
                    onChange={() => onDay(day.id)}
                    onRemove={() => removeSaying('outing', day.id, day.name)}
                  />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <Paces days={days} />
      {sets.length > 0 && (
        <div className="relative mt-5 overflow-x-auto">
          <h2 className="text-[20px]">Sets of tyres</h2>
          <table className="w-full max-w-[760px]" data-testid="tyre-sets">
            <caption className="sr-only">What sets of tyres have been through</caption>
            <TableHead
              columns={[
                { says: 'Set' },
                { says: 'Laps', figures: true, className: 'px-2' },
                { says: 'Heat cycles', figures: true, className: 'px-2' },
                { says: 'Median lap, by laps on them before' },
              ]}
            />
            <tbody>
              {sets.map((set) => (
                <tr key={set.name} className="border-b border-line">
                  <th scope="row" className="py-1 pr-2 text-left font-medium">
                    {set.name}
                  </th>
                  <td className={right}>{set.laps}</td>
                  <td className={right}>{set.cycles}</td>
                  <td className="text-[14px]">
                    {set.runs.map((r) => `${r.before}: ${sayTime(r.median)}`).join(', ') || '–'}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
    </section>
  )
}

/** Best and median by day, at each place that was driven at more than once. */
function Paces({ days }: { days: readonly SeasonDay[] }) {
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
          colour: LOOKS[at]?.[0] ?? '--blued',
          symbol: LOOKS[at]?.[1] ?? 'circle',
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
