import type { Run } from '@bold-ballast/contract'
import {
  cornerMarks,
  formatFigure,
  formatNumber,
  formatQuantity,
  gapAlong,
  itemAt,
  lapTrace,
  orWhy,
  type LoggedTrace,
  type LogLaps,
  type RunLog,
} from '@bold-ballast/core'
import { useMemo, useState } from 'react'
import { useBuild } from '../../../store/useBuild'
import { Chart, type Series } from '../../../ui/Chart'
import { Choose } from '../../../ui/Choose'
import { CourseMap } from '../../../ui/CourseMap'
import { MapKey } from '../../../ui/MapKey'
import { TableHead } from '../../../ui/TableHead'
import { sayTime } from '../sayTime'
import type { DayLine } from './lapLineOf'

export interface LoggedRun {
  readonly run: Run
  readonly log: RunLog
  readonly found: LogLaps
}

/** Laps are laid over each other at every so many metres. */
const STEP = 5
const signed = (seconds: number) => `${seconds < 0 ? '−' : '+'}${formatNumber(Math.abs(seconds), 2)}`

/** Two laps at equal distance: where the one wins and loses, how fast both are, and what they do at each corner. */
export function Overlay({ line, logged }: { line: DayLine; logged: readonly LoggedRun[] }) {
  const { unit } = useBuild()
  const velocity = unit('velocity')
  const [at, setAt] = useState(0)
  const laps = useMemo(
    () =>
      logged
        .flatMap(({ run, log, found }) =>
          found.laps.map((lap, i) => ({
            key: `${run.id} ${i}`,
            says: `Run ${run.order}, lap ${i + 1}: ${sayTime(lap.to - lap.from)}`,
            time: lap.to - lap.from,
            run,
            log,
            found,
            place: i,
          })),
        )
        .filter((lap) => !lap.found.laps[lap.place]?.torn),
    [logged],
  )
  const quickest = [...laps].sort((a, b) => a.time - b.time)
  const [first, setFirst] = useState<string | null>(null)
  const [second, setSecond] = useState<string | null>(null)
  const one = laps.find((l) => l.key === first) ?? quickest[1] ?? quickest[0]
  const other = laps.find((l) => l.key === second) ?? quickest[0]
  const traces = useMemo(() => {
    if (!one || !other) return null
    const trace = (lap: typeof one) =>
      orWhy(
        () => lapTrace(lap.log, lap.found, lap.place, line.lap.length, STEP),
        () => null,
      )
    const [a, b] = [trace(one), trace(other)]
    return a && b ? { a, b, gap: gapAlong(a, b) } : null
  }, [one, other, line])
  if (laps.length === 0) return <p className="mt-3 text-muted">No whole lap is in any log of this day.</p>
  const options = laps.map((lap) => [lap.key, lap.says] as const)
  return (
    <section aria-label="Two laps over each other" className="mt-4">
      <h2 className="text-[20px]">Two laps over each other</h2>
      <div className="mt-1 flex flex-wrap gap-3">
        <Choose
          label="This lap"
          value={one?.key ?? null}
          options={options}
          onChange={setFirst}
          wide={false}
        />
        <Choose
          label="against"
          value={other?.key ?? null}
          options={options}
          onChange={setSecond}
          wide={false}
        />
      </div>
      {traces && one && other && (
        <>
          <p className="mt-2 text-[16px]" data-testid="overlay-says">
            {sayTime(one.time)} against {sayTime(other.time)}:{' '}
            <b className="font-medium">{signed(one.time - other.time)} s</b>
            {one.key === other.key ? '. It is the same lap: choose another.' : `. ${mostLost(traces, line)}`}
          </p>
          <div className="mt-2 grid items-start gap-x-5 @4xl:grid-cols-[minmax(0,9fr)_minmax(0,11fr)]">
            <div>
              <CourseMap
                label="Map of the lap: where this lap loses to the other is wide and broken"
                points={line.points}
                closed={line.lap.closed}
                length={line.lap.length}
                stretches={lostStretches(traces.gap)}
                corners={line.corners}
                at={at}
                onAt={setAt}
              />
              <div className="mt-1.5">
                <MapKey looks={[LOST, WON, EVEN]} />
              </div>
            </div>
            <div>
              <Chart
                title="Time behind the other lap"
                summary={`Time lost and won along the lap, ${signed(traces.gap.at(-1) ?? 0)} s at its end.`}
                xTitle="Along the line (m)"
                yTitle="Behind (s)"
                series={[gapSeries(traces.gap)]}
                table={{
                  header: ['Along the line (m)', 'Behind (s)'],
                  rows: traces.gap.flatMap((gap, i) =>
                    i % 10 === 0 ? [[i * STEP, Number(gap.toFixed(3))]] : [],
                  ),
                }}
                filename="time-behind"
                height={200}
                at={at}
                onAt={setAt}
              />
              <Chart
                title="Speed of both"
                summary="Speed of both laps over distance."
                xTitle="Along the line (m)"
                yTitle={`Speed (${velocity.symbol})`}
                series={(['a', 'b'] as const).flatMap((which) => {
                  const speeds = traces[which].channels.get('speed')
                  const lap = which === 'a' ? one : other
                  return speeds
                    ? [
                        {
                          name: which === 'a' ? 'this' : 'the other',
                          x: speeds.map((_, i) => i * STEP),
                          y: speeds.map((v) => Number(formatFigure(v, velocity, 1).replace(/,/g, ''))),
                          colour: which === 'a' ? '--blued' : '--oxide',
                          dash: which === 'a' ? ('solid' as const) : ('dash' as const),
                          says: speeds.map(
                            (v, i) => `${lap.says}, ${i * STEP} m: ${formatQuantity(v, velocity, 0)}`,
                          ),
                        },
                      ]
                    : []
                })}
                table={{
                  header: ['Along the line (m)', 'This', 'The other'],
                  rows: traces.gap.flatMap((_, i) => {
                    const speed = (t: LoggedTrace) => {
                      const v = t.channels.get('speed')?.[i]
                      return v === undefined ? null : formatFigure(v, velocity, 0)
                    }
                    return i % 10 === 0 ? [[i * STEP, speed(traces.a), speed(traces.b)]] : []
                  }),
                }}
                filename="speed-of-both"
                height={220}
                at={at}
                onAt={setAt}
              />
              <p className="text-[14px]" data-testid="overlay-here">
                {hereSays(traces, at, (v) => formatQuantity(v, velocity, 0))}
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
          <Corners traces={traces} line={line} />
        </>
      )}
    </section>
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

const LOST = { says: 'this lap loses', colour: '--oxide', width: 7, dash: '7 2' } as const
const WON = { says: 'this lap wins', colour: '--zinc', width: 4 } as const
const EVEN = { says: 'both alike', colour: '--blued', width: 2.5 } as const
/** Over so many places a gain or loss is looked at. */
const OVER = 8

function lostStretches(gap: readonly number[]) {
  const looks = gap.map((g, i) => {
    const change = g - (gap[Math.max(0, i - OVER)] ?? g)
    return change > 0.015 ? LOST : change < -0.015 ? WON : EVEN
  })
  const stretches: { from: number; to: number; look: typeof LOST | typeof WON | typeof EVEN }[] = []
  looks.forEach((look, i) => {
    const last = stretches.at(-1)
    if (last?.look === look) last.to = (i + 1) * STEP
    else stretches.push({ from: i * STEP, to: (i + 1) * STEP, look })
  })
  return stretches
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
  const [va, vb] = [a.channels.get('speed')?.[i], b.channels.get('speed')?.[i]]
  return [
    `${formatNumber(at, 0)} m: ${signed(itemAt(gap, i))} s`,
    va !== undefined && vb !== undefined && `${speed(va)} against ${speed(vb)}`,
  ]
    .filter(Boolean)
    .join(', ')
}

/** Braking points, least speeds and time, corner by corner. */
function Corners({ traces, line }: { traces: Traces; line: DayLine }) {
  const { unit } = useBuild()
  const velocity = unit('velocity')
  const rows = line.corners.flatMap((corner) => {
    const [a, b] = ([traces.a, traces.b] as const).map((t) => cornerMarks(t, [corner.from, corner.to]))
    return a && b ? [{ corner, a, b }] : []
  })
  if (rows.length === 0) return null
  const right = 'px-2 text-right whitespace-nowrap tabular-nums'
  const pair = (x: string, y: string) => (
    <>
      {x} <span className="text-muted">{y}</span>
    </>
  )
  return (
    <div className="mt-3 overflow-x-auto">
      <table className="w-full max-w-[980px]" data-testid="overlay-corners">
        <caption className="text-left text-[14px] text-muted">
          Corner by corner: this lap, and the other beside it
        </caption>
        <TableHead
          columns={[
            { says: 'Corner' },
            { says: 'Brakes before it, m', figures: true, className: 'px-2' },
            { says: `From, ${velocity.symbol}`, figures: true, className: 'px-2' },
            { says: `Least, ${velocity.symbol}`, figures: true, className: 'px-2' },
            { says: 'Takes, s', figures: true, className: 'px-2' },
          ]}
        />
        <tbody>
          {rows.map(({ corner, a, b }) => {
            const before = (braking: number | null) =>
              braking === null
                ? 'doesn’t'
                : braking >= corner.from
                  ? 'in it'
                  : formatNumber(corner.from - braking, 0)
            return (
              <tr key={corner.from} className="border-b border-line">
                <th scope="row" className="py-1 text-left font-medium">
                  {corner.name}
                </th>
                <td className={right}>{pair(before(a.braking), before(b.braking))}</td>
                <td className={right}>
                  {pair(formatFigure(a.entry, velocity, 0), formatFigure(b.entry, velocity, 0))}
                </td>
                <td className={right}>
                  {pair(formatFigure(a.least, velocity, 0), formatFigure(b.least, velocity, 0))}
                </td>
                <td className={right}>{pair(formatNumber(a.time, 2), formatNumber(b.time, 2))}</td>
              </tr>
            )
          })}
        </tbody>
      </table>
    </div>
  )
}
