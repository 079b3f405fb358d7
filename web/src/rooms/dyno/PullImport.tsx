import {
  PULL_ROLES,
  ROLE_QUANTITY,
  unitsOf,
  type PullMapping,
  type PullRole,
  type ReadPull,
} from '@bold-ballast/core'
import { proxy, wrap, type Remote } from 'comlink'
import { useEffect, useRef, useState } from 'react'
import { Button } from '../../ui/Button'
import type { Peek, ReadPullApi } from '../../workers/readPull.worker'

const LARGEST_MB = 20
const ROLE_WORDS: Record<PullRole, string> = { speed: 'Engine speed', torque: 'Torque', power: 'Power' }
const BOX = 'rounded-[3px] border border-edge bg-panel px-2 py-1 text-ink'

const startWorker = () =>
  new Worker(new URL('../../workers/readPull.worker.ts', import.meta.url), { type: 'module' })

/** Reads a dyno file in a worker: columns are guessed and can be changed, bad rows are named before saving. */
export function PullImport({ onRead }: { onRead: (read: ReadPull | null, filename: string) => void }) {
  const [file, setFile] = useState<File | null>(null)
  const [peek, setPeek] = useState<Peek | null>(null)
  const [mapping, setMapping] = useState<PullMapping | null>(null)
  const [read, setRead] = useState<ReadPull | null>(null)
  const [progress, setProgress] = useState<number | null>(null)
  const [problem, setProblem] = useState<string | null>(null)
  const worker = useRef<{ own: Worker; api: Remote<ReadPullApi> } | null>(null)
  useEffect(() => () => worker.current?.own.terminate(), [])

  const fresh = () => {
    worker.current?.own.terminate()
    const own = startWorker()
    worker.current = { own, api: wrap<ReadPullApi>(own) }
    return worker.current.api
  }
  const refuse = (words: string) => {
    setProblem(words)
    setProgress(null)
    setRead(null)
    onRead(null, '')
  }
  const readAll = async (from: File, how: PullMapping, top: Peek) => {
    setProblem(null)
    setProgress(0)
    try {
      const result = await fresh().read(from, how, top.linesBefore, proxy(setProgress))
      setProgress(null)
      if (result.points.length < 2)
        return refuse(
          result.bad[0]
            ? `No row could be read. Line ${result.bad[0].line}: ${result.bad[0].problem}.`
            : 'No row could be read.',
        )
      setRead(result)
      onRead(result, from.name)
    } catch (error) {
      refuse(`${capital((error as Error).message)}.`)
    }
  }
  const open = async (chosen: File) => {
    setFile(chosen)
    setPeek(null)
    setRead(null)
    if (chosen.size === 0) return refuse(`${chosen.name} is empty. Export the pull again.`)
    if (chosen.size > LARGEST_MB * 1048576)
      return refuse(
        `${chosen.name} has ${(chosen.size / 1048576).toFixed(0)} MB; ${LARGEST_MB} MB is the most. Export only the pull, with engine speed and torque or power.`,
      )
    try {
      const top = await fresh().peek(chosen)
      setPeek(top)
      setMapping(top.mapping)
      await readAll(chosen, top.mapping, top)
    } catch (error) {
      refuse((error as Error).message)
    }
  }
  const remap = (role: PullRole, column: number, unit: string | null) => {
    if (!mapping || !peek || !file) return
    const next: PullMapping = { ...mapping, [role]: column < 0 ? null : { column, unit } }
    setMapping(next)
    void readAll(file, next, peek)
  }
  const stop = () => {
    worker.current?.own.terminate()
    refuse('Stopped. Choose the file again to go on.')
  }

  return (
    <div className="flex flex-col gap-3">
      <label className="flex flex-col gap-1 text-[13px] text-muted">
        CSV of the pull: commas, semicolons or tabs, any column order
        <input
          type="file"
          accept=".csv,.txt,.tsv,text/csv,text/plain"
          className={BOX}
          onChange={(e) => e.target.files?.[0] && void open(e.target.files[0])}
        />
      </label>
      {peek && mapping && (
        <fieldset className="grid grid-cols-[1fr_1.4fr_1fr] items-end gap-2">
          <legend className="mb-1 text-[13px] text-muted">Which column holds what</legend>
          {PULL_ROLES.map((role) => {
            const choice = mapping[role]
            return (
              <div key={role} className="contents">
                <span className="self-center">{ROLE_WORDS[role]}</span>
                <select
                  aria-label={`Column of ${ROLE_WORDS[role].toLowerCase()}`}
                  className={BOX}
                  value={choice?.column ?? -1}
                  onChange={(e) => remap(role, Number(e.target.value), choice?.unit ?? null)}
                >
                  <option value={-1}>not in the file</option>
                  {peek.header.map((title, i) => (
                    <option key={i} value={i}>
                      {title || `Column ${i + 1}`}
                    </option>
                  ))}
                </select>
                <select
                  aria-label={`Unit of ${ROLE_WORDS[role].toLowerCase()}`}
                  className={`${BOX} ${choice && choice.unit === null ? 'border-oxide' : ''}`}
                  disabled={!choice}
                  value={choice?.unit ?? ''}
                  onChange={(e) => remap(role, choice!.column, e.target.value || null)}
                >
                  <option value="">{choice ? 'which unit?' : ''}</option>
                  {unitsOf(ROLE_QUANTITY[role]).map((u) => (
                    <option key={u.symbol}>{u.symbol}</option>
                  ))}
                </select>
              </div>
            )
          })}
        </fieldset>
      )}
      {progress !== null && (
        <div className="flex items-center gap-3">
          <progress value={progress} max={1} aria-label="Reading the file" className="flex-1" />
          <span>{Math.round(progress * 100)} %</span>
          <Button onClick={stop}>Stop</Button>
        </div>
      )}
      {problem && (
        <p role="alert" className="text-oxide">
          {problem}
        </p>
      )}
      {read && (
        <div className="rounded-[3px] border border-edge p-3 text-[13px]" data-testid="import-preview">
          <p className="font-medium">
            {read.rows.toLocaleString('en-GB')} rows read,{' '}
            {read.badCount === 0 ? 'none' : read.badCount.toLocaleString('en-GB')} left out
          </p>
          {read.notes.map((note) => (
            <p key={note}>{note}</p>
          ))}
          {read.agreement && !read.agreement.agree && (
            <p className="text-ochre">
              Torque and power don’t agree (ratio {read.agreement.ratio.toFixed(3)})
              {read.agreement.because ? `: ${read.agreement.because}` : ''}. Torque is kept; check the units.
            </p>
          )}
          {read.agreement?.agree && <p className="text-zinc">Torque and power agree.</p>}
          {read.bad.length > 0 && (
            <details open={read.badCount < 8} className="mt-1">
              <summary>Rows left out</summary>
              <ul className="max-h-[140px] overflow-y-auto">
                {read.bad.map((b) => (
                  <li key={b.line}>
                    Line {b.line}: {b.problem}
                  </li>
                ))}
              </ul>
            </details>
          )}
        </div>
      )}
    </div>
  )
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1).replace(/\.$/, '')
