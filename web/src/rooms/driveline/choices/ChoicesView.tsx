import { putEdit, type CourseSpeeds } from '@bold-ballast/contract'
import { formatNumber, fromSi, type Gearing, type GearingFigures, itemAt } from '@bold-ballast/core'
import { useEffect, useMemo, useRef, useState } from 'react'
import { useBuild } from '../../../store/useBuild'
import { useCarried } from '../../../store/useCarried'
import { Button } from '../../../ui/Button'
import { gearName } from '@bold-ballast/words'
import { Choose } from '../../../ui/Choose'
import { SolveGearing, type Solved } from './SolveGearing'
import { TyreField } from './TyreField'
import type { GearedCar } from '@bold-ballast/model'
import { useTrial } from '../../../store/useTrial'
import { useGearingWorkers } from '../useGearingWorkers'
import { asShelf, useShelf } from '../useShelf'

const MOST = 6
const BOX = 'rounded-[3px] border border-edge bg-panel px-2 py-1 text-ink'
interface Choice {
  readonly key: number
  /** A gearbox of the shelf by its name; null for the one that is fitted. */
  readonly box: string | null
  readonly finalDrive: number
  /** Rolling radius, m. */
  readonly radius: number
}

/** Up to six gearboxes, final drives and tyres side by side, live as a slider moves, and what hits a goal. */
export function ChoicesView({ car }: { car: GearedCar }) {
  const { view, unit, save } = useBuild()
  const { record } = useCarried('drivetrain')
  const { drive } = car
  const velocity = useMemo(() => unit('velocity'), [unit])
  const length = unit('length')
  const shelf = useShelf()
  const boxes = useMemo(() => asShelf(shelf).gearboxes, [shelf])
  const courses = useMemo(() => [...view.courseSpeeds].sort((a, b) => a.order - b.order), [view.courseSpeeds])
  const [courseId, setCourseId] = useState<string | null>(null)
  const course: CourseSpeeds | null = courses.find((c) => c.id === courseId) ?? courses[0] ?? null
  const fitted = { box: null, finalDrive: drive.finalDrive, radius: drive.rollingRadius }
  const [choices, setChoices] = useState<readonly Choice[]>(() => [
    { ...fitted, key: 1, finalDrive: Number((drive.finalDrive * 1.08).toFixed(2)) },
  ])
  const [figures, setFigures] = useState<GearingFigures[] | { problem: string } | null>(null)
  const { ask } = useGearingWorkers(1)
  const trial = useTrial(car, course)
  const gearingOf = useMemo(
    () =>
      (c: Omit<Choice, 'key'>): Gearing => ({
        ...car.gearing,
        ratios: boxes.find((b) => b.name === c.box)?.ratios ?? car.gearing.ratios,
        finalDrive: c.finalDrive,
        rollingRadius: c.radius,
      }),
    [car.gearing, boxes],
  )
  const gearings = useMemo<Gearing[]>(
    () => [car.gearing, ...choices.map(gearingOf)],
    [car.gearing, choices, gearingOf],
  )
  const isBusy = useRef(false)
  const waiting = useRef<(() => Promise<void>) | null>(null)
  useEffect(() => {
    // While a slider moves only the newest question is asked; those in between answer nobody.
    const compare = async (): Promise<void> => {
      if (isBusy.current) return void (waiting.current = compare)
      isBusy.current = true
      const answer = await ask().compare(trial, gearings)
      isBusy.current = false
      const next = waiting.current
      waiting.current = null
      if (next) return next()
      setFigures(answer)
    }
    void compare()
  }, [ask, trial, gearings])

  const change = (key: number, more: Partial<Choice>) =>
    setChoices((all) => all.map((c) => (c.key === key ? { ...c, ...more } : c)))
  const add = (more: Partial<Choice>) =>
    setChoices((all) =>
      all.length + 1 >= MOST
        ? all
        : [...all, { ...fitted, ...more, key: Math.max(0, ...all.map((c) => c.key)) + 1 }],
    )
  const take = ({ vary, value }: Solved) =>
    add(
      vary === 'finalDrive' ? { finalDrive: Number(value.toFixed(2)) } : { radius: Number(value.toFixed(3)) },
    )
  const fit = (choice: Choice) =>
    record &&
    save(`Fit final drive ${choice.finalDrive}`, [
      putEdit(view, 'drivetrain', {
        ...record,
        drive: {
          ...drive,
          ratios: [...gearingOf(choice).ratios],
          finalDrive: choice.finalDrive,
          rollingRadius: choice.radius,
        },
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
    ...(course
      ? ([
          [`Shifts a lap, ${course.name}`, (f) => (f.lap ? String(f.lap.shifts) : '–')],
          ['On the boil, of the lap', (f) => (f.lap ? `${formatNumber(f.lap.inBand * 100, 0)} %` : '–')],
        ] satisfies [string, (f: GearingFigures) => string][])
      : []),
    [`At the limiter (${velocity.symbol})`, (f) => f.speeds.map((v) => speed(v)).join(', ')],
  ]
  return (
    <section aria-label="Choices of gearing">
      {courses.length > 0 && (
        <span className="mb-3 block w-fit">
          <Choose
            label="Course"
            wide={false}
            value={course?.id ?? null}
            options={courses.map((c) => [c.id, c.name])}
            onChange={setCourseId}
          />
        </span>
      )}
      {figures && 'problem' in figures && (
        <p role="alert" className="text-oxide">
          {figures.problem}.
        </p>
      )}
      <div className="relative overflow-x-auto" role="region" aria-label="Gearings side by side" tabIndex={0}>
        <table
          className="w-full max-sm:table-fixed"
          // Beside the words each gearing wants its own width; what is more scrolls.
          style={{ minWidth: 110 + 125 * gearings.length }}
          data-testid="choices"
        >
          <thead>
            <tr className="border-b border-edge align-bottom">
              <th
                scope="col"
                className="w-[190px] max-sm:w-[110px] py-1 text-left text-[12.5px] font-normal text-muted"
              >
                Gearing
              </th>
              <th scope="col" className="figure px-2 py-1 text-left text-[19px]">
                {formatNumber(drive.finalDrive, 2)}
                <span className="unit block">
                  fitted, {formatNumber(fromSi(drive.rollingRadius, length), length.decimals)} {length.symbol}
                </span>
              </th>
              {choices.map((c, i) => (
                <th key={c.key} scope="col" className="px-2 py-1 text-left font-normal">
                  {boxes.length > 0 && (
                    <span className="mb-1 block w-32">
                      <Choose
                        label={`Gearbox ${i + 1}`}
                        value={c.box}
                        options={[['', 'as fitted'], ...boxes.map((b) => [b.name, b.name] as const)]}
                        onChange={(box) => change(c.key, { box })}
                      />
                    </span>
                  )}
                  <label className="flex flex-col text-[12.5px] text-muted">
                    Final drive {i + 1}
                    <input
                      type="number"
                      step="0.01"
                      min="1"
                      max="9"
                      className={`${BOX} w-24`}
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
                  <TyreField
                    label={`Tyre ${i + 1}`}
                    radius={c.radius}
                    onChange={(radius) => change(c.key, { radius })}
                  />
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
                    {known ? cell(itemAt(known, i)) : '…'}
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
        <Button disabled={choices.length + 1 >= MOST} onClick={() => add({})}>
          One more
        </Button>
      </p>
      <SolveGearing gearing={car.gearing} trial={trial} layout={drive.layout} onSolved={take} />
    </section>
  )
}
