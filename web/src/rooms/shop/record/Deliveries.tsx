import { formatNumber } from '@bold-ballast/core'
import { keptDeliveries, type KeptDelivery } from '@bold-ballast/model'
import { useMemo } from 'react'
import { TableHead } from '../../../ui/TableHead'
import { useWorkLibrary } from '../../../store/useWorkLibrary'

/** Days that suppliers and shops promised, and when it came. */
export function Deliveries() {
  const library = useWorkLibrary()
  const bySupplier = useMemo(() => {
    const found = new Map<string, KeptDelivery[]>()
    for (const kept of keptDeliveries(library))
      found.set(kept.supplier, [...(found.get(kept.supplier) ?? []), kept])
    return [...found].sort(([a], [b]) => a.localeCompare(b))
  }, [library])
  if (bySupplier.length === 0) return null
  const right = 'px-2 text-right whitespace-nowrap tabular-nums'
  return (
    <section aria-label="Days that were promised" className="mt-5">
      <h2 className="text-[20px]">Days that were promised</h2>
      <div className="relative overflow-x-auto">
        <table className="mt-1 w-full max-w-[860px]" data-testid="deliveries">
          <caption className="sr-only">Days that suppliers and shops promised</caption>
          <TableHead
            columns={[
              { says: 'Who' },
              { says: 'Times', figures: true, className: 'px-2' },
              { says: 'Promised, days', figures: true, className: 'px-2' },
              { says: 'Came after, days', figures: true, className: 'px-2' },
              { says: 'Late, days', figures: true, className: 'px-2' },
            ]}
          />
          <tbody>
            {bySupplier.map(([supplier, kept]) => {
              const mean = (of: (k: KeptDelivery) => number) =>
                kept.reduce((sum, k) => sum + of(k), 0) / kept.length
              return (
                <tr key={supplier} className="border-b border-line">
                  <th scope="row" className="py-1 pr-2 text-left font-medium">
                    {supplier}
                    <span className="block text-[12.5px] font-normal text-muted">
                      {kept.map((k) => k.name).join(', ')}
                    </span>
                  </th>
                  <td className={right}>{kept.length}</td>
                  <td className={right}>
                    {formatNumber(
                      mean((k) => k.promised),
                      0,
                    )}
                  </td>
                  <td className={right}>
                    {formatNumber(
                      mean((k) => k.taken),
                      0,
                    )}
                  </td>
                  <td className={`${right} figure text-[17px]`}>
                    {formatNumber(
                      mean((k) => k.taken - k.promised),
                      0,
                    )}
                  </td>
                </tr>
              )
            })}
          </tbody>
        </table>
      </div>
    </section>
  )
}
