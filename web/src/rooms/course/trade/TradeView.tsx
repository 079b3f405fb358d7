import type { Course } from '@bold-ballast/contract'
import { itemAt, axleCarOf, formatNumber, formatQuantity, fromSi, type AxleCar } from '@bold-ballast/core'
import {
  downforceShareLine,
  finalDriveLine,
  kilosFor,
  massLine,
  powerLine,
  wingLines,
  withWing,
  type TradeLine,
} from '@bold-ballast/model'
import { useMemo } from 'react'
import { useBuild } from '../../../store/useBuild'
import { useLiveCar } from '../../../store/useCar'
import { Chart, type Series } from '../../../ui/Chart'
import { ChooseCourse } from '../ChooseCourse'
import { drawnOf } from '../drawnOr'
import { lapOfCar } from '../lapOfCar'
import { NoLap, type LapWays } from '../NoLap'
import { useChosenCourse } from '../useChosenCourse'
import { useTradeLaps, type TradeTask } from './useTradeLaps'

const LOOKS = [
  ['--blued', 'solid'],
  ['--oxide', 'dash'],
  ['--zinc', 'dot'],
  ['--ochre', 'dash'],
] as const
/** So many courses stand in one picture. */
const MOST_COURSES = LOOKS.length

/** One thing turned, all else alike: what it does to the lap of each course. */
interface Trade {
  readonly key: string
  readonly title: string
  readonly xTitle: string
  readonly line: TradeLine
  /** As it is shown along x, and in words. */
  readonly shown: (value: number) => number
  readonly says: (value: number) => string
  /** As it is now. */
  readonly now: number
}

/** Trade-offs drawn: wing, final drive, downforce balance and power against mass, by the lap. */
export function TradeView(ways: LapWays) {
  const car = useLiveCar()
  const { course } = useChosenCourse()
  const found = useMemo(() => lapOfCar(car, course), [car, course])
  if (!found || !course) return <NoLap {...ways} />
  return (
    <section aria-label="Trade-offs">
      <ChooseCourse />
      {'problem' in found ? (
        <p role="alert" className="mt-3 text-oxide">
          No lap: {found.problem}.
        </p>
      ) : (
        <Trades key={course.id} course={course} />
      )}
    </section>
  )
}

function Trades({ course }: { course: Course }) {
  const { unit } = useBuild()
  const car = useLiveCar()
  const { courses } = useChosenCourse()
  const axles = useMemo((): AxleCar | null => (car.geared ? axleCarOf(car.geared.run) : null), [car])
  const places = useMemo(
    () => drawnOf([course, ...courses.filter((c) => c.id !== course.id)]).slice(0, MOST_COURSES),
    [courses, course],
  )
  const trades = useMemo((): Trade[] => {
    if (!axles) return []
    const degrees = (rad: number) => (rad * 180) / Math.PI
    const final = finalDriveLine(axles)
    const share = downforceShareLine(axles)
    const total = axles.downforce.front + axles.downforce.rear
    return [
      ...wingLines(car, axles).map(({ element, now, ...line }): Trade => ({
        key: `wing ${element.id}`,
        title: `${element.name}, angle`,
        xTitle: 'Angle (°)',
        line,
        shown: degrees,
        says: (v) => `${formatNumber(degrees(v), 1)}°`,
        now,
      })),
      ...(final && axles.drive.kind === 'gears'
        ? [
            {
              key: 'final',
              title: 'Final drive',
              xTitle: 'Final drive',
              line: final,
              shown: (v: number) => v,
              says: (v: number) => `a final drive of ${formatNumber(v, 2)}`,
              now: axles.drive.finalDrive,
            },
          ]
        : []),
      ...(share
        ? [
            {
              key: 'share',
              title: 'Downforce in front, all of it as now',
              xTitle: 'Of the downforce in front (%)',
              line: share,
              shown: (v: number) => v * 100,
              says: (v: number) => `${formatNumber(v * 100, 0)} % in front`,
              now: axles.downforce.front / total,
            },
          ]
        : []),
    ]
  }, [axles, car])
  const both = useMemo(() => bestOfBoth(car, axles), [car, axles])
  const weighed = useMemo(() => (axles ? { power: powerLine(axles), mass: massLine(axles) } : null), [axles])
  const tasks = useMemo((): TradeTask[] => {
    const [main] = places
    if (!axles || !main || !weighed) return []
    return [
      ...trades.flatMap((trade) =>
        places.map(({ course: at, drawn }) => ({
          key: `${trade.key} ${at.id}`,
          cars: [axles, ...trade.line.cars],
          course: drawn.coarse,
        })),
      ),
      { key: 'power', cars: weighed.power.cars, course: main.drawn.coarse },
      { key: 'mass', cars: weighed.mass.cars, course: main.drawn.coarse },
      ...(both ? [{ key: 'both', cars: [axles, ...both.cars], course: main.drawn.coarse }] : []),
    ]
  }, [trades, places, axles, weighed, both])
  const { laps, progress, problem } = useTradeLaps(tasks)
  const power = unit('power')
  const mass = unit('mass')
  return (
    <>
      {problem && (
        <p role="alert" className="text-oxide">
          No laps: {problem}.
        </p>
      )}
      <p role="status" className="mt-2 text-[14px] text-muted" data-testid="trade-progress">
        {progress === null
          ? 'Each by itself, all else as it is; seconds against the car as it is. Below nought is quicker.'
          : `Driving laps: ${formatNumber(progress * 100, 0)} %`}
      </p>
      <BestOfBoth laps={laps.get('both')} both={both} />
      <div className="grid gap-x-6 @4xl:grid-cols-2">
        {trades.map((trade) => (
          <TradeChart key={trade.key} trade={trade} places={places} laps={laps} />
        ))}
        <Weighed
          power={laps.get('power')}
          mass={laps.get('mass')}
          lines={weighed}
          powerUnit={power}
          massUnit={mass}
        />
      </div>
    </>
  )
}

/** Angles of the wing by final drives. */
interface Both {
  readonly wing: string
  readonly combinations: readonly { readonly angle: number; readonly final: number }[]
  readonly cars: readonly AxleCar[]
}

/** The first wing's angles with each final drive: what one alone would want, the other may change. */
function bestOfBoth(car: ReturnType<typeof useLiveCar>, axles: AxleCar | null): Both | null {
  if (!axles || axles.drive.kind === 'power') return null
  const { drive } = axles
  const [wing] = wingLines(car, axles)
  const final = finalDriveLine(axles)
  if (!wing || !final) return null
  const combinations = wing.values.flatMap((angle) => final.values.map((ratio) => ({ angle, final: ratio })))
  return {
    wing: wing.element.name,
    combinations,
    cars: combinations.map(({ angle, final: finalDrive }) => ({
      ...withWing(car, axles, wing.element, angle),
      drive: { ...drive, finalDrive },
    })),
  }
}

function BestOfBoth({ laps, both }: { laps: readonly (number | null)[] | undefined; both: Both | null }) {
  if (!laps || !both) return null
  const [now, ...tried] = laps
  if (now == null) return null
  const best = tried.reduce<number>(
    (at, lap, i) => (lap !== null && lap < (tried[at] ?? Infinity) ? i : at),
    0,
  )
  const found = both.combinations[best]
  const lap = tried[best]
  if (!found || lap == null) return null
  return (
    <p className="max-w-[820px] text-[16px]" data-testid="best-of-both">
      Of {tried.length} combinations {both.wing} at{' '}
      <b className="figure">{formatNumber((found.angle * 180) / Math.PI, 1)}°</b> with a final drive of{' '}
      <b className="figure">{formatNumber(found.final, 2)}</b> is the quickest:{' '}
      {now - lap < 0.01
        ? 'no more than a hundredth quicker than it is'
        : `${formatNumber(now - lap, 2)} s quicker than it is`}
      .
    </p>
  )
}

function TradeChart({
  trade,
  places,
  laps,
}: {
  trade: Trade
  places: readonly { readonly course: Course }[]
  laps: ReadonlyMap<string, readonly (number | null)[]>
}) {
  const { line, shown, says, key } = trade
  const lines = useMemo(
    () =>
      places.flatMap(({ course }, i) => {
        const [now, ...all] = laps.get(`${key} ${course.id}`) ?? []
        if (now == null) return []
        const off = all.map((lap) => (lap === null ? null : lap - now))
        const [colour, dash] = itemAt(LOOKS, i % LOOKS.length)
        const series: Series = {
          name: course.name,
          x: line.values.map((v) => Number(shown(v).toFixed(2))),
          y: off.map((s) => (s === null ? null : Number(s.toFixed(3)))),
          colour,
          dash,
          says: line.values.map((v, at) => `${course.name}: ${says(v)}: ${signed(off[at] ?? 0)} s a lap`),
        }
        const best = off.reduce<number>((at, s, j) => (s !== null && s < (off[at] ?? Infinity) ? j : at), 0)
        return [{ series, name: course.name, best: itemAt(line.values, best), gain: off[best] ?? 0 }]
      }),
    [places, laps, key, line, shown, says],
  )
  const series = useMemo(() => lines.map((l) => l.series), [lines])
  if (lines.length === 0) return null
  return (
    <div>
      <Chart
        title={trade.title}
        summary={`Seconds a lap against now, along ${trade.xTitle.toLowerCase()}.`}
        xTitle={trade.xTitle}
        yTitle="s a lap, against now"
        series={series}
        table={{
          header: [trade.xTitle, ...lines.map((l) => `${l.name} (s)`)],
          rows: line.values.map((v, i) => [
            Number(shown(v).toFixed(2)),
            ...lines.map((l) => l.series.y[i] ?? null),
          ]),
        }}
        filename={`trade-${key.split(' ')[0]}`}
        height={250}
        at={Number(shown(trade.now).toFixed(2))}
      />
      <p className="text-[14px]" data-testid={`trade-${key.split(' ')[0]}`}>
        Now {says(trade.now)}.{' '}
        {lines
          .map((l) =>
            l.gain > -0.01
              ? `${l.name}: it is right`
              : `${l.name}: ${says(l.best)}, ${formatNumber(-l.gain, 2)} s quicker`,
          )
          .join('; ')}
        .
      </p>
    </div>
  )
}

function Weighed({
  power,
  mass,
  lines,
  powerUnit,
  massUnit,
}: {
  power: readonly (number | null)[] | undefined
  mass: readonly (number | null)[] | undefined
  lines: { readonly power: TradeLine; readonly mass: TradeLine } | null
  powerUnit: Parameters<typeof formatQuantity>[1]
  massUnit: Parameters<typeof formatQuantity>[1]
}) {
  const kilos = useMemo(
    () =>
      power && mass && lines && !power.includes(null) && !mass.includes(null)
        ? kilosFor(power as number[], { values: lines.mass.values, laps: mass as number[] })
        : null,
    [power, mass, lines],
  )
  const series = useMemo((): Series[] => {
    if (!kilos || !lines) return []
    return [
      {
        name: 'as quick',
        x: lines.power.values.map((w) => Number(fromSi(w, powerUnit).toFixed(1))),
        y: kilos.map((k) => (k === null ? null : Number(fromSi(k, massUnit).toFixed(1)))),
        colour: '--blued',
        says: kilos.map(
          (k, i) =>
            `${formatQuantity(itemAt(lines.power.values, i), powerUnit, 0)} more or ${k === null ? 'more kilos than were tried' : formatQuantity(k, massUnit, 0)} less`,
        ),
      },
    ]
  }, [kilos, lines, powerUnit, massUnit])
  if (!kilos || !lines) return null
  const at = lines.power.values.findIndex((w) => w >= 20_000 - 1)
  const worth = kilos[at]
  return (
    <div>
      <Chart
        title="Power against mass"
        summary="How much lighter a car is as quick as one with so much more power."
        xTitle={`More power (${powerUnit.symbol})`}
        yTitle={`Less mass (${massUnit.symbol})`}
        series={series}
        table={{
          header: [`More power (${powerUnit.symbol})`, `Less mass (${massUnit.symbol})`],
          rows: lines.power.values.map((w, i) => {
            const kilo = kilos[i] ?? null
            return [
              Number(fromSi(w, powerUnit).toFixed(1)),
              kilo === null ? null : Number(fromSi(kilo, massUnit).toFixed(1)),
            ]
          }),
        }}
        filename="power-against-mass"
        height={250}
      />
      <p className="text-[14px]" data-testid="trade-mass">
        {worth == null
          ? `${formatQuantity(lines.power.values[at] ?? 20_000, powerUnit, 0)} are worth more kilos than were tried.`
          : `${formatQuantity(itemAt(lines.power.values, at), powerUnit, 0)} are worth ${formatQuantity(worth, massUnit, 0)} here.`}
      </p>
    </div>
  )
}

const signed = (s: number) => `${s < 0 ? '−' : '+'}${formatNumber(Math.abs(s), 3)}`
