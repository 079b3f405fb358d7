import { itemAt } from '@bold-ballast/core'
import type { HistoryEntry } from '@bold-ballast/contract'
import { format, parseISO } from 'date-fns'
import { useState } from 'react'
import { problemOf, useHistoryEntryQuery, useHistoryQuery } from '../../../store/api'
import { useBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { EmptyRoom } from '../../../ui/EmptyRoom'
import { changesOf } from '../../../store/changesOf'
import { ChangeList } from '../../../ui/ChangeList'
import { CompareDates } from './CompareDates'
import { EarlierFile } from './EarlierFile'

const when = (at: string) => format(parseISO(at), 'd MMM yyyy, HH:mm')

/** What was done to the build, when and by whom, with before and after; and the build as it was on two dates. */
export function HistoryView() {
  const { buildId } = useBuild()
  const [pages, setPages] = useState<readonly (string | null)[]>([null])
  const { data, error } = useHistoryQuery({ buildId, before: itemAt(pages, -1) })
  if (error)
    return (
      <p role="alert" className="text-oxide">
        {problemOf(error).detail}
      </p>
    )
  if (!data) return null
  if (data.entries.length === 0 && pages.length === 1)
    return (
      <section aria-label="History">
        <EmptyRoom title="Nothing was done yet">
          Every change is listed here with its time, who made it, and what it was before and after. The build
          can be seen as it was on any date, and two dates compared.
        </EmptyRoom>
      </section>
    )
  // A page ends with something that was done to records; what became of files stands between.
  const batches = data.entries.filter((entry) => entry.file === null)
  return (
    <section aria-label="History">
      <CompareDates oldest={batches.filter((e) => e.isKept).at(-1)?.at ?? null} />
      <h2 className="mt-5 text-[19px]">What was done</h2>
      <ol className="max-w-[980px]" data-testid="history">
        {data.entries.map((entry) => (
          <Entry key={entry.id} entry={entry} />
        ))}
      </ol>
      <p className="mt-2 flex gap-2">
        {pages.length > 1 && <Button onClick={() => setPages(pages.slice(0, -1))}>Newer</Button>}
        {data.isMore && <Button onClick={() => setPages([...pages, itemAt(batches, -1).id])}>Older</Button>}
      </p>
    </section>
  )
}

function Entry({ entry }: { entry: HistoryEntry }) {
  const [isOpen, setOpen] = useState(false)
  return (
    <li className="border-b border-line py-1.5">
      <div className="flex flex-wrap items-baseline gap-x-4">
        <span className="w-[150px] text-[13px] text-muted">
          {when(entry.at)}
          {entry.madeAt && <span className="block">done {when(entry.madeAt)}, by that device’s clock</span>}
        </span>
        <span className="min-w-[200px] flex-1 font-medium">
          {entry.label}{' '}
          <span className="text-[13px] font-normal text-muted">{entry.author || 'nobody named'}</span>
        </span>
        <span className="text-[13px] text-muted">
          {entry.file ? 'file' : `${entry.records} ${entry.records === 1 ? 'record' : 'records'}`}
        </span>
        <Button look="quiet" className="!px-1" aria-expanded={isOpen} onClick={() => setOpen(!isOpen)}>
          {isOpen ? 'Hide' : 'Show'}
          <span className="sr-only"> {entry.label}</span>
        </Button>
      </div>
      {isOpen &&
        (entry.file ? (
          <EarlierFile id={entry.id} label={entry.label} file={entry.file} />
        ) : (
          <Detail batchId={entry.id} />
        ))}
    </li>
  )
}

function Detail({ batchId }: { batchId: string }) {
  const { buildId } = useBuild()
  const { data, error } = useHistoryEntryQuery({ buildId, batchId })
  if (error) return <p className="text-oxide">{problemOf(error).detail}</p>
  return data ? <ChangeList changes={changesOf(data)} /> : null
}
