import { addDays, itemAt, type WorkOutcome } from '@bold-ballast/core'
import type { WorkReckoned } from '@bold-ballast/model'
import { format, parseISO } from 'date-fns'
import { Fragment, useState } from 'react'
import type { Moved } from '../../../store/useMovedWork'
import { Choice } from '../../../ui/Choice'
import { TimelineKey } from './TimelineKey'
import { LANES, TimelineRow, type TimelineItem } from './TimelineRow'
import { timeScale } from './timeScale'

/** The first day of each week, or fortnight where that would be too many. */
function ticksOf(day: string, days: number): string[] {
  const step = days <= 21 ? 2 : days <= 70 ? 7 : 14
  // The last one would have no room for its words.
  return Array.from({ length: Math.floor((days * 0.93) / step) + 1 }, (_, i) => addDays(day, i * step))
}

const groupOf = ({ source }: TimelineItem) => (source.kind === 'job' ? source.job.group : '')

/** Rows of one sub-assembly together, in the order in which the first of each begins; what belongs to none comes last. */
function byGroup(rows: readonly TimelineItem[]): [string, TimelineItem[]][] {
  const groups = new Map<string, TimelineItem[]>()
  for (const row of rows) groups.set(groupOf(row), [...(groups.get(groupOf(row)) ?? []), row])
  return [...groups].sort(([a], [b]) => Number(a === '') - Number(b === ''))
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
  onKeep: (moved: Moved) => void
}) {
  const [order, setOrder] = useState<'time' | 'group'>('time')
  const critical = itemAt(outcome.critical, target)
  const rows = reckoned.sources
    .map((source, at): TimelineItem => ({
      source,
      at,
      start: itemAt(outcome.starts, at),
      end: itemAt(outcome.ends, at),
      share: critical[at] ?? 0,
    }))
    .sort(
      (a, b) =>
        itemAt(before.starts, a.at).middle - itemAt(before.starts, b.at).middle ||
        itemAt(before.ends, a.at).middle - itemAt(before.ends, b.at).middle,
    )
  const hasGroups = rows.some((row) => groupOf(row) !== '')
  const groups: [string, TimelineItem[]][] =
    hasGroups && order === 'group' ? byGroup(rows) : rows.length > 0 ? [['', rows]] : []
  const ahead = reckoned.targets.flatMap(({ by }) => (by === null ? [] : [by]))
  const scale = timeScale(
    day,
    rows.map(({ end }) => end.late),
    ahead,
  )
  return (
    <figure className="mt-4 max-w-[1100px]" aria-label="Timeline">
      <figcaption className="sr-only">
        Jobs and waits from {day} on: bars run from the middle start to the middle end, thin lines to where
        nine of ten cases have ended.
      </figcaption>
      {hasGroups && (
        <div className="no-print mb-2">
          <Choice
            label="Jobs stand"
            value={order}
            options={[
              ['time', 'As they begin'],
              ['group', 'By sub-assembly'],
            ]}
            onChange={setOrder}
          />
        </div>
      )}
      <div data-testid="timeline">
        <div className={LANES}>
          <span className="@max-2xl:hidden" />
          <div
            className="relative h-10 overflow-x-clip border-b border-line text-[11.5px] text-muted"
            aria-hidden
          >
            {ticksOf(day, scale.days).map((tick, i) => (
              <span
                key={tick}
                className={`absolute bottom-0 border-l border-line pl-1 whitespace-nowrap ${i % 2 === 1 ? '@max-2xl:hidden' : ''}`}
                style={{ left: scale.ofDay(tick) }}
              >
                {format(parseISO(tick), 'd MMM')}
              </span>
            ))}
            {reckoned.targets.map(({ date, by }, i) =>
              date && by !== null && by < scale.ends ? (
                <span
                  key={date.id}
                  className={`absolute top-0 h-10 border-l-2 pl-1 text-[11px] whitespace-nowrap ${i === target ? 'border-ink text-ink' : 'border-edge'}`}
                  style={{ left: scale.at(by) }}
                >
                  <span
                    className={
                      by - scale.origin > 0.75 * (scale.ends - scale.origin) ? 'absolute right-1' : ''
                    }
                  >
                    {i === target ? date.name : ''}
                  </span>
                </span>
              ) : null,
            )}
          </div>
        </div>
        {groups.map(([group, items]) => (
          <Fragment key={group}>
            {groups.length > 1 && <h3 className="pt-2 text-[15px]">{group || 'Everything else'}</h3>}
            {items.map((item) => (
              <TimelineRow
                key={item.at}
                item={item}
                scale={scale}
                ahead={ahead}
                movedTo={
                  item.source.kind === 'job' && item.source.job.id === moved?.jobId ? moved.notBefore : null
                }
                onMove={onMove}
                onKeep={onKeep}
              />
            ))}
          </Fragment>
        ))}
      </div>
      <TimelineKey />
    </figure>
  )
}
