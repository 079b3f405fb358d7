import { addDays, daysBetween, formatNumber, zonedDate, type WorkOutcome } from '@bold-ballast/core'
import type { WorkReckoned } from '@bold-ballast/model'
import { memo, useRef, useState } from 'react'
import { useMay } from '../../../store/me'
import { ZONE } from '../../../store/useReckonedFrom'
import { sayDate, sayDay } from '../../../ui/sayDay'
import { nameOfSource } from '../problemWords'
import type { Moved } from '../../../store/useMovedWork'
import { HATCHED } from './TimelineKey'
import type { TimeScale } from './timeScale'

/** A name, and the days beside it or below it. What is out of sight is left undrawn: there may be hundreds. */
export const LANES = 'grid grid-cols-[minmax(0,1fr)] @2xl:grid-cols-[230px_minmax(0,1fr)]'
/** Decides in more than so many of the draws. */
const DECIDES = 0.5

export interface TimelineItem {
  readonly source: WorkReckoned['sources'][number]
  readonly at: number
  readonly start: WorkOutcome['starts'][number]
  readonly end: WorkOutcome['ends'][number]
  /** In what share of the draws it decides the date. */
  readonly share: number
}

/** One job or wait along the days: dragged, or moved with the arrow keys. While one is, the others needn’t be drawn anew. */
export const TimelineRow = memo(function TimelineRow({
  item: { source, start, end, share },
  scale,
  ahead,
  movedTo,
  onMove,
  onKeep,
}: {
  item: TimelineItem
  scale: TimeScale
  /** Moments of the fixed dates ahead. */
  ahead: readonly number[]
  /** The day that this one is moved to. */
  movedTo: string | null
  onMove: (moved: Moved | null) => void
  onKeep: (moved: Moved) => void
}) {
  const mayMove = useMay('plan')
  /** As wide as the days. */
  const track = useRef<HTMLDivElement>(null)
  const [grip, setGrip] = useState<{ from: number; start: string } | null>(null)
  const { day, days } = scale
  const name = nameOfSource(source)
  const decides = share >= DECIDES
  const job = source.kind === 'job' ? source.job : null
  const moved = job && movedTo !== null ? { jobId: job.id, notBefore: movedTo } : null
  const first = zonedDate(Math.max(scale.origin, Math.min(start.middle, scale.ends)), ZONE)
  const begun = moved?.notBefore ?? first
  const shift = (jobId: string, from: string, by: number) => {
    const next = addDays(from, by)
    onMove({ jobId, notBefore: next < day ? day : next })
  }
  const says =
    end.middle === Infinity
      ? `${name}: not done within two years`
      : [
          `${name}: ${sayDay(start.middle, day)} to ${sayDay(end.middle, day)}, nine of ten by ${sayDay(end.late, day)}`,
          share > 0.005 && `decides in ${formatNumber(share * 100, 0)} % of cases`,
          moved && `not before ${sayDate(moved.notBefore, day)}`,
        ]
          .filter(Boolean)
          .join('; ')
  const look = decides
    ? { frame: 'border-2 border-ink', fill: HATCHED }
    : job
      ? { frame: 'border-blued', fill: 'var(--solid)' }
      : { frame: 'border-dashed border-edge', fill: 'transparent' }
  return (
    <div className={`${LANES} [contain-intrinsic-height:auto_28px] [content-visibility:auto]`}>
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
      <div className="relative h-7 border-b border-line" ref={track}>
        {ahead.map((by) =>
          by < scale.ends ? (
            <span
              key={by}
              aria-hidden
              className="absolute top-0 h-full border-l border-edge"
              style={{ left: scale.at(by) }}
            />
          ) : null,
        )}
        {end.middle < Infinity ? (
          <>
            <span
              aria-hidden
              className="absolute top-[13px] h-[2px] bg-edge"
              style={{ left: scale.at(end.middle), width: scale.width(end.middle, end.late) }}
            />
            <span
              aria-hidden
              className={`absolute top-1.5 h-4 rounded-[2px] border ${look.frame}`}
              style={{
                left: scale.at(start.middle),
                width: scale.width(start.middle, end.middle),
                background: look.fill,
              }}
            />
          </>
        ) : (
          <span className="text-[12.5px] leading-7 text-oxide">not within two years</span>
        )}
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
            style={{
              left: scale.at(start.middle),
              width: `max(24px, ${scale.width(start.middle, end.middle)})`,
            }}
            onPointerDown={(e) => {
              e.currentTarget.setPointerCapture(e.pointerId)
              setGrip({ from: e.clientX, start: first })
            }}
            onPointerMove={(e) => {
              const wide = track.current?.clientWidth ?? 0
              if (!grip || wide === 0) return
              const by = Math.round(((e.clientX - grip.from) / wide) * days)
              if (by !== 0 || moved) shift(job.id, grip.start, by)
            }}
            onPointerUp={() => {
              setGrip(null)
              if (moved) onKeep(moved)
            }}
            onPointerCancel={() => {
              setGrip(null)
              onMove(null)
            }}
            onKeyDown={(e) => {
              if (e.key === 'ArrowRight' || e.key === 'ArrowLeft') {
                e.preventDefault()
                shift(job.id, begun, e.key === 'ArrowRight' ? 1 : -1)
              } else if (e.key === 'Enter' && moved) onKeep(moved)
              else if (e.key === 'Escape' && moved) onMove(null)
            }}
          />
        ) : (
          <span className="sr-only">{says}</span>
        )}
      </div>
    </div>
  )
})
