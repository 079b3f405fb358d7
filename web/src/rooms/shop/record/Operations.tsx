import { REGISTRY, putEdit, withoutVersion, type QuickRelease } from '@bold-ballast/contract'
import { formatNumber } from '@bold-ballast/core'
import { operationsOf, timesToPayBack, type Operation } from '@bold-ballast/model'
import { hoursOf } from '@bold-ballast/words'
import { useEffect, useMemo, useState } from 'react'
import { useBuild } from '../../../store/useBuild'
import { forgetText, keepText, keptText } from '../../../ui/keptText'
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

/** Two of the same name are the same, however they are written. */
const sameName = (a: string, b: string) => a.trim().toLowerCase() === b.trim().toLowerCase()

type Typed = Partial<Pick<QuickRelease, 'takes' | 'making'>>

function OperationRow({ operation }: { operation: Operation }) {
  const { view, save } = useBuild()
  const known = view.quickReleases.find((one) => sameName(one.operation, operation.name))
  const key = `quickRelease.${view.build.id}.${operation.name}`
  // What is typed and not left yet outlives a reload.
  const [typed, setTyped] = useState<Typed>(() => keptText<Typed>(key) ?? {})
  useEffect(() => {
    if (Object.keys(typed).length > 0) keepText(key, typed)
    else forgetText(key)
  }, [key, typed])
  const { takes, making } = { takes: known?.takes ?? null, making: known?.making ?? null, ...typed }
  const record = {
    ...(known ? withoutVersion(known) : { id: view.build.id, operation: operation.name, note: '' }),
    takes,
    making,
  }
  const issues = REGISTRY.quickRelease.record.safeParse(record).error?.issues ?? []
  const isReadable = issues.length === 0
  const keep = () => {
    if (!isReadable || Object.keys(typed).length === 0) return
    setTyped({})
    const id = known?.id ?? crypto.randomUUID()
    save(`Quick release: ${operation.name}`, [putEdit(view, 'quickRelease', { ...record, id })])
  }
  const field = (name: 'takes' | 'making', label: string) => (
    <div className="w-[130px]">
      <QuantityField
        label={label}
        quantity="time"
        unit={HOUR}
        value={name === 'takes' ? takes : making}
        problem={issues.find((issue) => issue.path[0] === name)?.message}
        onChange={(si) => setTyped({ ...typed, [name]: si })}
        onBlur={keep}
      />
    </div>
  )
  const times =
    isReadable && takes !== null && making !== null
      ? timesToPayBack(operation.mean, takes, making)
      : undefined
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
        {field('takes', 'With a quick release')}
        {field('making', 'To make it')}
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
