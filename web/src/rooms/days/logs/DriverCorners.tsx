import { formatFigure, formatNumber, itemAt } from '@bold-ballast/core'
import type { DayLine, DriverScatter } from '@bold-ballast/model'
import { useState } from 'react'
import { useBuild } from '../../../store/useBuild'
import { Choose } from '../../../ui/Choose'
import { TableHead } from '../../../ui/TableHead'

/** How alike a driver's laps are, corner by corner: where time is lost to oneself. */
export function DriverCorners({ line, alike }: { line: DayLine; alike: readonly DriverScatter[] }) {
  const { unit } = useBuild()
  const velocity = unit('velocity')
  const [asked, setAsked] = useState<string | null>(null)
  const own = alike.find((one) => one.driver === asked) ?? alike[0]
  if (!own) return null
  const { driver: name, corners: rows, laps } = own
  const driver = name || 'nobody named'
  const [first] = rows
  if (!first) return null
  const worst = rows.reduce((a, b) => (b.mean - b.best > a.mean - a.best ? b : a))
  const lost = rows.reduce((sum, row) => sum + row.mean - row.best, 0)
  const right = 'px-2 text-right whitespace-nowrap tabular-nums'
  return (
    <section aria-label="Scatter by corner" className="mt-5">
      <div className="flex flex-wrap items-end justify-between gap-3">
        <h2 className="text-[20px]">How alike the laps are</h2>
        {alike.length > 1 && (
          <Choose
            label="Driver"
            value={name}
            options={alike.map((one) => [one.driver, one.driver || 'nobody named'] as const)}
            onChange={setAsked}
            wide={false}
          />
        )}
      </div>
      <p className="text-[15.5px]" data-testid="scatter-says">
        {laps} laps of {driver}: {formatNumber(lost, 2)} s lie between the mean of them and the best of every
        corner, a lap that nobody drove. Most of it at{' '}
        <b className="font-medium">{itemAt(line.corners, rows.indexOf(worst)).name}</b> and to the corner
        after it, {formatNumber(worst.mean - worst.best, 2)} s.
      </p>
      <div className="mt-1 overflow-x-auto">
        <table className="w-full max-w-[820px]" data-testid="scatter">
          <caption className="sr-only">Scatter from lap to lap by corner, of {driver}</caption>
          <TableHead
            columns={[
              { says: 'Corner, and on to the next' },
              { says: 'Best, s', figures: true, className: 'px-2' },
              { says: 'Mean, s', figures: true, className: 'px-2' },
              { says: '±, s', figures: true, className: 'px-2' },
              { says: 'Brakes at ±, m', figures: true, className: 'px-2' },
              { says: `Least ±, ${velocity.symbol}`, figures: true, className: 'px-2' },
            ]}
          />
          <tbody>
            {rows.map((row, i) => (
              <tr key={i} className="border-b border-line">
                <th scope="row" className="py-1 text-left font-medium">
                  {itemAt(line.corners, i).name}
                </th>
                <td className={right}>{formatNumber(row.best, 2)}</td>
                <td className={right}>{formatNumber(row.mean, 2)}</td>
                <td className={right}>{formatNumber(row.scatter, 2)}</td>
                <td className={right}>{row.braking === null ? '–' : formatNumber(row.braking, 0)}</td>
                <td className={right}>{row.least === null ? '–' : formatFigure(row.least, velocity, 1)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="text-[13.5px] text-muted">
        ± is one standard deviation from lap to lap; laps over 7 % slower than the best are left out.
      </p>
    </section>
  )
}
