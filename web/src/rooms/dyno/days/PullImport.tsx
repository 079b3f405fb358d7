import {
  formatQuantity,
  knownColumns,
  PULL_ROLES,
  ROLE_QUANTITY,
  unitsOf,
  type KnownColumns,
  type PullMapping,
  type PullRead,
  type PullRole,
  type ReadPulls,
} from '@bold-ballast/core'
import { proxy, wrap, type Remote } from 'comlink'
import { useEffect, useRef, useState } from 'react'
import { useLazyDynoColumnsQuery } from '../../../store/api'
import { useBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { PULL_ROLE } from '@bold-ballast/words'
import type { Peek, ReadPullApi } from '../../../workers/readPull.worker'

const LARGEST_MB = 20
const BOX = 'w-full min-w-0 rounded-[3px] border border-edge bg-panel px-2 py-1 text-ink'
const ALWAYS: readonly PullRole[] = ['speed', 'torque', 'power']

const startWorker = () =>
  new Worker(new URL('../../../workers/readPull.worker.ts', import.meta.url), { type: 'module' })

/** Reads a dyno's or logger's file in a worker: columns are guessed or remembered and can be changed, bad rows are named before saving. */
export function PullImport({
  dyno,
  overalls,
  onRead,
}: {
  dyno: string
  overalls: readonly { name: string; ratio: number }[]
  onRead: (read: { pulls: readonly PullRead[]; columns: KnownColumns } | null, filename: string) => void
}) {
  const { unit } = useBuild()
  const [columnsOf] = useLazyDynoColumnsQuery()
  const [file, setFile] = useState<File | null>(null)
  const [peek, setPeek] = useState<Peek | null>(null)
  const [mapping, setMapping] = useState<PullMapping | null>(null)
  const [read, setRead] = useState<ReadPulls | null>(null)
  const [left, setLeft] = useState<ReadonlySet<number>>(new Set())
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
    // What was read another way isn't to be saved meanwhile.
    onRead(null, '')
    try {
      const result = await fresh().read(from, top, how, overalls, proxy(setProgress))
      setProgress(null)
      if (result.pulls.length === 0)
        return refuse(
          result.bad[0]
            ? `No row could be read. Line ${result.bad[0].line}: ${result.bad[0].problem}.`
            : 'No pull could be read: rows at two or more engine speeds are needed.',
        )
      setRead(result)
      setLeft(new Set())
      onRead({ pulls: result.pulls, columns: knownColumns(how, top.header) }, from.name)
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
      // Away from the server, the columns are guessed like a first file's.
      const { data } = await columnsOf(dyno)
      const top = await fresh().peek(chosen, (data?.columns as KnownColumns | null | undefined) ?? null)
      setPeek(top)
      setMapping(top.mapping)
      await readAll(chosen, top.mapping, top)
    } catch (error) {
      refuse((error as Error).message)
    }
  }
  const remap = (change: Partial<PullMapping>) => {
    if (!mapping || !peek || !file) return
    const next = { ...mapping, ...change }
    setMapping(next)
    void readAll(file, next, peek)
  }
  const stop = () => {
    worker.current?.own.terminate()
    refuse('Stopped. Choose the file again to go on.')
  }
  const leave = (index: number, out: boolean) => {
    if (!read || !mapping || !peek || !file) return
    const next = new Set(left)
    if (out) next.add(index)
    else next.delete(index)
    setLeft(next)
    const pulls = read.pulls.filter((_, i) => !next.has(i))
    onRead(pulls.length > 0 ? { pulls, columns: knownColumns(mapping, peek.header) } : null, file.name)
  }
  const roles = PULL_ROLES.filter((role) => ALWAYS.includes(role) || mapping?.[role])
  const unused = PULL_ROLES.filter((role) => !roles.includes(role))
  const free = peek?.header.findIndex((_, i) => !PULL_ROLES.some((r) => mapping?.[r]?.column === i)) ?? -1

  return (
    <div className="flex flex-col gap-3">
      <label className="flex flex-col gap-1 text-[13px] text-muted">
        CSV of a pull or a log: commas, semicolons or tabs, any column order
        <input
          type="file"
          accept=".csv,.txt,.tsv,text/csv,text/plain"
          className={BOX}
          onChange={(e) => e.target.files?.[0] && void open(e.target.files[0])}
        />
      </label>
      {peek && mapping && (
        <fieldset className="grid grid-cols-[1fr_1.4fr_1fr] items-end gap-2">
          <legend className="mb-1 text-[13px] text-muted">
            Which column holds what{peek.isRecalled && `: as last time on ${dyno}`}
          </legend>
          {roles.map((role) => {
            const choice = mapping[role]
            const words = PULL_ROLE[role].toLowerCase()
            return (
              <div key={role} className="contents">
                <span className="self-center">{PULL_ROLE[role]}</span>
                <select
                  aria-label={`Column of ${words}`}
                  className={BOX}
                  value={choice?.column ?? -1}
                  onChange={(e) =>
                    remap({
                      [role]:
                        Number(e.target.value) < 0
                          ? null
                          : { column: Number(e.target.value), unit: choice?.unit ?? null },
                    })
                  }
                >
                  <option value={-1}>not in the file</option>
                  {peek.header.map((title, i) => (
                    <option key={i} value={i}>
                      {title || `Column ${i + 1}`}
                    </option>
                  ))}
                </select>
                {role === 'run' ? (
                  <span />
                ) : (
                  <select
                    aria-label={`Unit of ${words}`}
                    className={`${BOX} ${choice && choice.unit === null ? 'border-oxide' : ''}`}
                    disabled={!choice}
                    value={choice?.unit ?? ''}
                    onChange={(e) =>
                      choice && remap({ [role]: { column: choice.column, unit: e.target.value || null } })
                    }
                  >
                    <option value="">{choice ? 'which unit?' : ''}</option>
                    {unitsOf(ROLE_QUANTITY[role]).map((u) => (
                      <option key={u.symbol}>{u.symbol}</option>
                    ))}
                  </select>
                )}
              </div>
            )
          })}
          <div className="col-span-3 flex flex-wrap gap-3">
            {unused.length > 0 && free >= 0 && (
              <select
                aria-label="Match one more column"
                className={`${BOX} !w-auto`}
                value=""
                onChange={(e) => e.target.value && remap({ [e.target.value]: { column: free, unit: null } })}
              >
                <option value="">Match one more column…</option>
                {unused.map((role) => (
                  <option key={role} value={role}>
                    {PULL_ROLE[role]}
                  </option>
                ))}
              </select>
            )}
            <label className="flex items-center gap-2 text-[13px] text-muted">
              Decimals with a
              <select
                className={`${BOX} !w-auto`}
                value={mapping.decimal}
                onChange={(e) => remap({ decimal: e.target.value as '.' | ',' })}
              >
                <option value=".">point</option>
                <option value=",">comma</option>
              </select>
            </label>
          </div>
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
          <ul className="my-1">
            {read.pulls.map((pull, i) => (
              <li key={i} className="border-t border-line py-1">
                {read.pulls.length > 1 && (
                  <label className="mr-2 inline-flex items-center gap-2 font-medium">
                    <input
                      type="checkbox"
                      className="size-4 accent-blued"
                      checked={!left.has(i)}
                      onChange={(e) => leave(i, !e.target.checked)}
                    />
                    {pull.name}:
                  </label>
                )}
                peak {formatQuantity(pull.rawPeakPower, unit('power'))} as logged,{' '}
                {formatQuantity(pull.peakPower, unit('power'))} on the grid
                {Object.keys(pull.channels).length > 0 &&
                  `, with ${Object.keys(pull.channels)
                    .map((c) => PULL_ROLE[c as PullRole].toLowerCase())
                    .join(', ')}`}
                {pull.agreement && !pull.agreement.agree && (
                  <p className="text-ochre">
                    Torque and power don’t agree (ratio {pull.agreement.ratio.toFixed(3)})
                    {pull.agreement.because ? `: ${pull.agreement.because}` : ''}. Torque is kept; check the
                    units.
                  </p>
                )}
                {pull.agreement?.agree && <p className="text-zinc">Torque and power agree.</p>}
              </li>
            ))}
          </ul>
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
