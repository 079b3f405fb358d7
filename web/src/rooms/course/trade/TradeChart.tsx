import type { Course } from '@bold-ballast/contract'
import { formatNumber, itemAt } from '@bold-ballast/core'
import { useMemo } from 'react'
import { Chart, type Series } from '../../../ui/Chart'
import type { Trade } from './tradesOf'

const LOOKS = [
  ['--blued', 'solid'],
  ['--oxide', 'dash'],
  ['--zinc', 'dot'],
  ['--ochre', 'dash'],
] as const
/** So many courses stand in one picture. */
export const MOST_COURSES = LOOKS.length

const signed = (s: number) => `${s < 0 ? '−' : '+'}${formatNumber(Math.abs(s), 3)}`

/** One thing turned, and what it does to the lap of each course. */
export function TradeChart({
  trade,
  places,
  laps,
}: {
  trade: Trade
  places: readonly { readonly course: Course }[]
  laps: ReadonlyMap<string, readonly (number | null)[]>
}) {
  const { line, shown, says, key } = trade
  const lines = useMemo(
    () =>
      places.flatMap(({ course }, i) => {
        const [now, ...all] = laps.get(`${key} ${course.id}`) ?? []
        if (now == null) return []
        const off = all.map((lap) => (lap === null ? null : lap - now))
        const [colour, dash] = itemAt(LOOKS, i % LOOKS.length)
        const series: Series = {
          name: course.name,
          x: line.values.map((v) => Number(shown(v).toFixed(2))),
          y: off.map((s) => (s === null ? null : Number(s.toFixed(3)))),
          colour,
          dash,
          says: line.values.map((v, at) => `${course.name}: ${says(v)}: ${signed(off[at] ?? 0)} s a lap`),
        }
        const best = off.reduce<number>((at, s, j) => (s !== null && s < (off[at] ?? Infinity) ? j : at), 0)
        return [{ series, name: course.name, best: itemAt(line.values, best), gain: off[best] ?? 0 }]
      }),
    [places, laps, key, line, shown, says],
  )
  const series = useMemo(() => lines.map((l) => l.series), [lines])
  if (lines.length === 0) return null
  return (
    <div>
      <Chart
        title={trade.title}
        summary={`Seconds a lap against now, along ${trade.xTitle.toLowerCase()}.`}
        xTitle={trade.xTitle}
        yTitle="s a lap, against now"
        series={series}
        table={{
          header: [trade.xTitle, ...lines.map((l) => `${l.name} (s)`)],
          rows: line.values.map((v, i) => [
            Number(shown(v).toFixed(2)),
            ...lines.map((l) => l.series.y[i] ?? null),
          ]),
        }}
        filename={`trade-${key.split(' ')[0]}`}
        height={250}
        at={Number(shown(trade.now).toFixed(2))}
      />
      <p className="text-[14px]" data-testid={`trade-${key.split(' ')[0]}`}>
        Now {says(trade.now)}.{' '}
        {lines
          .map((l) =>
            l.gain > -0.01
              ? `${l.name}: it is right`
              : `${l.name}: ${says(l.best)}, ${formatNumber(-l.gain, 2)} s quicker`,
          )
          .join('; ')}
        .
      </p>
    </div>
  )
}
