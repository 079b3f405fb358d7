import { cornerMarks, formatFigure, formatNumber, type LoggedTrace } from '@bold-ballast/core'
import type { DayLine } from '@bold-ballast/model'
import { memo } from 'react'
import { useBuild } from '../../../store/useBuild'
import { TableHead } from '../../../ui/TableHead'
import { usedWithin, type GripUse } from './gripUseOf'

/** Braking points, least speeds and time, corner by corner. */
export const OverlayCorners = memo(function OverlayCorners({
  traces,
  use,
  line,
}: {
  traces: { readonly a: LoggedTrace; readonly b: LoggedTrace }
  use: { readonly a: GripUse | null; readonly b: GripUse | null } | null
  line: DayLine
}) {
  const { unit } = useBuild()
  const velocity = unit('velocity')
  const rows = line.corners.flatMap((corner) => {
    const [a, b] = ([traces.a, traces.b] as const).map((t) => cornerMarks(t, [corner.from, corner.to]))
    return a && b ? [{ corner, a, b }] : []
  })
  if (rows.length === 0) return null
  const right = 'px-2 text-right whitespace-nowrap tabular-nums'
  const pair = (x: string, y: string) => (
    <>
      {x} <span className="text-muted">{y}</span>
    </>
  )
  return (
    <div className="mt-3 overflow-x-auto">
      <table className="w-full max-w-[980px]" data-testid="overlay-corners">
        <caption className="text-left text-[14px] text-muted">
          Corner by corner: this lap, and the other beside it
        </caption>
        <TableHead
          columns={[
            { says: 'Corner' },
            { says: 'Brakes before it, m', figures: true, className: 'px-2' },
            { says: `From, ${velocity.symbol}`, figures: true, className: 'px-2' },
            { says: `Least, ${velocity.symbol}`, figures: true, className: 'px-2' },
            { says: 'Takes, s', figures: true, className: 'px-2' },
            ...(use?.a && use.b ? [{ says: 'Grip used, %', figures: true, className: 'px-2' }] : []),
          ]}
        />
        <tbody>
          {rows.map(({ corner, a, b }) => {
            const before = (braking: number | null) =>
              braking === null
                ? 'doesn’t'
                : braking >= corner.from
                  ? 'in it'
                  : formatNumber(corner.from - braking, 0)
            const used = (one: GripUse) => {
              const share = usedWithin(one, corner.from, corner.to)
              return share === null ? '–' : formatNumber(share * 100, 0)
            }
            return (
              <tr key={corner.from} className="border-b border-line">
                <th scope="row" className="py-1 text-left font-medium">
                  {corner.name}
                </th>
                <td className={right}>{pair(before(a.braking), before(b.braking))}</td>
                <td className={right}>
                  {pair(formatFigure(a.entry, velocity, 0), formatFigure(b.entry, velocity, 0))}
                </td>
                <td className={right}>
                  {pair(formatFigure(a.least, velocity, 0), formatFigure(b.least, velocity, 0))}
                </td>
                <td className={right}>{pair(formatNumber(a.time, 2), formatNumber(b.time, 2))}</td>
                {use?.a && use.b && <td className={right}>{pair(used(use.a), used(use.b))}</td>}
              </tr>
            )
          })}
        </tbody>
      </table>
    </div>
  )
})
