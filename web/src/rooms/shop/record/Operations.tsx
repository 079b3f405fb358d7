import { formatNumber } from '@bold-ballast/core'
import { operationsOf, timesToPayBack, type Operation } from '@bold-ballast/model'
import { hoursOf } from '@bold-ballast/words'
import { useMemo, useState } from 'react'
import { QuantityField } from '../../../ui/QuantityField'
import { useWorkLibrary } from '../../../store/useWorkLibrary'

const HOUR = { symbol: 'h', factor: 3600, decimals: 1, aliases: [] } as const

/** What comes again: hours each time, and when a quick release would have paid back. */
export function Operations() {
  const library = useWorkLibrary()
  const operations = useMemo(() => operationsOf(library), [library])
  if (operations.length === 0) return null
  return (
    <section aria-label="What comes again" className="mt-5">
      <h2 className="text-[20px]">What comes again</h2>
      <ul>
        {operations.map((operation) => (
          <OperationRow key={operation.name} operation={operation} />
        ))}
      </ul>
    </section>
  )
}

function OperationRow({ operation }: { operation: Operation }) {
  const [quick, setQuick] = useState<number | null>(null)
  const [making, setMaking] = useState<number | null>(null)
  const times = quick !== null && making !== null ? timesToPayBack(operation.mean, quick, making) : undefined
  return (
    <li className="border-b border-line py-2" data-testid={`operation-${operation.name}`}>
      <div className="flex flex-wrap items-baseline justify-between gap-x-4">
        <span>
          <span className="font-medium">{operation.name}</span>{' '}
          <span className="text-[13.5px] text-muted">
            {operation.times.length} {operation.times.length === 1 ? 'time' : 'times'}:{' '}
            {operation.times.map((t) => formatNumber(t.taken / 3600, 1)).join(', ')} h
          </span>
        </span>
        <span className="figure text-[17px] whitespace-nowrap">
          {hoursOf(operation.mean)}
          {operation.spread !== null && <span className="text-muted"> ± {hoursOf(operation.spread)}</span>}
        </span>
      </div>
      <div className="mt-1 flex flex-wrap items-end gap-3">
        <div className="w-[130px]">
          <QuantityField
            label="With a quick release"
            quantity="time"
            unit={HOUR}
            value={quick}
            onChange={setQuick}
          />
        </div>
        <div className="w-[130px]">
          <QuantityField label="To make it" quantity="time" unit={HOUR} value={making} onChange={setMaking} />
        </div>
        <p className="min-w-[220px] flex-1 pb-1 text-[14px]" aria-live="polite">
          {times === undefined
            ? 'What a quick release would take shows after how many times it has paid back.'
            : times === null
              ? 'It would save nothing.'
              : `It has paid back after ${times} ${times === 1 ? 'time' : 'times'}${times <= operation.times.length ? ': it would have already' : ''}.`}
        </p>
      </div>
    </li>
  )
}
