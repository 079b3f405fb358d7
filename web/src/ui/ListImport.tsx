import { type CsvRead } from '@bold-ballast/words'
import { useState, type ReactNode } from 'react'
import { Button } from './Button'
import { SideSheet } from './SideSheet'

/** A list from a CSV: what will be added and every bad row, before anything is saved. */
export function ListImport<T>({
  title,
  field,
  things,
  children,
  read,
  says,
  onAdd,
  onClose,
}: {
  title: string
  /** What the file is, beside the button that opens it. */
  field: string
  /** What its rows are called, one and several. */
  things: readonly [string, string]
  /** Which columns are wanted. */
  children: ReactNode
  read: (text: string) => CsvRead<T>
  says: (record: T) => string
  /** Saves them; a fault keeps the sheet open. */
  onAdd: (records: readonly T[]) => string | null
  onClose: () => void
}) {
  const [found, setFound] = useState<CsvRead<T> | null>(null)
  const [fault, setFault] = useState<string | null>(null)
  const count = (n: number) => `${n} ${things[n === 1 ? 0 : 1]}`
  const open = async (file: File) => {
    if (file.size > 1_000_000) return setFault(`${file.name} has over 1 MB; that is no such list.`)
    setFault(null)
    setFound(read(await file.text()))
  }
  const add = () => {
    const problem = found && onAdd(found.records)
    if (problem) return setFault(problem)
    onClose()
  }
  return (
    <SideSheet open onClose={onClose} title={title}>
      <p className="mb-3 text-muted">{children}</p>
      <label className="flex flex-col gap-1 text-[13px] text-muted">
        {field}
        <input
          type="file"
          accept=".csv,.txt,text/csv,text/plain"
          className="rounded-[3px] border border-edge bg-panel px-2 py-1 text-ink"
          onChange={(e) => e.target.files?.[0] && void open(e.target.files[0])}
        />
      </label>
      {fault && (
        <p role="alert" className="mt-2 text-oxide">
          {fault}
        </p>
      )}
      {found && (
        <div className="mt-3" data-testid="import-list">
          <p className="font-medium">
            {count(found.records.length)}, {found.bad.length} left out
          </p>
          <ul className="max-h-[240px] overflow-y-auto text-[13.5px]">
            {found.bad.map(({ line, problem }) => (
              <li key={line} className="text-oxide">
                Line {line}: {problem}
              </li>
            ))}
            {found.records.map((record, i) => (
              <li key={i}>{says(record)}</li>
            ))}
          </ul>
          <Button look="main" className="mt-3 w-full" disabled={found.records.length === 0} onClick={add}>
            Add {count(found.records.length)}
          </Button>
        </div>
      )}
    </SideSheet>
  )
}
