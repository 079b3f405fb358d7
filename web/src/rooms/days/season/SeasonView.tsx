import { formatNumber } from '@bold-ballast/core'
import { seasonDays, type SeasonDay } from '@bold-ballast/model'
import { csvOf } from '@bold-ballast/words'
import { useMemo } from 'react'
import { useMay } from '../../../store/me'
import { useBuild } from '../../../store/useBuild'
import { useMoney } from '../../../store/useMoney'
import { Button } from '../../../ui/Button'
import { download } from '../../../ui/download'
import { RowButtons } from '../../../ui/RowButtons'
import { TableHead } from '../../../ui/TableHead'
import { NoDay } from '../NoDay'
import { sayTime } from '../sayTime'
import { useChosenDay } from '../useChosenDay'
import { DriverTrends } from './DriverTrends'
import { Paces } from './Paces'
import { TyreSets } from './TyreSets'
import { WhatWorked } from './WhatWorked'

/** The season: its days with their laps, results and cost; how quick at each place; what the tyres have been through. */
export function SeasonView({ onDay }: { onDay: (id: string | null) => void }) {
  const { view, removeSaying } = useBuild()
  const seesMoney = useMay('money')
  const money = useMoney(view.build.currency)
  const { choose } = useChosenDay()
  const days = useMemo(() => seasonDays(view), [view])
  if (view.outings.length === 0) return <NoDay onDay={() => onDay(null)} />
  const laps = days.reduce((sum, d) => sum + d.laps, 0)
  const cost = days.reduce((sum, d) => sum + (d.cost ?? 0), 0)
  const points = days.reduce((sum, d) => sum + (d.points ?? 0), 0)
  const right = 'px-2 text-right whitespace-nowrap tabular-nums'
  const csv = () =>
    csvOf(
      [
        'date',
        'day',
        'laps',
        'best (s)',
        'three best (s)',
        'median (s)',
        'place',
        'of',
        'points',
        'cost',
        'entry',
        'fuel',
        'tyres',
        'parts',
      ],
      days.map(({ day, laps: count, best, evidence, cost: all, spent }) => [
        day.date,
        day.name,
        count,
        best,
        evidence?.bestThree ?? null,
        evidence?.median ?? null,
        day.result?.place ?? null,
        day.result?.of ?? null,
        day.result?.points ?? null,
        ...[all, spent.entry, spent.fuel, spent.tyres, spent.parts].map((sum) => (seesMoney ? sum : null)),
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
            `, ${money(cost)}: ${money(cost / Math.max(1, laps))} a lap${wentSaid(days, money)}`}
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
              { says: 'Points', figures: true, className: 'px-2' },
              ...(seesMoney ? [{ says: 'Cost', figures: true, className: 'px-2' }] : []),
              { says: 'Change', unseen: true },
            ]}
          />
          <tbody>
            {days.map(({ day, laps: count, best, evidence, cost: spent, points: won }) => (
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
                <td className={right}>{won === null ? '–' : formatNumber(won, 0)}</td>
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
      <WhatWorked />
      <DriverTrends />
      <TyreSets />
    </section>
  )
}

/** What the money of some days went for, in words; empty where it was one thing. */
function wentSaid(days: readonly SeasonDay[], money: (amount: number) => string): string {
  const parts = (
    [
      ['entries', (d: SeasonDay) => d.spent.entry],
      ['fuel', (d: SeasonDay) => d.spent.fuel],
      ['tyres', (d: SeasonDay) => d.spent.tyres],
      ['parts', (d: SeasonDay) => d.spent.parts],
    ] as const
  ).flatMap(([what, of]) => {
    const sum = days.reduce((all, day) => all + of(day), 0)
    return sum > 0 ? [`${money(sum)} for ${what}`] : []
  })
  return parts.length < 2 ? '' : `; ${parts.join(', ')}`
}
