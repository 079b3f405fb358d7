import { blankLapBasis, putEdit, type Course, type Outing } from '@bold-ballast/contract'
import {
  formatFigure,
  formatNumber,
  formatQuantity,
  fuelOfLap,
  gearsLogged,
  itemAt,
  orWhy,
  speedsWithin,
  STANDARD_GRAVITY,
  workLogged,
  type LogStretch,
} from '@bold-ballast/core'
import { gripByCorner, type DayLine } from '@bold-ballast/model'
import { useMemo, useState, type ReactNode } from 'react'
import { useBuild } from '../../../store/useBuild'
import { useLiveCar } from '../../../store/useCar'
import { useCarried } from '../../../store/useCarried'
import { Button } from '../../../ui/Button'
import { Choose } from '../../../ui/Choose'
import { MayOnly } from '../../../ui/MayOnly'
import type { LoggedRun } from './lapsLogged'
import { useGripLimits, useRunCar } from './useGripLimits'

/** So many points of a stretch are handed over. */
const MOST_POINTS = 600
const thousandth = (value: number) => Math.round(value * 1000) / 1000

/** What a run's log gives other rooms: grip, brake pressures, gears, fuel, stretches that rolled out, least speeds. */
export function LogGives({
  day,
  line,
  course,
  logged,
}: {
  day: Outing
  line: DayLine
  course: Course | null
  logged: readonly LoggedRun[]
}) {
  const [asked, setAsked] = useState<string | null>(null)
  const one = logged.find(({ run }) => run.id === asked) ?? logged[0]
  if (!one) return null
  return (
    <section aria-label="What the log gives" className="mt-5">
      <div className="flex flex-wrap items-end justify-between gap-3">
        <h2 className="text-[20px]">What the log gives</h2>
        {logged.length > 1 && (
          <Choose
            label="Log of"
            value={one.run.id}
            options={logged.map(({ run }) => [run.id, `Run ${run.order}, ${run.driver}`] as const)}
            onChange={setAsked}
            wide={false}
          />
        )}
      </div>
      <dl className="mt-1 grid gap-x-6 gap-y-2 text-[15px] @3xl:grid-cols-2" data-testid="log-gives">
        <Grip one={one} />
        {course && line.isCourse && <CornerGrip one={one} line={line} course={course} />}
        <Pressures one={one} day={day} />
        <Gears one={one} />
        <Fuel one={one} />
        <Coasts one={one} day={day} />
        <Speeds one={one} day={day} />
      </dl>
    </section>
  )
}

interface Of {
  readonly one: LoggedRun
}

function Given({ name, children }: { name: string; children: ReactNode }) {
  return (
    <div className="border-t border-line pt-1.5">
      <dt className="text-[13px] text-muted">{name}</dt>
      <dd>{children}</dd>
    </div>
  )
}

function Grip({ one: { look, run } }: Of) {
  const velocity = useBuild().unit('velocity')
  const shown = look.grip
  const limits = useGripLimits(run)
  if (shown.length === 0) return null
  const g = (acceleration: number) => formatNumber(acceleration / STANDARD_GRAVITY, 2)
  return (
    <Given name="Held sideways, nineteen samples of twenty; beside it what Course takes for granted">
      {shown.map(({ from, to, sideways }) => (
        <span key={from} className="mr-4 inline-block whitespace-nowrap">
          {formatFigure(from, velocity, 0)} to {formatQuantity(to, velocity, 0)}:{' '}
          <b className="figure">{g(sideways ?? 0)} g</b>
          {limits && <span className="text-muted"> of {g(limits.sideways((from + to) / 2))}</span>}
        </span>
      ))}
    </Given>
  )
}

/** Least speeds, corner by corner, beside those of the worked-out lap; and the grip that would make them alike. */
function CornerGrip({ one, line, course }: Of & { line: DayLine; course: Course }) {
  const { view, stage, saveSaying, unit } = useBuild()
  const velocity = unit('velocity')
  const car = useRunCar(one.run)
  const { record } = useCarried('lapBasis')
  const found = useMemo(
    () =>
      car &&
      orWhy(
        () => gripByCorner({ ...car, fittedGrip: 1 }, course, line, one),
        () => null,
      ),
    [car, course, line, one],
  )
  if (!found || !car) return null
  const keep = () => {
    const before = record ?? { ...blankLapBasis(stage.id, crypto.randomUUID()), brakingUsed: car.brakeUsed }
    saveSaying(
      `Fit grip to least speeds of ${one.log.name}`,
      [
        putEdit(view, 'lapBasis', {
          ...before,
          gripFactor: { value: thousandth(found.factor.value), doubt: thousandth(found.factor.doubt) },
        }),
      ],
      `Course takes the grip times ${formatNumber(found.factor.value, 3)} from here on.`,
    )
  }
  return (
    <Given name="Least speeds, and those of Course’s lap">
      {found.corners.map(({ name, logged, workedOut }) => (
        <span key={name} className="mr-4 inline-block whitespace-nowrap">
          {name} <b className="figure">{formatFigure(logged, velocity, 0)}</b>{' '}
          <span className="text-muted">
            {formatFigure(workedOut, velocity, 0)} {velocity.symbol}
          </span>
        </span>
      ))}
      <p>
        They are alike with the grip times{' '}
        <b className="figure">
          {formatNumber(found.factor.value, 3)} ±{formatNumber(found.factor.doubt, 3)}
        </b>
        .{' '}
        <MayOnly right="plan">
          <Button look="quiet" className="no-print !px-0" onClick={keep}>
            Course takes that
          </Button>
        </MayOnly>
      </p>
    </Given>
  )
}

function Pressures({ one: { log, look, run }, day }: Of & { day: Outing }) {
  const { view, unit, saveSaying } = useBuild()
  const found = look.brakes
  if (!found) return null
  const pressure = (pa: number) => formatQuantity(pa, { ...unit('pressure'), decimals: 1 }, 1)
  const keep = () =>
    saveSaying(
      `Brake pressures of ${log.name}`,
      [
        putEdit(view, 'brakeReading', {
          id: crypto.randomUUID(),
          stageId: day.stageId,
          date: day.date,
          name: `${day.name}, run ${run.order}, logged`,
          laps: null,
          linings: NONE,
          discs: NONE,
          pressures: { front: Math.round(found.front), rear: Math.round(found.rear) },
          note: '',
        }),
      ],
      'Stance, Brakes, holds them to its bias now.',
    )
  return (
    <Given name={`Both brake lines, over ${formatNumber(found.lasted, 0)} s of hard braking`}>
      <b className="figure">{pressure(found.front)}</b> in front,{' '}
      <b className="figure">{pressure(found.rear)}</b> behind.{' '}
      <MayOnly right="log">
        <Button look="quiet" className="no-print !px-0" onClick={keep}>
          Keep it for Brakes
        </Button>
      </MayOnly>
    </Given>
  )
}
const NONE = { frontLeft: null, frontRight: null, rearLeft: null, rearRight: null }

function Gears({ one: { log, run } }: Of) {
  const speed = useBuild().unit('engineSpeed')
  const car = useRunCar(run)
  const gears = useMemo(
    () =>
      gearsLogged(
        log,
        car && { overalls: car.ratios.map((ratio) => ratio * car.finalDrive), radius: car.rollingRadius },
      ),
    [log, car],
  )
  if (gears.length === 0) return null
  return (
    <Given name="Gears">
      {gears.map(({ gear, share, fastest }) => (
        <span key={gear} className="mr-4 inline-block whitespace-nowrap">
          {gear}: <b className="figure">{formatNumber(share * 100, 0)} %</b>
          {fastest !== null && <span className="text-muted"> up to {formatQuantity(fastest, speed, 0)}</span>}
        </span>
      ))}
    </Given>
  )
}

function Fuel({ one: { log, run, found } }: Of) {
  const { unit } = useBuild()
  const car = useRunCar(run)
  const { ethanol } = useLiveCar()
  const each = useMemo(() => {
    if (!car) return null
    const works = found.laps.flatMap((lap) =>
      lap.torn ? [] : (workLogged(log, car, [lap.from, lap.to]) ?? []),
    )
    if (works.length === 0) return null
    return fuelOfLap(works.reduce((a, b) => a + b, 0) / works.length, ethanol ?? 0)
  }, [log, car, found, ethanol])
  if (each === null) return null
  return (
    <Given name="Fuel a lap, by what its speeds took; good to about a fifth">
      <b className="figure">{formatQuantity(each, unit('volume'), 2)}</b>
    </Given>
  )
}

const longest = (all: readonly LogStretch[]) => [...all].sort((a, b) => b.to - b.from - (a.to - a.from))

function Coasts({ one: { log, look, run }, day }: Of & { day: Outing }) {
  const { view, unit, saveSaying } = useBuild()
  const velocity = unit('velocity')
  const car = useRunCar(run)
  const coasts = longest(look.coasts)
  const { held } = look
  if (coasts.length === 0 && held.length === 0) return null
  const keep = () =>
    car &&
    saveSaying(
      `Coast-down of ${log.name}`,
      [
        putEdit(view, 'coastDown', {
          id: crypto.randomUUID(),
          stageId: day.stageId,
          date: day.date,
          name: `${day.name}, run ${run.order}, logged`,
          mass: Math.round(car.mass * 10) / 10,
          equivalentMass: 45,
          air: run.air ?? { temperature: 288.15, pressure: 101_300, humidity: 0.6 },
          runs: coasts.slice(0, MOST_RUNS).flatMap((stretch) => {
            const points = speedsWithin(log, stretch, MOST_POINTS)
            return points.length < 10 ? [] : [{ direction: 'out' as const, points }]
          }),
          note: 'From a log: all one way, so wind is in it. Was it out of gear?',
        }),
      ],
      'Aero, Rolled out, has it now.',
    )
  return (
    <Given name="Stretches for Aero">
      {coasts.length > 0 && car && (
        <>
          {coasts.length} {coasts.length === 1 ? 'stretch' : 'stretches'} rolled out, the longest{' '}
          {formatNumber(itemAt(coasts, 0).to - itemAt(coasts, 0).from, 0)} s from{' '}
          {formatFigure(itemAt(coasts, 0).starts, velocity, 0)} to{' '}
          {formatQuantity(itemAt(coasts, 0).ends, velocity, 0)}.{' '}
          <MayOnly right="log">
            <Button look="quiet" className="no-print !px-0" onClick={keep}>
              Keep as a coast-down
            </Button>
          </MayOnly>{' '}
        </>
      )}
      {held.length > 0 && (
        <>
          Speed was held for over three seconds {held.length} {held.length === 1 ? 'time' : 'times'}:{' '}
          {held
            .slice(0, 4)
            .map(
              ({ starts, from, to }) =>
                `${formatQuantity(starts, velocity, 0)} from ${formatNumber(from, 0)} to ${formatNumber(to, 0)} s`,
            )
            .join(', ')}
          . With ride heights beside, Aero reads downforce from it.
        </>
      )}
    </Given>
  )
}
const MOST_RUNS = 12

/** A lap's speeds over time, for the gears that Driveline tries. */
function Speeds({ one: { log, run, found }, day }: Of & { day: Outing }) {
  const { view, saveSaying } = useBuild()
  const best = [...found.laps].filter((lap) => !lap.torn).sort((a, b) => a.to - a.from - (b.to - b.from))[0]
  const points = useMemo(() => (best ? speedsWithin(log, best, MOST_POINTS) : []), [log, best])
  if (points.length < 2) return null
  const keep = () =>
    saveSaying(
      `Speeds of ${log.name}`,
      [
        putEdit(view, 'courseSpeeds', {
          id: crypto.randomUUID(),
          name: `${day.name}, run ${run.order}`,
          order: Math.max(0, ...view.courseSpeeds.map((c) => c.order)) + 1,
          points,
          note: `Logged on ${day.date}`,
        }),
      ],
      'Driveline, Shelf, tries gears on it now.',
    )
  return (
    <Given name="Speeds of its best lap">
      <MayOnly right="log">
        <Button look="quiet" className="no-print !px-0" onClick={keep}>
          Keep them for gears on the shelf
        </Button>
      </MayOnly>
    </Given>
  )
}
