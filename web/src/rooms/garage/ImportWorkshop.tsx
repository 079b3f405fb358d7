import type { AlreadyHere, WorkshopImported } from '@bold-ballast/contract'
import { format, parseISO } from 'date-fns'
import { useEffect, useState } from 'react'
import { problemOf, useBringWorkshopMutation } from '../../store/api'
import { Button } from '../../ui/Button'
import { Choice } from '../../ui/Choice'

const FATE: Record<WorkshopImported['builds'][number]['fate'], string> = {
  new: 'new here',
  copied: 'as a copy, without its history',
  left: 'here already, left alone',
}
const HERE = [
  ['leave', 'Leave them alone'],
  ['copy', 'Bring copies'],
] as const
const count = (n: number, one: string, many: string) => `${n} ${n === 1 ? one : many}`

/** A workshop's file: looked through by the server first, then taken in, all or nothing. */
export function ImportWorkshop({ file }: { file: File }) {
  const [here, setHere] = useState<AlreadyHere>('leave')
  const [bring, { error, isLoading }] = useBringWorkshopMutation()
  const [report, setReport] = useState<WorkshopImported | null>(null)
  useEffect(() => {
    void bring({ file, here, look: true }).then(({ data }) => setReport(data ?? null))
  }, [bring, file, here])
  if (error)
    return (
      <div role="alert" className="mt-3 max-w-[720px] rounded-[4px] border border-oxide p-3">
        <p className="font-medium">{file.name} was not imported. Nothing has changed.</p>
        <p className="mt-1 text-[13px]">{problemOf(error).detail}</p>
      </div>
    )
  if (!report) return <p className="mt-3 text-muted">{isLoading ? `Looking through ${file.name} …` : ''}</p>
  const coming = report.builds.filter((b) => b.fate !== 'left').length
  const anyHere = here === 'copy' || report.builds.some((b) => b.fate === 'left')
  return (
    <div
      className="mt-3 max-w-[720px] rounded-[4px] border border-edge bg-panel p-3"
      data-testid="workshop-file"
    >
      <p className="font-medium">
        {report.name}, exported {format(parseISO(report.exportedAt), 'd MMMM yyyy, HH:mm')}
      </p>
      <ul className="mt-1 mb-3">
        {report.builds.map((b, i) => (
          <li key={i} className="flex flex-wrap justify-between gap-x-4 border-b border-line py-1">
            <span>
              {b.name}{' '}
              <span className="text-[13px] text-muted">
                {count(b.stages, 'stage', 'stages')}, {count(b.lines, 'line', 'lines')}
              </span>
            </span>
            <span className={b.fate === 'left' ? 'text-muted' : ''}>{FATE[b.fate]}</span>
          </li>
        ))}
      </ul>
      {report.isDone ? (
        <p role="status" className="text-zinc">
          {count(coming, 'build', 'builds')} brought in.
        </p>
      ) : (
        <div className="flex flex-wrap items-end gap-3">
          {anyHere && (
            <div>
              <p className="mb-1 text-[13px] text-muted">Builds that are here already</p>
              <Choice label="Builds that are here already" value={here} options={HERE} onChange={setHere} />
            </div>
          )}
          <Button
            look="main"
            disabled={isLoading || coming === 0}
            onClick={() =>
              void bring({ file, here, look: false }).then(({ data }) => data && setReport(data))
            }
          >
            Bring in {count(coming, 'build', 'builds')}
          </Button>
        </div>
      )}
    </div>
  )
}
