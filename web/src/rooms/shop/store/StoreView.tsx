import { FATE, FATES, putEdit, SYSTEM, withoutVersion, type Line } from '@bold-ballast/contract'
import { formatQuantity } from '@bold-ballast/core'
import { useState } from 'react'
import { useMay } from '../../../store/me'
import { useBuild } from '../../../store/useBuild'
import { useMoney } from '../../../store/useMoney'
import { Button } from '../../../ui/Button'
import { Choose } from '../../../ui/Choose'
import { TableHead } from '../../../ui/TableHead'
import { FateSheet } from './FateSheet'
import { WantedFromStore } from './WantedFromStore'

type Shown = Line['fate'] | 'all'

/** What came off and what became of it: where it lies, what it was sold for; and what lies in the store that a build could use. */
export function StoreView() {
  const { view, save, unit } = useBuild()
  const seesMoney = useMay('money')
  const mayChange = useMay('log')
  const money = useMoney(view.build.currency)
  const [shows, setShows] = useState<Shown>('unsaid')
  const [open, setOpen] = useState<string | null>(null)
  const off = view.lines.filter((line) => line.kind === 'off' && line.role === 'part' && line.fitted)
  const carried = view.lines.filter((line) => line.kind === 'carried').length
  const shown = off.filter((line) => shows === 'all' || line.fate === shows)
  const count = (fate: Line['fate']) => off.filter((line) => line.fate === fate).length
  const sold = off.reduce(
    (sum, line) => sum + (line.fate === 'sold' ? (line.soldFor ?? 0) * line.quantity : 0),
    0,
  )
  const kg = unit('mass')
  const right = 'px-2 text-right whitespace-nowrap tabular-nums'
  return (
    <section aria-label="Store" className="max-w-[1100px]">
      <p className="text-[17px]" data-testid="store-says">
        {off.length === 0
          ? 'Nothing has come off yet.'
          : `${off.length} parts came off: ${count('stored')} kept, ${count('sold')} sold${seesMoney && sold > 0 ? ` for ${money(sold)}` : ''}, ${count('scrapped')} scrapped, ${count('unsaid')} undecided${carried > 0 ? `; ${carried} carried over to what took their place` : ''}.`}
      </p>
      <WantedFromStore />
      {off.length > 0 && (
        <>
          <div className="mt-3 flex">
            <Choose
              wide={false}
              label="What came off and is"
              value={shows}
              options={[
                ...FATES.map(
                  (fate) =>
                    [fate, `${fate === 'unsaid' ? 'undecided' : FATE[fate]} (${count(fate)})`] as const,
                ),
                ['all', `anything (${off.length})`],
              ]}
              onChange={(v) => setShows(v ?? 'all')}
            />
          </div>
          <div className="relative overflow-x-auto">
            <table className="mt-1 w-full" data-testid="store">
              <caption className="sr-only">What came off</caption>
              <TableHead
                columns={[
                  { says: 'Part' },
                  { says: 'Mass', figures: true, className: 'px-2' },
                  { says: 'What became of it', className: 'px-2' },
                  { says: 'Lies where', className: 'px-2 @max-2xl:hidden' },
                  ...(seesMoney
                    ? [{ says: 'Sold for', figures: true, className: 'px-2 @max-2xl:hidden' }]
                    : []),
                  { says: 'Change', unseen: true },
                ]}
              />
              <tbody>
                {shown.map((line) => (
                  <tr key={line.id} className="border-b border-line">
                    <th scope="row" className="py-1 pr-2 text-left font-medium">
                      {line.quantity > 1 && `${line.quantity} × `}
                      {line.name}{' '}
                      <span className="text-[12.5px] font-normal text-muted">{SYSTEM[line.system]}</span>
                      <span className="block text-[12.5px] font-normal @2xl:hidden">
                        {[
                          line.liesAt,
                          seesMoney && line.soldFor !== null && money(line.soldFor * line.quantity),
                        ]
                          .filter(Boolean)
                          .join(' · ')}
                      </span>
                    </th>
                    <td className={right}>{formatQuantity(line.mass * line.quantity, kg)}</td>
                    <td className="px-2">
                      <select
                        aria-label={`What became of ${line.name}`}
                        disabled={!mayChange}
                        className="rounded-[3px] border border-edge bg-panel px-2 py-1 text-ink"
                        value={line.fate}
                        onChange={(e) =>
                          save(`${line.name}: ${FATE[e.target.value as Line['fate']]}`, [
                            putEdit(view, 'line', {
                              ...withoutVersion(line),
                              fate: e.target.value as Line['fate'],
                            }),
                          ])
                        }
                      >
                        {FATES.map((fate) => (
                          <option key={fate} value={fate}>
                            {fate === 'unsaid' ? 'undecided' : FATE[fate]}
                          </option>
                        ))}
                      </select>
                    </td>
                    <td className="px-2 text-[14px] @max-2xl:hidden">{line.liesAt || '–'}</td>
                    {seesMoney && (
                      <td className={`${right} @max-2xl:hidden`}>
                        {line.soldFor === null ? '–' : money(line.soldFor * line.quantity)}
                      </td>
                    )}
                    <td className="text-right">
                      <Button look="quiet" className="!px-1" onClick={() => setOpen(line.id)}>
                        Change<span className="sr-only"> {line.name}</span>
                      </Button>
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        </>
      )}
      {open !== null && <FateSheet key={open} lineId={open} onClose={() => setOpen(null)} />}
    </section>
  )
}
