import { formatFigure, formatNumber, lapParts, type Lap } from '@bold-ballast/core'
import { useMemo } from 'react'
import { useBuild } from '../../../store/useBuild'
import { TableHead } from '../../../ui/TableHead'

/** The lap by sectors; nothing where nobody cut it. */
export function SectorTable({ lap, sectors }: { lap: Lap; sectors: readonly (readonly [number, number])[] }) {
  const { unit } = useBuild()
  const velocity = unit('velocity')
  const parts = useMemo(() => lapParts(lap, sectors), [lap, sectors])
  if (sectors.length < 2) return null
  const right = 'px-1 text-right whitespace-nowrap tabular-nums'
  return (
    <section aria-label="Sectors" className="mt-4">
      <h2 className="text-[19px]">Sectors</h2>
      <table className="w-full max-w-[560px]" data-testid="sectors">
        <caption className="sr-only">Time by sector</caption>
        <TableHead
          columns={[
            { says: 'Sector', className: 'px-1' },
            { says: 'To, m', figures: true, className: 'px-1' },
            { says: 'Least', figures: true, className: 'px-1' },
            { says: `Most, ${velocity.symbol}`, figures: true, className: 'px-1' },
            { says: 's', figures: true, className: 'px-1' },
          ]}
        />
        <tbody>
          {parts.map((part, i) => (
            <tr key={part.from} className="border-b border-line">
              <th scope="row" className="px-1 py-1 text-left font-medium">
                {i + 1}
              </th>
              <td className={right}>{formatNumber(part.to, 0)}</td>
              <td className={right}>{formatFigure(part.slowest, velocity, 0)}</td>
              <td className={right}>{formatFigure(part.fastest, velocity, 0)}</td>
              <td className={`${right} figure text-[17px]`}>{formatNumber(part.time, 2)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  )
}
