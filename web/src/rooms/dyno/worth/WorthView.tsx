import { isSameDyno, runningCar } from '@bold-ballast/model'
import { sayMass, gearName } from '@bold-ballast/words'
import {
  formatNumber,
  fromSi,
  meanCurve,
  peaksOf,
  preferredUnit,
  sayKnown,
  unitOf,
  WORTH_MEASURES,
  type Known,
  sumKnown,
  type RollOn,
  type Worth,
  type WorthMeasure,
  itemAt,
} from '@bold-ballast/core'
import { useEffect, useMemo, useState } from 'react'
import { useBuild, useLiveBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { Chart } from '../../../ui/Chart'
import { EmptyRoom } from '../../../ui/EmptyRoom'
import { ShowWorking } from '../../../ui/ShowWorking'
import { TableHead } from '../../../ui/TableHead'
import type { WorthApi } from '../../../workers/worth.worker'
import { curvesOf, likelyPair, sidesOf, type Side } from '@bold-ballast/model'
import { useRemote } from '../../../store/useRemote'
import { useLiveCar } from '../../../store/useCar'
import { useWhy } from '../../../store/useWhy'
import { worthDoubts } from '@bold-ballast/model'

const startWorker = () =>
  new Worker(new URL('../../../workers/worth.worker.ts', import.meta.url), { type: 'module' })

const SECOND = unitOf('time', 's')
const KMH = 1 / 3.6
const ROLL_ONS: readonly RollOn[] = [2, 3].map((gear) => ({ gear, from: 80 * KMH, to: 120 * KMH }))
const WORDS: Record<WorthMeasure, string> = {
  zeroToHundred: '0 to 100 km/h',
  quarterMile: 'Standing 402 m',
  trapSpeed: 'Speed at 402 m',
  hundredToTwoHundred: '100 to 200 km/h',
}
const BOX = 'w-full min-w-0 rounded-[3px] border border-edge bg-panel px-2 py-1 text-ink'

/** Two configurations run in a straight line with everything else alike: what the difference is worth. */
export function WorthView({ onGears }: { onGears: () => void }) {
  const { view, stage, unit, units } = useBuild()
  const { summary } = useLiveBuild()
  const car = useLiveCar()
  const why = useWhy()
  const drive = car.gears?.value ?? null
  const sides = useMemo(() => sidesOf(view).filter((s) => curvesOf(s, 'observed').length > 0), [view])
  const likely = likelyPair(sides, stage.id)
  const [chosen, setChosen] = useState<readonly [string | null, string | null]>([null, null])
  const first = sides.find((s) => s.key === chosen[0]) ?? likely[0]
  const second = sides.find((s) => s.key === chosen[1]) ?? likely[1] ?? likely[0]
  const [answer, setAnswer] = useState<Worth[] | { problem: string } | null>(null)
  const api = useRemote<WorthApi>(startWorker)
  const cars = useMemo(() => {
    const of = (side: Side | undefined) => {
      const curve = side && meanCurve(curvesOf(side, 'observed'))
      return drive && side && curve && curve.length > 1 && summary.mass.value > 0
        ? runningCar(car, drive, curve, itemAt(side.pulls, 0).day)
        : null
    }
    return [of(first), of(second)] as const
  }, [car, drive, summary, first, second])
  const massSigma = summary.mass.sigma
  const { modelDoubt: model, air } = car
  useEffect(() => {
    const [from, to] = cars
    if (!from || !to || !first || !second || !air) return
    const shared = { mass: massSigma, air, model }
    const ready = [
      { car: from, doubts: worthDoubts(first, view.instruments, shared) },
      { car: to, doubts: worthDoubts(second, view.instruments, shared) },
    ]
    let isOld = false
    void api()
      .worth(ready, ROLL_ONS)
      .then((worth) => {
        if (!isOld) setAnswer(worth)
      })
    return () => {
      isOld = true
    }
  }, [api, cars, first, second, massSigma, air, view, model])

  const velocity = preferredUnit('velocity', units)
  const worth = Array.isArray(answer) ? answer : null
  const chart = useMemo(() => {
    const [a, b] = worth ?? []
    if (!a || !b || !first || !second) return null
    const series = [
      [first, a, '--muted'],
      [second, b, '--blued'],
    ] as const
    return series.map(([side, w, colour]) => ({
      name: side.configuration,
      colour,
      x: w.trace.map((p) => Number(p.time.toFixed(1))),
      y: w.trace.map((p) => Number(fromSi(p.speed, velocity).toFixed(1))),
      says: w.trace.map(
        (p) =>
          `${side.configuration}: ${formatNumber(fromSi(p.speed, velocity), 0)} ${velocity.symbol} after ${p.time.toFixed(1)} s`,
      ),
    }))
  }, [worth, first, second, velocity])

  if (!drive)
    return (
      <EmptyRoom
        title="No gears yet"
        action={
          <Button look="main" onClick={onGears}>
            Type gears and grip
          </Button>
        }
      >
        With the ratios, the tyre’s radius, grip and drag, any two configurations are run in a straight line:
        0 to 100 km/h, 402 m, 100 to 200 km/h and roll-ons, each with its uncertainty. The mass and its place
        come from this stage’s ledger and scales.
      </EmptyRoom>
    )
  if (!first || !second)
    return (
      <EmptyRoom title="No curve yet">
        Log a pull with a curve under Dyno days; two configurations can be run against each other.
      </EmptyRoom>
    )
  const seconds = (k: Known | null | undefined, isSpeed = false) =>
    k ? (
      <span className="whitespace-nowrap">
        <span className="figure text-[19px]">
          {formatNumber(isSpeed ? fromSi(k.value, velocity) : k.value, isSpeed ? 1 : 2)}
        </span>{' '}
        <span className="unit">
          ±{formatNumber(isSpeed ? k.sigma / velocity.factor : k.sigma, isSpeed ? 1 : 2)}{' '}
          {isSpeed ? velocity.symbol : 's'}
        </span>
      </span>
    ) : (
      <span className="text-muted">never</span>
    )
  const twoDynos = !isSameDyno(first, second)
  const gap = (words: string, from: Known | null, to: Known | null, isSpeed: boolean) => {
    if (!from || !to) return '–'
    const known = sumKnown([
      { known: to, times: 1 },
      { known: from, times: -1 },
    ])
    const [by, sigma] = [known.value, known.sigma].map((v) => v / (isSpeed ? velocity.factor : 1)) as [
      number,
      number,
    ]
    const places = isSpeed ? 1 : 2
    return (
      <>
        <span className="figure text-[19px]">
          {by > 0 ? '+' : ''}
          {formatNumber(by, places)}
        </span>{' '}
        <span className="unit">±{formatNumber(sigma, places)}</span>{' '}
        <ShowWorking
          working={{
            title: `${words}, the difference`,
            formula: `${second.configuration} − ${first.configuration}`,
            inputs: [
              [first.configuration, sayKnown(from, isSpeed ? velocity : SECOND)],
              [second.configuration, sayKnown(to, isSpeed ? velocity : SECOND)],
            ],
            result: sayKnown(known, isSpeed ? velocity : SECOND),
            source: 'what both share falls away by its name (JCGM 100:2008, 5.2.2)',
            why: why(known, isSpeed ? velocity : SECOND, 'how near worked-out runs come to driven ones'),
          }}
        />
      </>
    )
  }
  const [a, b] = worth ?? []
  const rows: [string, Known | null | undefined, Known | null | undefined, boolean][] = [
    ...WORTH_MEASURES.map((m): [string, Known | null | undefined, Known | null | undefined, boolean] => [
      WORDS[m],
      a?.figures[m],
      b?.figures[m],
      m === 'trapSpeed',
    ]),
    ...ROLL_ONS.filter((r) => r.gear < drive.ratios.length).map(
      (r, i): [string, Known | null | undefined, Known | null | undefined, boolean] => [
        `80 to 120 km/h in ${gearName(r.gear)}`,
        a?.rollOns[i],
        b?.rollOns[i],
        false,
      ],
    ),
  ]
  const choice = (label: string, side: Side, at: 0 | 1) => (
    <label className="flex flex-col gap-1 text-[13px] text-muted">
      {label}
      <select
        className={BOX}
        value={side.key}
        onChange={(e) => setChosen(at === 0 ? [e.target.value, second.key] : [first.key, e.target.value])}
      >
        {sides.map((s) => (
          <option key={s.key} value={s.key}>
            {s.configuration}, {s.dyno}
          </option>
        ))}
      </select>
    </label>
  )
  const tried = cars[1] ?? cars[0]
  const isMassless = !(summary.mass.value > 0)
  return (
    <>
      <div className="grid gap-3 @2xl:grid-cols-2">
        {choice('Configuration A', first, 0)}
        {choice('Configuration B', second, 1)}
      </div>
      {twoDynos && (
        <p className="mt-2 text-ochre">Two dynos: part of the difference below is theirs, not the car’s.</p>
      )}
      {isMassless && (
        <p role="alert" className="mt-2 text-oxide">
          Can’t be worked out: the car would weigh {sayMass(summary.mass.value, units)}. Check the ledger.
        </p>
      )}
      {answer && 'problem' in answer && (
        <p role="alert" className="mt-2 text-oxide">
          {answer.problem}
        </p>
      )}
      <div className="mt-3 overflow-x-auto" role="region" aria-label="What it is worth" hidden={isMassless}>
        <table
          className="w-full max-w-[860px] [&_.unit]:max-sm:block [&_td]:pl-3 [&_th+th]:pl-3"
          data-testid="worth"
        >
          <TableHead
            columns={[
              { says: 'Run' },
              { says: first.configuration, figures: true },
              { says: second.configuration, figures: true },
              { says: 'Difference', figures: true },
            ]}
          />
          <tbody>
            {rows.map(([words, x, y, isSpeed]) => (
              <tr key={words} className="border-b border-line">
                <th scope="row" className="py-1.5 pr-2 text-left font-medium">
                  {words}
                </th>
                <td className="text-right">{worth ? seconds(x, isSpeed) : '…'}</td>
                <td className="text-right">{worth ? seconds(y, isSpeed) : '…'}</td>
                <td className="text-right whitespace-nowrap">
                  {worth ? gap(words, x ?? null, y ?? null, isSpeed) : '…'}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {a && b && tried && (
        <p className="mt-2 text-[13.5px] text-muted" data-testid="run-notes">
          {formatNumber(fromSi(tried.mass, unit('mass')), 0)} {unit('mass').symbol} with the driver,{' '}
          {b.shifts} {b.shifts === 1 ? 'shift' : 'shifts'} in 402 m; grip is the limit for{' '}
          {formatNumber(b.gripShare * 100, 0)} % of it with {second.configuration}. Every figure is a guess
          until somebody times it: its ± holds what the pulls scatter by, the dyno’s own error, mass, grip,
          drag and {formatNumber(model * 100, 1)} % for the model. The same car runs twice, so most of that
          cancels in the difference.{' '}
          <ShowWorking
            working={{
              title: 'The straight-line run',
              formula: 'm·dv/dt = min(T·i/r, μ·N) − ½ρC_DA·v² − C_rr·m·g',
              inputs: [
                ['Mass with driver', `${formatNumber(tried.mass, 0)} kg`],
                ['Peak at the wheels', `${formatNumber(peaksOf(tried.curve).power.value / 1000, 1)} kW`],
                ['Grip, drag area', `${tried.grip}, ${tried.dragArea} m²`],
                [
                  'Front share, height',
                  `${formatNumber(tried.frontShare * 100, 1)} %, ${formatNumber(tried.massHeight * 1000, 0)} mm`,
                ],
                ['Air', `${formatNumber(tried.airDensity, 3)} kg/m³`],
                [
                  'Shift',
                  `${tried.shiftTime} s at ${formatNumber((tried.shiftSpeed * 30) / Math.PI, 0)} rpm`,
                ],
              ],
              result: a.figures.quarterMile
                ? `${formatNumber(a.figures.quarterMile.value, 2)} s and ${b.figures.quarterMile ? formatNumber(b.figures.quarterMile.value, 2) : '–'} s on 402 m`
                : 'never',
              source: 'numerical integration in 2 ms steps, load transfer m·a·h/L, rotating inertia by gear',
            }}
          />
        </p>
      )}
      {chart && (
        <Chart
          title="Speed over time"
          summary={`Speed against time on the standing 402 m for ${first.configuration} and ${second.configuration}.`}
          xTitle="Time (s)"
          yTitle={`Speed (${velocity.symbol})`}
          series={chart}
          table={{
            header: ['s', first.configuration, second.configuration],
            rows: itemAt(chart, 0).x.map((t, i) => [
              t,
              itemAt(chart, 0).y[i] ?? null,
              itemAt(chart, 1).y[i] ?? null,
            ]),
          }}
          filename={`${view.build.name} straight line`}
          height={260}
        />
      )}
    </>
  )
}
