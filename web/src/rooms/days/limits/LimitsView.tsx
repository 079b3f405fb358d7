import { LIMIT_BY, type Limit } from '@bold-ballast/contract'
import { formatQuantity } from '@bold-ballast/core'
import { useMemo } from 'react'
import { useBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { EmptyRoom } from '../../../ui/EmptyRoom'
import { RowButtons } from '../../../ui/RowButtons'
import { TableHead } from '../../../ui/TableHead'
import { HEALTH_TONE } from '../healthTone'
import { worstReadings } from './worstReadings'

const SAYS = { go: 'within', look: 'close', stop: 'beyond' } as const

/** Limits of readings, with the worst that was read of each this season. */
export function LimitsView({ onLimit }: { onLimit: (id: string | null) => void }) {
  const { view, unit, removeSaying } = useBuild()
  const worst = useMemo(() => worstReadings(view), [view])
  if (view.limits.length === 0)
    return (
      <EmptyRoom
        title="No limits yet"
        action={
          <Button look="main" onClick={() => onLimit(null)}>
            Set a limit
          </Button>
        }
      >
        Oil and coolant temperature, oil pressure by engine speed, mixture, the current of a pump: what a
        reading must not pass. Then each run ends with go on, look first, or stop.
      </EmptyRoom>
    )
  const bounds = (limit: Limit, side: 'low' | 'high') =>
    limit[side]
      .map((p) => {
        const value = formatQuantity(p.value, unit(limit.quantity))
        if (limit.by === 'nothing') return value
        return `${value} at ${formatQuantity(p.at, unit(limit.by === 'engineSpeed' ? 'engineSpeed' : 'temperature'), 0)}`
      })
      .join(', ') || '–'
  return (
    <section aria-label="Limits" className="relative overflow-x-auto">
      <table className="w-full max-w-[980px]" data-testid="limits">
        <caption className="sr-only">Limits of readings</caption>
        <TableHead
          columns={[
            { says: 'What' },
            { says: 'Not below', className: 'px-2' },
            { says: 'Not above', className: 'px-2' },
            { says: 'Worst so far', className: 'px-2' },
            { says: 'Change', unseen: true },
          ]}
        />
        <tbody>
          {[...view.limits]
            .sort((a, b) => a.order - b.order)
            .map((limit) => {
              const read = worst.get(limit.name.trim().toLowerCase())
              return (
                <tr key={limit.id} className="border-b border-line align-top">
                  <th scope="row" className="py-1.5 text-left font-medium">
                    {limit.name}
                    <span className="block text-[12.5px] font-normal text-muted">
                      {limit.by !== 'nothing' && `by ${LIMIT_BY[limit.by]}. `}
                      {limit.note}
                    </span>
                  </th>
                  <td className="px-2 py-1.5 tabular-nums">{bounds(limit, 'low')}</td>
                  <td className="px-2 py-1.5 tabular-nums">{bounds(limit, 'high')}</td>
                  <td className="px-2 py-1.5">
                    {read ? (
                      <>
                        <span className={`tabular-nums ${HEALTH_TONE[read.health]}`}>
                          {formatQuantity(read.value, unit(limit.quantity))}, {SAYS[read.health]}
                        </span>
                        <span className="block text-[12.5px] text-muted">{read.where}</span>
                      </>
                    ) : (
                      <span className="text-muted">never read</span>
                    )}
                  </td>
                  <td className="py-1 text-right whitespace-nowrap">
                    <RowButtons
                      name={limit.name}
                      recordId={limit.id}
                      onChange={() => onLimit(limit.id)}
                      onRemove={() => removeSaying('limit', limit.id, limit.name)}
                    />
                  </td>
                </tr>
              )
            })}
        </tbody>
      </table>
    </section>
  )
}
