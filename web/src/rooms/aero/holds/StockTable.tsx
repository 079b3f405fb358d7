import type { Stock } from './useStocks'
import { formatNumber, fromSi, leastSandwich, USUAL_SHEET_CURRENCY } from '@bold-ballast/core'
import { formatMoney } from '@bold-ballast/words'
import { useMay } from '../../../store/me'
import { useBuild } from '../../../store/useBuild'
import { TableHead } from '../../../ui/TableHead'
import type { PanelFigures } from '@bold-ballast/model'
import { mm, sizeMm, times, tone } from './safetyTone'

/** The sheets side by side at the load of a panel; the one it is cut from stands out. */
export function StockTable({
  name,
  rows,
  own,
  wanted,
  speed,
}: {
  name: string
  rows: readonly PanelFigures<Stock>[]
  own: PanelFigures<Stock>
  wanted: number
  /** m/s */
  speed: number
}) {
  const { view, unit } = useBuild()
  const seesMoney = useMay('money')
  const mass = unit('mass')
  return (
    <div
      className="relative mt-2 overflow-x-auto"
      role="region"
      aria-label={`Sheets for ${name}`}
      tabIndex={0}
    >
      <table
        className="w-full max-w-[900px] whitespace-nowrap [&_td]:pl-4 [&_thead_th]:pl-4 [&_thead_th:first-child]:pl-0"
        data-testid="sheets"
      >
        <TableHead
          columns={[
            { says: 'Sheet' },
            { says: `Mass (${mass.symbol})`, figures: true },
            { says: 'Bends (mm)', figures: true },
            { says: 'Lip (mm)', figures: true },
            { says: 'In hand', figures: true },
            ...(seesMoney ? [{ says: 'Price', figures: true }] : []),
          ]}
        />
        <tbody>
          {rows.map((r, i) => {
            const isOwn = r.sheet.key === own.sheet.key && Math.abs(r.thickness - own.thickness) < 5e-5
            return (
              <tr
                key={`${r.sheet.key} ${r.thickness}`}
                className={`border-b border-line ${isOwn ? 'bg-panel font-medium' : ''}`}
              >
                <th scope="row" className="py-1 text-left font-medium">
                  {sizeMm(r.thickness)} mm {r.sheet.says}
                  {isOwn && <span className="unit"> as built</span>}
                  {r.thickness < leastSandwich(r.sheet.material, speed) && (
                    <span className="block text-[12.5px] font-normal text-ochre">
                      thinner than is trusted at this speed
                    </span>
                  )}
                  {r.sheet.key !== rows[i - 1]?.sheet.key && (
                    <span className="block text-[12.5px] font-normal text-muted">{r.sheet.note}</span>
                  )}
                </th>
                <td className="figure text-right text-[17px]">{formatNumber(fromSi(r.mass, mass), 1)}</td>
                <td className="figure text-right text-[17px]">{mm(r.bends)}</td>
                <td className="figure text-right text-[17px]">{mm(r.droops)}</td>
                <td className={`figure text-right text-[17px] ${tone(r.safety, wanted)}`}>
                  {times(r.safety)}
                </td>
                {seesMoney && (
                  <td className="figure text-right text-[17px]">
                    {formatMoney(r.price, r.sheet.stock ? view.build.currency : USUAL_SHEET_CURRENCY, 0)}
                  </td>
                )}
              </tr>
            )
          })}
        </tbody>
      </table>
    </div>
  )
}
