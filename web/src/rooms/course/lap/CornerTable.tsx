import { itemAt } from '@bold-ballast/core'
import { formatFigure, formatNumber, STANDARD_GRAVITY, type LapPart } from '@bold-ballast/core'
import type { NamedCorner } from '@bold-ballast/model'
import { useBuild } from '../../../store/useBuild'
import { TableHead } from '../../../ui/TableHead'

const BALANCE: Readonly<Record<LapPart['limit'], readonly [string, string]>> = {
  front: ['front: it pushes', 'text-oxide'],
  rear: ['rear: it turns in too much', 'text-ochre'],
  driven: ['driven tyres: no pull left', 'text-ochre'],
  engine: ['engine', ''],
  brakes: ['brakes', ''],
}

/** Each corner: how fast in, through and out, in which gear, and which axle gives up first. */
export function CornerTable({
  parts,
  corners,
}: {
  parts: readonly LapPart[]
  corners: readonly NamedCorner[]
}) {
  const { unit } = useBuild()
  const velocity = unit('velocity')
  if (corners.length === 0) return null
  const right = 'px-1 text-right whitespace-nowrap tabular-nums'
  return (
    <section aria-label="Corners" className="mt-4">
      <h2 className="text-[19px]">Corners</h2>
      <div className="overflow-x-auto">
        <table className="w-full max-w-[980px]" data-testid="corners">
          <caption className="sr-only">Speeds, gear and balance by corner</caption>
          <TableHead
            columns={[
              { says: 'Corner', className: 'px-1' },
              { says: 'Radius, m', figures: true, className: 'px-1' },
              { says: `In, ${velocity.symbol}`, figures: true, className: 'px-1' },
              { says: 'Least', figures: true, className: 'px-1' },
              { says: 'Out', figures: true, className: 'px-1' },
              { says: 'g', figures: true, className: 'px-1' },
              { says: 'Gear', figures: true, className: 'px-1 @max-2xl:hidden' },
              { says: 'rpm', figures: true, className: 'px-1 @max-2xl:hidden' },
              { says: 's', figures: true, className: 'px-1' },
              { says: 'Gives up first', className: 'px-1 pl-3' },
            ]}
          />
          <tbody>
            {parts.map((part, i) => {
              const corner = itemAt(corners, i)
              const [says, tone] = BALANCE[part.limit]
              return (
                <tr key={corner.from} className="border-b border-line">
                  <th scope="row" className="px-1 py-1 text-left font-medium">
                    {corner.name}
                  </th>
                  <td className={right}>
                    {formatNumber(Math.abs(corner.radius), 0)}{' '}
                    <span className="text-muted">{corner.radius > 0 ? 'left' : 'right'}</span>
                  </td>
                  <td className={right}>{formatFigure(part.entry, velocity, 0)}</td>
                  <td className={`${right} figure text-[17px]`}>{formatFigure(part.slowest, velocity, 0)}</td>
                  <td className={right}>{formatFigure(part.exit, velocity, 0)}</td>
                  <td className={right}>{formatNumber(Math.abs(part.sideways) / STANDARD_GRAVITY, 2)}</td>
                  <td className={`${right} @max-2xl:hidden`}>{part.engineSpeed ? part.gear + 1 : '–'}</td>
                  <td className={`${right} @max-2xl:hidden`}>
                    {part.engineSpeed ? formatNumber((part.engineSpeed[0] * 30) / Math.PI, 0) : '–'}
                  </td>
                  <td className={right}>{formatNumber(part.time, 2)}</td>
                  <td className={`px-1 pl-3 text-[14px] ${tone}`}>{says}</td>
                </tr>
              )
            })}
          </tbody>
        </table>
      </div>
    </section>
  )
}
