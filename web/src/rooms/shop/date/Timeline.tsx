import {
  addDays,
  daysBetween,
  formatNumber,
  itemAt,
  zonedDate,
  zonedMoment,
  type WorkOutcome,
} from '@bold-ballast/core'
import type { WorkReckoned } from '@bold-ballast/model'
import { format, parseISO } from 'date-fns'
import { useRef, useState } from 'react'
import { useMay } from '../../../store/me'
import { nameOfSource } from '../problemWords'
import { sayDate, sayDay } from '../../../ui/sayDay'
import { ZONE } from '../../../store/useReckonedFrom'

const DAY = 86_400
/** Decides in more than so many of the draws. */
const DECIDES = 0.5
const MOST_DAYS = 240
const LEAST_DAYS = 10

export interface Moved {
  readonly jobId: string
  readonly notBefore: string
}

/** The first day of each week, or month where that would be too many. */
function ticksOf(day: string, days: number): string[] {
  const step = days <= 21 ? 2 : days <= 70 ? 7 : 14
  return Array.from({ length: Math.floor(days / step) + 1 }, (_, i) => addDays(day, i * step))
}

/**
 * When each job and wait is likely to run: from its middle start to its middle end, with a thin line to where nine of ten
 * cases have ended. What decides the date is hatched and says how often. A job is dragged, or moved with the arrow keys, to a
 * later day; the chances answer while it moves.
 */
export function Timeline({
  reckoned,
  outcome,
  before,
  target,
  day,
  moved,
  onMove,
  onKeep,
}: {
  reckoned: WorkReckoned
  outcome: WorkOutcome
  /** As it was before anything was moved: rows keep their places while it is. */
  before: WorkOutcome
  target: number
  day: string
  /** What is being moved, and how far. */
  moved: Moved | null
  onMove: (moved: Moved | null) => void
  onKeep: () => void
}) {
  const mayMove = useMay('plan')
  const track = useRef<HTMLDivElement>(null)
  const [grip, setGrip] = useState<{ jobId: string; from: number; start: string } | null>(null)
  const critical = itemAt(outcome.critical, target)
  const origin = zonedMoment(day, '00:00', ZONE)
  const rows = reckoned.sources
    .map((source, at) => ({ source, at, start: itemAt(outcome.starts, at), end: itemAt(outcome.ends, at) }))
    .sort(
      (a, b) =>
        itemAt(before.starts, a.at).middle - itemAt(before.starts, b.at).middle ||
        itemAt(before.ends, a.at).middle - itemAt(before.ends, b.at).middle,
    )
  const ahead = reckoned.targets.flatMap(({ by }) => (by === null ? [] : [by]))
  const furthest = Math.max(
    ...rows.map(({ end }) => (end.late < Infinity ? end.late : origin)),
    ...ahead.filter((by) => by < origin + MOST_DAYS * DAY),
    origin + LEAST_DAYS * DAY,
  )
  const days = Math.min(MOST_DAYS, Math.ceil((furthest - origin) / DAY) + 1)
  const at = (moment: number) => `${Math.min(100, Math.max(0, ((moment - origin) / (days * DAY)) * 100))}%`
  const width = (from: number, until: number) =>
    `${Math.max(0.4, ((Math.min(until, origin + days * DAY) - Math.max(origin, from)) / (days * DAY)) * 100)}%`
  const shift = (jobId: string, start: string, by: number) => {
    const next = addDays(start, by)
    onMove({ jobId, notBefore: next < day ? day : next })
  }
  const ticks = ticksOf(day, days)
  return (
    <figure className="mt-4 max-w-[1100px]" aria-label="Timeline">
      <figcaption className="sr-only">
        Jobs and waits from {day} on: bars run from the middle start to the middle end, thin lines to where
        nine of ten cases have ended.
      </figcaption>
      <div
        className="grid grid-cols-[minmax(0,1fr)] @2xl:grid-cols-[230px_minmax(0,1fr)]"
        data-testid="timeline"
      >
        <span className="@max-2xl:hidden" />
        <div
          className="relative h-10 overflow-x-clip border-b border-line text-[11.5px] text-muted"
          aria-hidden
        >
          {ticks.map((tick) => (
            <span
              key={tick}
              className="absolute bottom-0 border-l border-line pl-1 whitespace-nowrap"
              style={{ left: `${(daysBetween(day, tick) / days) * 100}%` }}
            >
              {format(parseISO(tick), 'd MMM')}
            </span>
          ))}
          {reckoned.targets.map(({ date, by }, i) =>
            date && by !== null && by < origin + days * DAY ? (
              <span
                key={date.id}
                className={`absolute top-0 h-10 border-l-2 pl-1 text-[11px] whitespace-nowrap ${i === target ? 'border-ink text-ink' : 'border-edge'}`}
                style={{ left: at(by) }}
              >
                <span className={by - origin > 0.75 * days * DAY ? 'absolute right-1' : ''}>
                  {i === target ? date.name : ''}
                </span>
              </span>
            ) : null,
          )}
        </div>
        {rows.map(({ source, at: item, start, end }, i) => {
          const name = nameOfSource(source)
          const share = critical[item] ?? 0
          const decides = share >= DECIDES
          const job = source.kind === 'job' ? source.job : null
          const isMoved = job !== null && moved?.jobId === job.id
          const first = zonedDate(Math.max(origin, Math.min(start.middle, origin + days * DAY)), ZONE)
          const begun = isMoved ? moved.notBefore : first
          const says =
            end.middle === Infinity
              ? `${name}: not done within two years`
              : `${name}: ${sayDay(start.middle, day)} to ${sayDay(end.middle, day)}, nine of ten by ${sayDay(end.late, day)}${share > 0.005 ? `; decides in ${formatNumber(share * 100, 0)} % of cases` : ''}${isMoved ? `; not before ${sayDate(moved.notBefore, day)}` : ''}`
          const bar = (
            <span
              aria-hidden
              className={`absolute top-1.5 h-4 rounded-[2px] border ${
                decides
                  ? 'border-2 border-ink'
                  : source.kind === 'job'
                    ? 'border-blued'
                    : 'border-dashed border-edge'
              }`}
              style={{
                left: at(start.middle),
                width: width(start.middle, end.middle),
                background: decides
                  ? 'repeating-linear-gradient(135deg, var(--blued) 0 3px, var(--panel) 3px 7px)'
                  : source.kind === 'job'
                    ? 'var(--solid)'
                    : 'transparent',
              }}
            />
          )
          const late = (
            <span
              aria-hidden
              className="absolute top-[13px] h-[2px] bg-edge"
              style={{ left: at(end.middle), width: width(end.middle, end.late) }}
            />
          )
          return (
            <div key={name + item} className="contents">
              <span
                className={`truncate pr-2 text-[13.5px] leading-7 @max-2xl:leading-5 ${decides ? 'font-medium' : ''}`}
                title={name}
              >
                {decides && <span className="sr-only">Decides: </span>}
                {name}
                {share > 0.05 && (
                  <span className={`ml-1 text-[12px] ${decides ? '' : 'text-muted'}`}>
                    {formatNumber(share * 100, 0)} %
                  </span>
                )}
              </span>
              <div className="relative h-7 border-b border-line" ref={i === 0 ? track : undefined}>
                {ahead.map((by) =>
                  by < origin + days * DAY ? (
                    <span
                      key={by}
                      aria-hidden
                      className="absolute top-0 h-full border-l border-edge"
                      style={{ left: at(by) }}
                    />
                  ) : null,
                )}
                {end.middle < Infinity && late}
                {end.middle < Infinity && bar}
                {job && mayMove && end.middle < Infinity ? (
                  <span
                    role="slider"
                    tabIndex={0}
                    aria-label={`${name}, not before`}
                    aria-valuemin={0}
                    aria-valuemax={days}
                    aria-valuenow={Math.max(0, daysBetween(day, begun))}
                    aria-valuetext={says}
                    title={says}
                    className="absolute top-0 h-7 cursor-ew-resize touch-none"
                    style={{ left: at(start.middle), width: `max(24px, ${width(start.middle, end.middle)})` }}
                    onPointerDown={(e) => {
                      e.currentTarget.setPointerCapture(e.pointerId)
                      setGrip({ jobId: job.id, from: e.clientX, start: first })
                    }}
                    onPointerMove={(e) => {
                      const wide = track.current?.clientWidth ?? 0
                      if (grip?.jobId !== job.id || wide === 0) return
                      const by = Math.round(((e.clientX - grip.from) / wide) * days)
                      if (by !== 0 || isMoved) shift(job.id, grip.start, by)
                    }}
                    onPointerUp={() => {
                      setGrip(null)
                      if (isMoved) onKeep()
                    }}
                    onPointerCancel={() => {
                      setGrip(null)
                      onMove(null)
                    }}
                    onKeyDown={(e) => {
                      if (e.key === 'ArrowRight' || e.key === 'ArrowLeft') {
                        e.preventDefault()
                        shift(job.id, begun, e.key === 'ArrowRight' ? 1 : -1)
                      } else if (e.key === 'Enter' && isMoved) onKeep()
                      else if (e.key === 'Escape' && isMoved) onMove(null)
                    }}
                  />
                ) : (
                  <span className="sr-only">{says}</span>
                )}
                {end.middle === Infinity && (
                  <span className="text-[12.5px] leading-7 text-oxide">not within two years</span>
                )}
              </div>
            </div>
          )
        })}
      </div>
      <p className="mt-2 flex flex-wrap gap-x-4 gap-y-1 text-[12.5px] text-muted" aria-hidden>
        <span>
          <span
            className="mr-1 inline-block h-3 w-6 border-2 border-ink align-middle"
            style={{
              background: 'repeating-linear-gradient(135deg, var(--blued) 0 3px, var(--panel) 3px 7px)',
            }}
          />
          decides in more than half of the cases
        </span>
        <span>
          <span className="mr-1 inline-block h-3 w-6 border border-blued bg-solid align-middle" />
          another job
        </span>
        <span>
          <span className="mr-1 inline-block h-3 w-6 border border-dashed border-edge align-middle" />
          something that is waited for
        </span>
        <span>
          <span className="mr-1 inline-block h-[2px] w-6 bg-edge align-middle" />
          to where nine of ten cases have ended
        </span>
      </p>
    </figure>
  )
}
