import type { Course } from '@bold-ballast/contract'
import {
  formatNumber,
  orWhy,
  USUAL_WEIGHT,
  type ChangeEffect,
  type LapCause,
  type LapShare,
} from '@bold-ballast/core'
import { carOnSheet, lapOf, type Helped } from '@bold-ballast/model'
import { useMemo } from 'react'
import { useBuild } from '../../../store/useBuild'
import { Chart, type Series } from '../../../ui/Chart'
import { ShowWorking } from '../../../ui/ShowWorking'
import { TableHead } from '../../../ui/TableHead'
import { sayTime } from '../sayTime'

const CAUSE: Readonly<Record<LapCause, string>> = {
  driver: 'The driver, learning',
  tyres: 'Tyres and all that goes lap by lap',
  fuel: 'Fuel burnt off',
  air: 'The air',
  session: 'Sessions and days',
}
const LOOKS = [
  ['--blued', 'circle'],
  ['--oxide', 'diamond'],
  ['--zinc', 'square'],
  ['--ochre', 'triangle-up'],
] as const

const signed = (seconds: number, digits = 2) =>
  `${seconds < 0 ? '−' : '+'}${formatNumber(Math.abs(seconds), digits)}`

/** One driver's laps: what each change was worth, what else made them quicker, and which run would settle it. */
export function DriverHelped({
  helped,
  course,
  stageId,
}: {
  helped: Helped
  course: Course | null
  stageId: string
}) {
  const { driver, effects, alike, laps, next } = helped
  const worked = useWorkedOut(helped, course, stageId)
  const { changes, base, parts, trend, scatter, freedom, left } = effects
  return (
    <section aria-label={driver || 'Nobody named'} className="mt-4">
      <h2 className="text-[20px]">{driver || 'Nobody named'}</h2>
      {changes.length === 0 ? (
        <p className="text-[15px]">
          {laps.length} laps that count, all on {base}: nothing was changed between them.
        </p>
      ) : (
        changes.map((change) => (
          <p key={change.on} className="max-w-[820px] text-[16px]" data-testid="helped-says">
            <Verdict change={change} base={base} runs={effects.runs} />
            {change.verdict === 'confounded' && alike && (
              <Alike change={alike.changes.find((c) => c.on === change.on)} />
            )}
            {worked.get(change.on) !== undefined && (
              <span className="block text-[14px] text-muted">
                The lap model says {signed(worked.get(change.on) ?? 0)} s: it points, laps show.
              </span>
            )}
          </p>
        ))
      )}
      {next && (
        <p className="mt-1 max-w-[820px] text-[15px]" data-testid="settles">
          What would settle it: a run more, {next.laps} laps on {next.on}. The error of {next.change} would go{' '}
          {Number.isFinite(next.error.now)
            ? `from ±${formatNumber(next.error.now, 2)} to`
            : 'from not known at all to'}{' '}
          ±{formatNumber(next.error.then, 2)} s.
        </p>
      )}
      <LapsChart helped={helped} />
      {changes.length > 0 && (
        <div className="overflow-x-auto">
          <table className="mt-2 w-full max-w-[720px]" data-testid="parts">
            <caption className="text-left text-[14px] text-muted">
              From the first lap that counts to the last, by what it goes along with, and between what it lies
              nine times in ten
            </caption>
            <TableHead columns={[{ says: 'From' }, { says: 's a lap', figures: true, className: 'px-2' }]} />
            <tbody>
              {(Object.keys(CAUSE) as LapCause[]).map((cause) => {
                const part = parts[cause]
                return part && <ShareRow key={cause} says={CAUSE[cause]} share={part} />
              })}
              {trend && <ShareRow says="Driver and tyres together" share={trend} />}
              {changes
                .filter((c) => Number.isFinite(c.error))
                .map((c) => (
                  <ShareRow key={c.on} says={`${c.on} against ${base}`} share={c} />
                ))}
            </tbody>
          </table>
        </div>
      )}
      <p className="mt-1 max-w-[820px] text-[13.5px] text-muted">
        {laps.length} laps that count
        {freedom < 3
          ? ': too few to say how they scatter.'
          : ` in ${effects.runs} ${effects.runs === 1 ? 'run' : 'runs'}; from lap to lap they scatter ${formatNumber(scatter, 2)} s with all of that taken out (${freedom} degrees of freedom), and runs are taken to differ by ${formatNumber(effects.offset.seconds, 2)} s for no reason${effects.offset.weight > USUAL_WEIGHT ? ', by their repeats' : ' (common practice)'}.`}
        {left.length > 0 &&
          ` ${left
            .map((c) => (c === 'fuel' ? 'fuel' : 'air'))
            .join(' and ')
            .replace(/^./, (letter) =>
              letter.toUpperCase(),
            )} went along with the lap number or with what was changed, and can’t be told from it.`}{' '}
        <ShowWorking
          working={{
            title: 'Did it help',
            formula: 't = a + b·n + c·ln n + sessions + fuel + air + what was on the car',
            inputs: [
              ['Trend', 'lap number since the driver got in, and its logarithm'],
              [
                'Errors',
                `a lap has ${formatNumber(effects.correlation * 100, 0)} % of the error of the one before it; a run ±${formatNumber(effects.offset.seconds, 2)} s of its own`,
              ],
              ['Verdict', 'Student’s t at 95 %; what is held with nine chances in ten is shown'],
              ['Left out', 'in-laps, out-laps, traffic, errors, another state of the track'],
            ],
            result: `${changes.length} ${changes.length === 1 ? 'change' : 'changes'}`,
            source:
              'linear model (Draper and Smith) by restricted likelihood; the trend’s shape and what runs differ by: common practice',
          }}
        />
      </p>
    </section>
  )
}

function ShareRow({ says, share }: { says: string; share: LapShare }) {
  return (
    <tr className="border-b border-line">
      <th scope="row" className="py-1 text-left font-medium">
        {says}
      </th>
      <td className="px-2 text-right whitespace-nowrap tabular-nums">
        {signed(share.seconds)}{' '}
        <span className="text-muted">
          {signed(share.interval[0])} to {signed(share.interval[1])}
        </span>
      </td>
    </tr>
  )
}

function Verdict({ change, base, runs }: { change: ChangeEffect; base: string; runs: number }) {
  const { on, seconds, interval, verdict, chance, isBack } = change
  const [low, high] = interval
  const range = `${signed(low)} to ${signed(high)} s`
  const leans = isBack
    ? ''
    : ` Nobody went back: ${runs === 2 ? 'with two runs ' : ''}it leans on driver and tyres having that trend.`
  switch (verdict) {
    case 'quicker':
    case 'slower':
      return (
        <>
          <b className={`font-medium ${verdict === 'quicker' ? 'text-zinc' : 'text-oxide'}`}>
            {on} is {verdict} than {base}: {signed(seconds)} s a lap
          </b>
          , {range} with nine chances in ten. Laps like these come of nothing once in{' '}
          {formatNumber(Math.min(9999, 1 / Math.max(chance, 1e-4)), 0)} times.{leans}
        </>
      )
    case 'notShown': {
      // Nine chances in ten are on one side, and nineteen of twenty aren't: it points.
      const points = high < 0 ? 'quicker' : low > 0 ? 'slower' : null
      return (
        <>
          <b className="font-medium text-ochre">
            {points ? `${on} points to ${points}, and isn’t shown` : `${on} is not shown`} to be other than{' '}
            {base}
          </b>
          : {range} with nine chances in ten{points && ', and nineteen in twenty are wanted'}. The driver, the
          tyres, or one run being like that may have made all that is seen.{leans}
        </>
      )
    }
    case 'confounded':
      return (
        <>
          <b className="font-medium text-ochre">
            {on} can’t be told from {change.with === 'session' ? 'the session it was driven in' : 'the trend'}
          </b>
          : each time it was on, that changed, too.
        </>
      )
    case 'tooFew':
      return (
        <>
          <b className="font-medium text-ochre">Too few laps to say anything of {on}</b>: drive more of them,
          and go back to {base}.
        </>
      )
  }
}

/** What it would be if sessions were alike, which nobody has shown. */
function Alike({ change }: { change: ChangeEffect | undefined }) {
  if (!change || !Number.isFinite(change.error)) return null
  const [low, high] = change.interval
  return (
    <span className="block text-[14px] text-muted">
      If sessions were alike, it would be {signed(change.seconds)} s a lap, {signed(low)} to {signed(high)}:
      that only points.
    </span>
  )
}

/** What the lap model makes of the sheets that were driven on, against the base, s. */
function useWorkedOut({ effects }: Helped, course: Course | null, stageId: string) {
  const { view } = useBuild()
  return useMemo((): ReadonlyMap<string, number> => {
    if (!course) return new Map()
    const lapOn = (on: string) => {
      const sheet = view.setups.find((s) => on === `Sheet ${s.order}`)
      const run = sheet && carOnSheet(view, stageId, sheet.id).geared?.run
      return run
        ? orWhy(
            () => lapOf(run, course, true).time,
            () => null,
          )
        : null
    }
    const base = lapOn(effects.base)
    if (base === null) return new Map()
    return new Map(
      effects.changes.flatMap(({ on }) => {
        const lap = lapOn(on)
        return lap === null ? [] : [[on, lap - base] as const]
      }),
    )
  }, [effects, course, view, stageId])
}

/** The laps in the order in which they were driven, told apart by what was on the car. */
function LapsChart({ helped: { laps } }: { helped: Helped }) {
  const series = useMemo((): Series[] => {
    const ons = [...new Set(laps.map((lap) => lap.on))]
    return ons.map((on, i): Series => {
      const [colour, symbol] = LOOKS[i % LOOKS.length] ?? LOOKS[0]
      const own = laps.flatMap((lap, place) => (lap.on === on ? [{ lap, place }] : []))
      return {
        name: on,
        x: own.map(({ place }) => place + 1),
        y: own.map(({ lap }) => lap.time),
        colour,
        symbol,
        mode: 'markers',
        hollow: i % 2 === 1,
        says: own.map(({ lap }) => `${on}, ${lap.session}, lap ${lap.number}: ${sayTime(lap.time)}`),
      }
    })
  }, [laps])
  return (
    <Chart
      title="Laps that count"
      summary={`${laps.length} laps in the order in which they were driven, by what was on the car.`}
      xTitle="Lap"
      yTitle="Time (s)"
      series={series}
      table={{
        header: ['Lap', 'On', 'Session', 'Time (s)'],
        rows: laps.map((lap, i) => [i + 1, lap.on, lap.session, lap.time]),
      }}
      filename="laps"
      height={240}
    />
  )
}
