import {
  channelOf,
  formatNumber,
  formatQuantity,
  gapAlong,
  itemAt,
  lapTrace,
  orWhy,
  type LoggedTrace,
  type LogRole,
} from '@bold-ballast/core'
import type { DayLine } from '@bold-ballast/model'
import { useMemo, useState } from 'react'
import { useBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { Chart, type Series } from '../../../ui/Chart'
import { Choose } from '../../../ui/Choose'
import { CourseMap } from '../../../ui/CourseMap'
import { MapKey } from '../../../ui/MapKey'
import { sayTime } from '../sayTime'
import { ChannelChart, CHANNELS } from './ChannelChart'
import { FrictionChart } from './FrictionChart'
import { GAP_LOOKS, gapStretches } from './gapLooks'
import { gripUseOf } from './gripUseOf'
import { lapsLogged, pairOf, type LoggedLapOf, type LoggedRun } from './lapsLogged'
import { OverlayCorners } from './OverlayCorners'
import { useGripLimits } from './useGripLimits'

/** Laps are laid over each other at every so many metres. */
const STEP = 5
const signed = (seconds: number) => `${seconds < 0 ? '−' : '+'}${formatNumber(Math.abs(seconds), 2)}`

/** Two laps at equal distance: where the one wins and loses, what both did there, and what they do at each corner. */
export function Overlay({ line, logged }: { line: DayLine; logged: readonly LoggedRun[] }) {
  const laps = useMemo(() => lapsLogged(logged), [logged])
  const [first, setFirst] = useState<string | null>(null)
  const [second, setSecond] = useState<string | null>(null)
  const usual = pairOf(laps)
  if (!usual) return <p className="mt-3 text-muted">No whole lap is in any log of this day.</p>
  const one = laps.find((l) => l.key === first) ?? usual[0]
  const other = laps.find((l) => l.key === second) ?? usual[1]
  const options = laps.map((lap) => [lap.key, lap.says] as const)
  return (
    <section aria-label="Two laps over each other" className="mt-4">
      <h2 className="text-[20px]">Two laps over each other</h2>
      <div className="mt-1 flex flex-wrap gap-3">
        <Choose label="This lap" value={one.key} options={options} onChange={setFirst} wide={false} />
        <Choose label="against" value={other.key} options={options} onChange={setSecond} wide={false} />
      </div>
      <TwoLaps line={line} one={one} other={other} />
    </section>
  )
}

function TwoLaps({ line, one, other }: { line: DayLine; one: LoggedLapOf; other: LoggedLapOf }) {
  const { unit } = useBuild()
  const [at, setAt] = useState(0)
  const [asked, setAsked] = useState<ReadonlySet<LogRole>>(new Set(['speed', 'throttle', 'brakeFront']))
  // The same objects while a place is moved: charts are drawn anew for another lap alone.
  const traces = useMemo(() => {
    const trace = (lap: LoggedLapOf) =>
      orWhy(
        () => lapTrace(lap.log, lap.found, lap.place, line.lap.length, STEP),
        () => null,
      )
    const [a, b] = [trace(one), trace(other)]
    if (!a || !b) return null
    const gap = gapAlong(a, b)
    return {
      a,
      b,
      gap,
      series: [gapSeries(gap)],
      first: { trace: a, says: one.says },
      second: { trace: b, says: other.says },
    }
  }, [one, other, line])
  const limits = useGripLimits(one.run)
  const use = useMemo(
    () =>
      traces && limits
        ? { a: gripUseOf(traces.a, limits, line), b: gripUseOf(traces.b, limits, line) }
        : null,
    [traces, limits, line],
  )
  if (!traces)
    return (
      <p role="status" className="mt-2 text-ochre">
        One of these laps has no places on the track: its receiver had none. Choose another.
      </p>
    )
  const there = CHANNELS.filter(({ role }) => channelOf(one.log, role) ?? channelOf(other.log, role))
  const turn = (role: LogRole) =>
    setAsked((before) => {
      const next = new Set(before)
      if (!next.delete(role)) next.add(role)
      return next
    })
  return (
    <>
      <p className="mt-2 text-[16px]" data-testid="overlay-says">
        {sayTime(one.time)} against {sayTime(other.time)}:{' '}
        <b className="font-medium">{signed(one.time - other.time)} s</b>
        {one.key === other.key ? '. It is the same lap: choose another.' : `. ${mostLost(traces, line)}`}
      </p>
      <div
        className={
          line.points.length > 0
            ? 'mt-2 grid items-start gap-x-5 @4xl:grid-cols-[minmax(0,9fr)_minmax(0,11fr)]'
            : 'mt-2'
        }
      >
        {line.points.length > 0 && (
          <div>
            <CourseMap
              label="Map of the lap: where this lap loses to the other is wide and broken"
              points={line.points}
              closed={line.lap.closed}
              length={line.lap.length}
              stretches={gapStretches(traces.gap, STEP)}
              corners={line.corners}
              at={at}
              onAt={setAt}
            />
            <div className="mt-1.5">
              <MapKey looks={GAP_LOOKS} />
            </div>
          </div>
        )}
        <div>
          <Chart
            title="Time behind the other lap"
            summary={`Time lost and won along the lap, ${signed(traces.gap.at(-1) ?? 0)} s at its end.`}
            xTitle="Along the line (m)"
            yTitle="Behind (s)"
            series={traces.series}
            table={{
              header: ['Along the line (m)', 'Behind (s)'],
              rows: traces.gap.flatMap((gap, i) =>
                i % 10 === 0 ? [[i * STEP, Number(gap.toFixed(3))]] : [],
              ),
            }}
            filename="time-behind"
            height={190}
            at={at}
            onAt={setAt}
          />
          <p className="text-[14px]" data-testid="overlay-here">
            {hereSays(traces, at, (v) => formatQuantity(v, unit('velocity'), 0))}
          </p>
          <input
            type="range"
            aria-label="Place"
            className="no-print w-full accent-blued"
            min={0}
            max={Math.floor(line.lap.length)}
            step={STEP}
            value={Math.round(at)}
            onChange={(event) => setAt(Number(event.target.value))}
          />
        </div>
      </div>
      <div role="group" aria-label="Channels" className="no-print mt-2 flex flex-wrap gap-1.5">
        {there.map(({ role, title }) => (
          <Button key={role} look="quiet" aria-pressed={asked.has(role)} onClick={() => turn(role)}>
            {title}
          </Button>
        ))}
      </div>
      <div className="mt-1 grid gap-x-5 @4xl:grid-cols-2" data-testid="overlay-channels">
        {there
          .filter(({ role }) => asked.has(role))
          .map((channel) => (
            <ChannelChart
              key={channel.role}
              channel={channel}
              one={traces.first}
              other={traces.second}
              at={at}
              onAt={setAt}
            />
          ))}
        {limits && <FrictionChart a={traces.a} limits={limits} use={use} />}
      </div>
      <OverlayCorners traces={traces} use={use} line={line} />
    </>
  )
}

interface Traces {
  readonly a: LoggedTrace
  readonly b: LoggedTrace
  readonly gap: readonly number[]
}

const gapAt = (gap: readonly number[], at: number) =>
  gap[Math.min(gap.length - 1, Math.max(0, Math.round(at / STEP)))] ?? 0

/** Where most of the difference comes from. */
function mostLost({ gap }: Traces, { corners, lap }: DayLine): string {
  const parts = corners.map((corner, i) => {
    const next = corners[i + 1]
    const to = next ? next.from : lap.length
    return { name: corner.name, lost: gapAt(gap, to) - gapAt(gap, i === 0 ? 0 : corner.from) }
  })
  if (parts.length === 0) return ''
  const worst = parts.reduce((a, b) => (b.lost > a.lost ? b : a))
  const best = parts.reduce((a, b) => (b.lost < a.lost ? b : a))
  return [
    worst.lost > 0.02 &&
      `Most is lost at ${worst.name} and to the corner after it, ${formatNumber(worst.lost, 2)} s`,
    best.lost < -0.02 && `most is won at ${best.name}, ${formatNumber(-best.lost, 2)} s`,
  ]
    .filter(Boolean)
    .join('; ')
    .replace(/^m/, 'M')
    .concat('.')
}

function gapSeries(gap: readonly number[]): Series {
  return {
    name: 'behind',
    x: gap.map((_, i) => i * STEP),
    y: gap.map((g) => Number(g.toFixed(3))),
    colour: '--blued',
    says: gap.map((g, i) => `${i * STEP} m: ${signed(g)} s`),
  }
}

function hereSays({ a, b, gap }: Traces, at: number, speed: (v: number) => string): string {
  const i = Math.min(gap.length - 1, Math.round(at / STEP))
  const [va = NaN, vb = NaN] = [a.channels.get('speed')?.[i], b.channels.get('speed')?.[i]]
  return [
    `${formatNumber(at, 0)} m: ${signed(itemAt(gap, i))} s`,
    !Number.isNaN(va + vb) && `${speed(va)} against ${speed(vb)}`,
  ]
    .filter(Boolean)
    .join(', ')
}
