import {
  formatFigure,
  formatQuantity,
  fromSi,
  unitsOf,
  type Known,
  type HeadlineMeasure,
  type StageSummary,
  type UnitPreferences,
  isSameName,
  itemAt,
  ratioKnown,
  nameKey,
} from '@bold-ballast/core'
import { type Build, MEASURE, putEdit } from '@bold-ballast/contract'
import { useMemo } from 'react'
import type { Car } from '@bold-ballast/model'
import { useBuild, useLiveBuild } from '../../../store/useBuild'
import { useCars } from '../../../store/useCar'
import { useWhy } from '../../../store/useWhy'
import { Chart, type Series } from '../../../ui/Chart'
import { Choice } from '../../../ui/Choice'
import { Figure } from '../../../ui/Figure'
import { domainOf, PlumbBar } from '../../../ui/PlumbBar'
import { ShowWorking, type Working } from '../../../ui/ShowWorking'
import { HEADLINE_QUANTITY } from '@bold-ballast/words'
import { TableHead } from '../../../ui/TableHead'

const HEAD = [
  { says: 'Stage', className: 'w-[170px]' },
  { says: 'Bar', unseen: true },
  { says: 'Planned', figures: true, className: 'w-[120px]' },
  { says: 'Measured', figures: true, className: 'w-[190px]' },
]

interface Reading {
  readonly planned: Known | null
  readonly now: Known | null
  /** Where the power was pulled: figures of two dynos are never joined by a line. */
  readonly dyno: string | null
}

function readingOf(measure: HeadlineMeasure, s: StageSummary, dynoOf: (dayId: string) => string): Reading {
  const dyno = s.measuredPower && dynoOf(s.measuredPower.dynoDayId)
  if (measure === 'mass')
    return {
      planned: s.planned.mass,
      now: s.massFrom === 'plan' ? null : s.standing.mass,
      dyno: null,
    }
  if (measure === 'wheelPower') return { planned: s.plannedPower, now: s.measuredPower?.power ?? null, dyno }
  return { planned: s.plannedPowerToWeight, now: s.standing.powerToWeight, dyno }
}

const MEASURES_SHOWN = (['powerToWeight', 'wheelPower', 'mass'] as const).map((m) => [m, MEASURE[m]] as const)
/** Units that a whole car is spoken of in: not grams, not watts. */
const TOO_SMALL = new Set(['g', 'oz', 'W'])
const unitsShown = (quantity: (typeof HEADLINE_QUANTITY)[HeadlineMeasure]) =>
  unitsOf(quantity)
    .filter((u) => !TOO_SMALL.has(u.symbol))
    .map((u) => [u.symbol, u.symbol] as const)

/** One measure over all stages, planned against measured: as a chart and as plumb bars. */
export function MeasureByStage({
  measure,
  onMeasure,
}: {
  measure: HeadlineMeasure
  onMeasure: (measure: HeadlineMeasure) => void
}) {
  const { ledger, view, unit, units, stage, save } = useBuild()
  const { summaries } = useLiveBuild()
  const cars = useCars()
  const why = useWhy()
  const quantity = HEADLINE_QUANTITY[measure]
  const shown = unit(quantity)
  const readings = useMemo(() => {
    const dynoOf = (id: string) => view.dynoDays.find((d) => d.id === id)?.dyno ?? ''
    return summaries.map((s) => readingOf(measure, s, dynoOf))
  }, [measure, summaries, view.dynoDays])
  const choose = (symbol: string) => {
    const chosen: UnitPreferences = { ...units, [quantity]: symbol }
    save('Choose units', [putEdit(view, 'build', { ...view.build, units: chosen as Build['units'] })])
  }
  const condition = `${view.build.reference.driver > 0 ? 'driver aboard' : 'no driver'}, ${formatQuantity(view.build.reference.fuel, unit('volume'), 0)} fuel`
  const basis =
    view.build.powerBasis === 'observed'
      ? 'observed, at the wheels'
      : `corrected to ${view.build.powerBasis.toUpperCase()}, at the wheels`
  const subtitle =
    measure === 'mass' ? condition : measure === 'wheelPower' ? basis : `${basis}; ${condition}`
  const chart = useMemo(
    () =>
      chartOf(
        measure,
        ledger.stages.map((s, i) => `${i + 1} ${s.name}`),
        readings,
        shown,
      ),
    [measure, ledger.stages, readings, shown],
  )
  const domain = domainOf(
    readings.flatMap((r) =>
      [r.planned, r.now].flatMap((k) => (k ? [k.value - k.sigma, k.value + k.sigma] : [])),
    ),
  )
  return (
    <section className="mt-6" aria-label={`${MEASURE[measure]} by stage`}>
      <div className="no-print flex flex-wrap items-center gap-x-6 gap-y-2">
        <Choice label="Measure" value={measure} options={MEASURES_SHOWN} onChange={onMeasure} />
        <Choice label="Unit" value={shown.symbol} options={unitsShown(quantity)} onChange={choose} />
      </div>
      <Chart
        {...chart}
        title={`${MEASURE[measure]} by stage`}
        filename={`${view.build.name} ${MEASURE[measure].toLowerCase()} by stage`}
        xTitle="Stage"
        height={250}
      />
      <p className="-mt-1 mb-2 text-[13px] text-muted">{subtitle}.</p>
      <table className="w-full max-w-[980px]">
        <caption className="sr-only">{MEASURE[measure]} of each stage, planned and measured</caption>
        <TableHead folds columns={HEAD} />
        <tbody>
          {ledger.stages.map((s, i) => {
            const { planned, now } = itemAt(readings, i)
            const words = `${s.name}: planned ${planned ? formatQuantity(planned.value, shown) : 'nothing'}, measured ${now ? formatQuantity(now.value, shown) : 'nothing yet'}`
            return (
              <tr
                key={s.id}
                className={`border-b border-line @max-2xl:grid @max-2xl:grid-cols-[1fr_auto_auto] @max-2xl:items-baseline @max-2xl:gap-x-4 @max-2xl:py-2 ${s.id === stage.id ? 'bg-bench' : ''}`}
              >
                <th scope="row" className="px-1 py-1.5 text-left font-medium">
                  {i + 1} {s.name}
                </th>
                <td className="@max-2xl:order-last @max-2xl:col-span-3">
                  <PlumbBar
                    value={now ?? planned}
                    planned={now ? planned : null}
                    domain={domain}
                    label={words}
                  />
                </td>
                <td className="text-right text-muted">
                  {planned ? formatFigure(planned.value, shown) : '–'}
                </td>
                <td className="pr-1 text-right text-[17px]">
                  {now ? (
                    <span className="inline-flex items-center gap-1.5">
                      <Figure known={now} unit={shown} />
                      <ShowWorking
                        working={workingOf(measure, itemAt(summaries, i), itemAt(cars, i), now, unit, why)}
                      />
                    </span>
                  ) : (
                    <span className="text-[13px] text-ochre">not yet</span>
                  )}
                </td>
              </tr>
            )
          })}
        </tbody>
      </table>
    </section>
  )
}

function workingOf(
  measure: HeadlineMeasure,
  s: StageSummary,
  car: Car,
  now: Known,
  unit: ReturnType<typeof useBuild>['unit'],
  why: ReturnType<typeof useWhy>,
): Working {
  const power = s.measuredPower?.power ?? null
  const { mass } = s.standing
  const say = (k: Known, q: 'power' | 'mass') =>
    `${formatFigure(k.value, unit(q))} ±${formatFigure(k.sigma, unit(q))} ${unit(q).symbol}, ${k.grade}`
  const massInput = [
    `Mass (${s.standing.massFrom}${s.openLinesSoFar > 0 ? ', as it stands' : ''})`,
    say(mass, 'mass'),
  ] as const
  const powerInputs = [
    ['Wheel power', power ? say(power, 'power') : 'not pulled yet'],
    ['Pulls', String(s.measuredPower?.pulls ?? 0)],
  ] as const
  const quantity = HEADLINE_QUANTITY[measure]
  const byName = (): Known => {
    if (measure === 'wheelPower') return now
    const standing = car.massByName.standing
    return measure === 'mass' || !power ? standing : ratioKnown(power, standing)
  }
  const working = {
    title: MEASURE[measure],
    result: formatQuantity(now.value, unit(quantity)),
    why: why(byName, unit(quantity)),
  }
  switch (measure) {
    case 'mass':
      return {
        ...working,
        formula: s.onScales
          ? 'the scales, and what was done since, in the reference condition'
          : 'as bought + Σ on + Σ carried over − Σ off, in the reference condition',
        inputs: [massInput],
        source: 'Statics; uncertainty by JCGM 100:2008, section 5.2',
      }
    case 'wheelPower':
      return {
        ...working,
        formula: 'the mean of the pulls that stand for the stage, off one day on one dyno',
        inputs: powerInputs,
        source: 'JCGM 100:2008, 4.2.3 for the mean and 5.2 for what pulls share',
      }
    case 'powerToWeight':
      return {
        ...working,
        formula: 'wheel power / mass',
        inputs: [...powerInputs, massInput],
        source: 'Definition; uncertainty by JCGM 100:2008, section 5.2',
      }
  }
}

function chartOf(
  measure: HeadlineMeasure,
  stages: string[],
  readings: readonly Reading[],
  unit: ReturnType<typeof unitsOf>[number],
) {
  const value = (k: Known | null) => (k ? Number(fromSi(k.value, unit).toPrecision(6)) : null)
  const planned = readings.map((r) => value(r.planned))
  const measured = readings.map((r) => value(r.now))
  const name = MEASURE[measure].toLowerCase()
  const say = (what: string) => (v: number | null, i: number) =>
    v === null
      ? ''
      : `${stages[i]}: ${name} ${what} ${v.toLocaleString('en-GB', { maximumFractionDigits: 1 })} ${unit.symbol}`
  const dynos = [
    ...new Map(readings.flatMap((r) => (r.now ? [[nameKey(r.dyno ?? ''), r.dyno] as const] : []))).values(),
  ]
  const evidence = dynos.map((dyno, i): Series => {
    const y = measured.map((v, k) => (isSameName(itemAt(readings, k).dyno ?? '', dyno ?? '') ? v : null))
    const where = dyno ? ` on ${dyno}` : ''
    return {
      name: dyno && dynos.length > 1 ? dyno : 'measured',
      x: stages,
      y,
      colour: itemAt(['--blued', '--ink', '--zinc'], i % 3),
      mode: 'lines+markers',
      symbol: itemAt(['square', 'circle', 'triangle-up'], i % 3),
      says: y.map(say(`measured${where}`)),
    }
  })
  const series: Series[] = [
    {
      name: 'planned',
      x: stages,
      y: planned,
      colour: '--muted',
      dash: 'dash',
      mode: 'lines+markers',
      symbol: 'diamond',
      hollow: true,
      says: planned.map(say('planned')),
    },
    ...evidence,
  ]
  const known = measured.flatMap((v, i) => (v === null ? [] : [`${stages[i]} ${v.toFixed(1)}`]))
  return {
    series: series.filter((s) => s.y.some((v) => v !== null)),
    yTitle: `${MEASURE[measure]} (${unit.symbol})`,
    summary: `${MEASURE[measure]} in ${unit.symbol} by stage. Measured: ${known.join(', ') || 'nothing yet'}.`,
    table: {
      header: ['Stage', `Planned (${unit.symbol})`, `Measured (${unit.symbol})`],
      rows: stages.map((s, i) => [s, planned[i] ?? null, measured[i] ?? null]),
    },
  }
}
