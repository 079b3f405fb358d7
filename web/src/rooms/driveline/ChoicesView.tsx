import { straightLineCar, withoutVersion } from '@bold-ballast/contract'
import {
  formatNumber,
  fromSi,
  type Gearing,
  type GearingFigures,
  type GearingGoal,
  type GearingTrial,
} from '@bold-ballast/core'
import { proxy, wrap, type Remote } from 'comlink'
import { useEffect, useMemo, useRef, useState } from 'react'
import { put } from '../../store/commit'
import { useBuild, useLiveBuild } from '../../store/useBuild'
import { Button } from '../../ui/Button'
import { QuantityField } from '../../ui/QuantityField'
import type { GearingApi } from '../../workers/gearing.worker'
import { gearName } from '../../words/gearName'
import type { GearedCar } from './useGearing'

const MOST = 6
interface Choice {
  readonly key: number
  readonly finalDrive: number
  /** Rolling radius, m. */
  readonly radius: number
}
const startWorker = () =>
  new Worker(new URL('../../workers/gearing.worker.ts', import.meta.url), { type: 'module' })

/** Up to six final drives and tyres side by side, live as a slider moves, and the final drive that hits a goal. */
export function ChoicesView({ car }: { car: GearedCar }) {
  const { view, unit, save } = useBuild()
  const { summary } = useLiveBuild()
  const drivetrain = view.build.drivetrain!
  const velocity = useMemo(() => unit('velocity'), [unit])
  const length = unit('length')
  const [choices, setChoices] = useState<readonly Choice[]>(() => [
    {
      key: 1,
      finalDrive: Number((drivetrain.finalDrive * 1.08).toFixed(2)),
      radius: drivetrain.rollingRadius,
    },
  ])
  const [figures, setFigures] = useState<GearingFigures[] | { problem: string } | null>(null)
  const [solving, setSolving] = useState<number | null>(null)
  const [solved, setSolved] = useState<string | null>(null)
  const [wantedSpeed, setWantedSpeed] = useState<number | null>(null)
  const worker = useRef<{ own: Worker; api: Remote<GearingApi> } | null>(null)
  useEffect(() => {
    const own = startWorker()
    worker.current = { own, api: wrap<GearingApi>(own) }
    return () => worker.current?.own.terminate()
  }, [])
  const trial = useMemo<GearingTrial | null>(() => {
    const runs = straightLineCar(view.build, summary, car.curve, null)
    return (
      runs && {
        car: { ...runs, airDensity: car.load.airDensity },
        load: car.load,
        axle: car.axle,
        curve: car.curve,
        threshold: car.threshold,
      }
    )
  }, [view.build, summary, car])
  const gearings = useMemo<Gearing[]>(
    () => [
      car.gearing,
      ...choices.map((c) => ({ ...car.gearing, finalDrive: c.finalDrive, rollingRadius: c.radius })),
    ],
    [car.gearing, choices],
  )
  const isBusy = useRef(false)
  const waiting = useRef<Gearing[] | null>(null)
  useEffect(() => {
    if (!trial) return
    // While a slider moves only the newest question is asked; those in between answer nobody.
    const ask = async (which: Gearing[]) => {
      if (isBusy.current) return void (waiting.current = which)
      isBusy.current = true
      const answer = await worker.current!.api.compare(trial, which)
      isBusy.current = false
      const next = waiting.current
      waiting.current = null
      if (next) return ask(next)
      setFigures(answer)
    }
    void ask(gearings)
  }, [trial, gearings])

  const change = (key: number, more: Partial<Choice>) =>
    setChoices((all) => all.map((c) => (c.key === key ? { ...c, ...more } : c)))
  const add = (finalDrive: number) =>
    setChoices((all) =>
      all.length + 1 >= MOST
        ? all
        : [
            ...all,
            { key: Math.max(0, ...all.map((c) => c.key)) + 1, finalDrive, radius: drivetrain.rollingRadius },
          ],
    )
  const solve = async (goal: GearingGoal, words: string) => {
    if (!trial) return
    setSolving(0)
    setSolved(null)
    const answer = await worker.current!.api.solve(trial, car.gearing, goal, proxy(setSolving))
    setSolving(null)
    if ('problem' in answer) return setSolved(`${answer.problem}.`)
    const { finalDrive, reaches } = answer
    const says =
      goal.kind === 'layout'
        ? `one gear then covers ${formatNumber(reaches * 100, 0)} % of the layout`
        : goal.kind === 'quarterMile'
          ? `402 m in ${formatNumber(reaches, 2)} s`
          : `${formatNumber(fromSi(reaches, velocity), 0)} ${velocity.symbol} at the limiter in the last gear`
    setSolved(`For ${words}: final drive ${formatNumber(finalDrive, 2)}, ${says}.`)
    add(Number(finalDrive.toFixed(2)))
  }
  const stop = () => {
    worker.current?.own.terminate()
    const own = startWorker()
    worker.current = { own, api: wrap<GearingApi>(own) }
    setSolving(null)
    setSolved('Stopped.')
  }
  const fit = (choice: Choice) =>
    save(`Fit final drive ${choice.finalDrive}`, [
      put(view, 'build', {
        ...withoutVersion(view.build),
        drivetrain: { ...drivetrain, finalDrive: choice.finalDrive, rollingRadius: choice.radius },
      }),
    ])
  const known = Array.isArray(figures) && figures.length === gearings.length ? figures : null
  const speed = (v: number | null) => (v === null ? '–' : formatNumber(fromSi(v, velocity), 0))
  const seconds = (t: number | null) => (t === null ? 'never' : formatNumber(t, 2))
  const rows: [string, (f: GearingFigures) => string][] = [
    ['0 to 100 km/h (s)', (f) => seconds(f.zeroToHundred)],
    ['Standing 402 m (s)', (f) => seconds(f.quarterMile)],
    ['Shifts in 402 m', (f) => String(f.shifts)],
    [`Top speed (${velocity.symbol})`, (f) => speed(f.topSpeed)],
    [
      `Widest drift window (${velocity.symbol})`,
      (f) =>
        f.window?.window
          ? `${speed(f.window.window[0])} to ${speed(f.window.window[1])}, ${gearName(f.window.gear)}`
          : 'none',
    ],
    [`At the limiter (${velocity.symbol})`, (f) => f.speeds.map((v) => speed(v)).join(', ')],
  ]
  const { layout } = drivetrain
  const BOX = 'w-24 rounded-[3px] border border-edge bg-panel px-2 py-1 text-ink'
  return (
    <section aria-label="Choices of gearing">
      {figures && 'problem' in figures && (
        <p role="alert" className="text-oxide">
          {figures.problem}.
        </p>
      )}
      <div className="relative overflow-x-auto" role="region" aria-label="Gearings side by side" tabIndex={0}>
        <table className="w-full min-w-[560px]" data-testid="choices">
          <thead>
            <tr className="border-b border-edge align-bottom">
              <th
                scope="col"
                className="w-[190px] max-sm:w-[110px] py-1 text-left text-[12.5px] font-normal text-muted"
              >
                Gearing
              </th>
              <th scope="col" className="figure px-2 py-1 text-left text-[19px]">
                {formatNumber(drivetrain.finalDrive, 2)}
                <span className="unit block">
                  fitted, {formatNumber(fromSi(drivetrain.rollingRadius, length), length.decimals)}{' '}
                  {length.symbol}
                </span>
              </th>
              {choices.map((c, i) => (
                <th key={c.key} scope="col" className="px-2 py-1 text-left font-normal">
                  <label className="flex flex-col text-[12.5px] text-muted">
                    Final drive {i + 1}
                    <input
                      type="number"
                      step="0.01"
                      min="1"
                      max="9"
                      className={BOX}
                      value={c.finalDrive}
                      onChange={(e) =>
                        Number(e.target.value) > 0.5 && change(c.key, { finalDrive: Number(e.target.value) })
                      }
                    />
                  </label>
                  <input
                    type="range"
                    aria-label={`Slide final drive ${i + 1}`}
                    className="my-1 block h-7 w-24 accent-blued"
                    min="2.4"
                    max="6"
                    step="0.01"
                    value={c.finalDrive}
                    onChange={(e) => change(c.key, { finalDrive: Number(e.target.value) })}
                  />
                  <div className="w-28">
                    <QuantityField
                      label={`Tyre radius ${i + 1}`}
                      quantity="length"
                      unit={length}
                      value={c.radius}
                      onChange={(si) => si !== null && si > 0.1 && si < 0.6 && change(c.key, { radius: si })}
                    />
                  </div>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map(([words, cell]) => (
              <tr key={words} className="border-b border-line align-top">
                <th scope="row" className="py-1.5 pr-2 text-left text-[13.5px] font-normal text-muted">
                  {words}
                </th>
                {gearings.map((_, i) => (
                  <td key={i} className="figure px-2 py-1.5 text-[17px]">
                    {known ? cell(known[i]!) : '…'}
                  </td>
                ))}
              </tr>
            ))}
            <tr>
              <td />
              <td />
              {choices.map((c, i) => (
                <td key={c.key} className="px-2 py-1.5">
                  <Button onClick={() => fit(c)}>
                    Fit it<span className="sr-only"> final drive {i + 1}</span>
                  </Button>
                  <Button
                    look="quiet"
                    className="!text-muted"
                    onClick={() => setChoices((all) => all.filter((x) => x.key !== c.key))}
                  >
                    Remove<span className="sr-only"> final drive {i + 1}</span>
                  </Button>
                </td>
              ))}
            </tr>
          </tbody>
        </table>
      </div>
      <p className="mt-2">
        <Button disabled={choices.length + 1 >= MOST} onClick={() => add(drivetrain.finalDrive)}>
          One more
        </Button>
      </p>
      <section aria-label="Solve for a final drive" className="mt-4 border-t border-line pt-3">
        <h2 className="text-[19px]">Which final drive?</h2>
        <div className="mt-2 flex flex-wrap items-end gap-3">
          <div className="w-[150px]">
            <QuantityField
              label="Top speed wanted"
              quantity="velocity"
              unit={velocity}
              value={wantedSpeed}
              onChange={setWantedSpeed}
            />
          </div>
          <Button
            disabled={!wantedSpeed || !(wantedSpeed > 0)}
            onClick={() => void solve({ kind: 'topSpeed', speed: wantedSpeed! }, 'the top speed wanted')}
          >
            Solve for it
          </Button>
          <Button onClick={() => void solve({ kind: 'quarterMile' }, 'the quickest 402 m')}>
            Quickest 402 m
          </Button>
          {layout && (
            <Button onClick={() => void solve({ kind: 'layout', ...layout }, 'the layout in one gear')}>
              The layout in one gear
            </Button>
          )}
          {solving !== null && (
            <span className="flex items-center gap-2">
              <progress value={solving} max={1} aria-label="Trying final drives" />
              {Math.round(solving * 100)} % <Button onClick={stop}>Stop</Button>
            </span>
          )}
        </div>
        <p role="status" className="mt-2" data-testid="solved">
          {solved}
        </p>
        <p className="text-[13px] text-muted">
          Tried from 2.4 to 6.0. The straight line knows grip but no wheelspin: where the tyres spin in first,
          a taller drive looks quicker than it launches.
        </p>
      </section>
    </section>
  )
}
