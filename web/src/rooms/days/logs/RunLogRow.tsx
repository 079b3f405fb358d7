import { blankLap, putEdit, withoutVersion, type Run } from '@bold-ballast/contract'
import { formatNumber, formatQuantity, logCsv, type LogLaps, type RunLog } from '@bold-ballast/core'
import { leastSpeeds, timesThatCount, type DayLine } from '@bold-ballast/model'
import type { ReactNode } from 'react'
import { useBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { download } from '../../../ui/download'
import { MayOnly } from '../../../ui/MayOnly'
import { sayTime } from '../sayTime'
import { sayFault } from './sayFault'
import type { LookedAt } from './useLogsLook'

/** A typed lap and a logged one that lie farther apart are said to, s. */
const AGREE = 0.3
const thousandth = (seconds: number) => Math.round(seconds * 1000) / 1000
/** Farther beside the line it is another track, m. */
const ELSEWHERE = 30

/** Least speeds of the best lap, by the names of the corners. */
const cornersOff = (line: DayLine, logged: { log: RunLog; found: LogLaps }): Run['corners'] => {
  const least = leastSpeeds(line, logged)
  return line.corners.flatMap(({ name }, i) => {
    const speed = least[i] ?? null
    return speed === null || speed <= 0 ? [] : [{ name, least: Math.round(speed * 100) / 100 }]
  })
}

/** A run with its log: what is wrong with it, its laps beside those that were typed, and limits that it passed. */
export function RunLogRow({
  run,
  log,
  hasLog,
  waits,
  look,
  line,
  isReading,
  onRead,
  onRemove,
  children,
}: {
  run: Run
  log: RunLog | null
  hasLog: boolean
  /** It is on this device, and not sent yet. */
  waits: boolean
  /** Null until it was looked through. */
  look: LookedAt | null
  line: DayLine | null
  isReading: boolean
  onRead: () => void
  onRemove: () => void
  children: ReactNode
}) {
  const { view, unit, saveSaying } = useBuild()
  const { faults = [], beyond = [], found = null } = look ?? {}
  const laps = found?.laps ?? []
  const typed = timesThatCount(run)
  const logged = laps.map((lap) => lap.to - lap.from)
  const apart = typed.filter((time) => !logged.some((other) => Math.abs(other - time) < AGREE))
  const isElsewhere = found !== null && found.beside > ELSEWHERE
  const take = () =>
    saveSaying(
      `Laps of run ${run.order} from its log`,
      [
        putEdit(view, 'run', {
          ...withoutVersion(run),
          corners: line && log && found ? cornersOff(line, { log, found }) : run.corners,
          laps: laps.map((lap) => {
            const time = lap.to - lap.from
            // What a typed lap was marked as, it stays.
            const marked = run.laps.find((l) => l.time !== null && Math.abs(l.time - time) < AGREE)
            return {
              ...(marked ?? blankLap(null)),
              time: thousandth(time),
              sectors: lap.sectors.length > 1 ? lap.sectors.map(thousandth) : [],
            }
          }),
        }),
      ],
      `${laps.length} laps are the run’s now.`,
    )
  return (
    <li className="border-b border-line py-2">
      <div className="flex flex-wrap items-baseline justify-between gap-2">
        <p>
          <b className="font-medium">Run {run.order}</b>
          {run.session && `, ${run.session}`}{' '}
          <span className="text-[14px] text-muted">
            {run.driver}
            {!hasLog
              ? ': no log'
              : log
                ? `: ${log.name}, ${formatNumber((log.time.at(-1) ?? 0) / 60, 1)} min, ${log.channels.length} channels`
                : ': log is being fetched'}
            {waits && ', kept here until the workshop has it'}
          </span>
        </p>
        <span className="no-print flex gap-2">
          <MayOnly right="log">
            <Button look="quiet" aria-expanded={isReading} onClick={onRead}>
              {isReading ? 'Close' : hasLog ? 'Another log' : 'Read a log'}
              <span className="sr-only"> for run {run.order}</span>
            </Button>
          </MayOnly>
          {log && (
            <Button
              look="quiet"
              onClick={() => download(`${log.name.replace(/\.\w+$/, '')}.csv`, logCsv(log), 'text/csv')}
            >
              CSV<span className="sr-only"> of the log of run {run.order}</span>
            </Button>
          )}
          {hasLog && (
            <MayOnly right="plan">
              <Button look="quiet" className="!text-muted" onClick={onRemove}>
                Remove<span className="sr-only"> the log of run {run.order}</span>
              </Button>
            </MayOnly>
          )}
        </span>
      </div>
      {faults.length > 0 && (
        <ul className="list-disc pl-5 text-[14px] text-ochre" data-testid="log-faults">
          {faults.slice(0, 6).map((fault, i) => (
            <li key={i}>{sayFault(fault)}</li>
          ))}
          {faults.length > 6 && <li>and {faults.length - 6} more</li>}
        </ul>
      )}
      {beyond.map((one, i) => (
        <p key={i} className="text-[14px] text-oxide" data-testid="log-beyond">
          {one.limit.name} {formatQuantity(one.value, unit(one.limit.quantity))} at {formatNumber(one.at, 0)}{' '}
          s, beyond its limit of {formatQuantity(one.bound, unit(one.limit.quantity))} for{' '}
          {formatNumber(one.lasted, 1)} s.
        </p>
      ))}
      {isElsewhere && (
        <p role="alert" className="text-[14px] text-oxide">
          It was logged {formatNumber(found.beside, 0)} m beside the course’s line: another track, or another
          origin. Its laps are no laps of this course.
        </p>
      )}
      {laps.length > 0 && !isElsewhere && (
        <div className="text-[14.5px]" data-testid="log-laps">
          Laps:{' '}
          {logged.map((time, i) => `${sayTime(time)}${laps[i]?.torn ? ' (with a hole)' : ''}`).join(', ')}.{' '}
          {typed.length > 0 && apart.length > 0 && (
            <span className="text-ochre">
              {apart.length} of {typed.length} typed {apart.length === 1 ? 'lap has' : 'laps have'} no logged
              one within {AGREE} s: {apart.map(sayTime).join(', ')}.
            </span>
          )}{' '}
          <MayOnly right="log">
            <Button look="quiet" className="no-print !px-0" onClick={take}>
              Take them as the run’s laps
            </Button>
          </MayOnly>
        </div>
      )}
      {look && laps.length === 0 && <p className="text-[14px] text-ochre">No whole lap is in it.</p>}
      {isReading && <div className="mt-2">{children}</div>}
    </li>
  )
}
