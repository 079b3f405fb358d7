import { LAUNCH, RATED_IN, SHAFT, type Component } from '@bold-ballast/contract'
import { drivelineLoad, ladderOf, type GearedCar, type Rung } from '@bold-ballast/model'
import { csvOf } from '@bold-ballast/words'
import { formatNumber, formatQuantity, fromSi, itemAt } from '@bold-ballast/core'
import { useMemo } from 'react'
import { useBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { Chart, type Series } from '../../../ui/Chart'
import { download } from '../../../ui/download'
import { EmptyRoom } from '../../../ui/EmptyRoom'
import { domainOf, PlumbBar, POINTS_TEXT } from '../../../ui/PlumbBar'
import { ShowWorking } from '../../../ui/ShowWorking'
import { BeforeNextStage } from './BeforeNextStage'
import { useLiveCar } from '../../../store/useCar'
import { RowButtons } from '../../../ui/RowButtons'

/** Rating over demand of every link, with the margin that is wanted of it as a line through them. */
function LadderChart({ rungs }: { rungs: readonly Rung[] }) {
  const { view, unit } = useBuild()
  const power = unit('power')
  const { series, table } = useMemo(() => {
    const x = rungs.map((r) => r.part.name)
    const breaks = (r: Rung) => (r.breaksAt === null ? null : Math.round(fromSi(r.breaksAt, power)))
    const margins = rungs.map((r) => Number(r.margin.toFixed(2)))
    const wanted = rungs.map((r) => r.part.wantedMargin)
    const series: Series[] = [
      {
        name: 'Margin',
        label: null,
        colour: '--blued',
        mode: 'markers',
        x,
        y: margins,
        says: rungs.map((r, i) => {
          const at = breaks(r)
          return `${r.part.name}: ${margins[i]} times what is asked${at === null ? '' : `, at its rating with ${at} ${power.symbol}`}`
        }),
      },
      {
        name: 'Wanted',
        colour: '--ochre',
        mode: 'lines',
        x,
        y: wanted,
        says: rungs.map((r) => `${r.part.wantedMargin} is wanted of ${r.part.name}`),
      },
      {
        name: 'At its rating',
        colour: '--oxide',
        dash: 'dash',
        mode: 'lines',
        x,
        y: x.map(() => 1),
        says: x.map(() => 'Below this line it is over its rating'),
      },
    ]
    return {
      series,
      table: rungs.map((r, i) => [r.part.name, itemAt(margins, i), itemAt(wanted, i), breaks(r)]),
    }
  }, [rungs, power])
  if (rungs.length < 2) return null
  return (
    <Chart
      title="Margin of each link"
      summary={`Rating over demand of ${rungs.length} links, weakest first, with the margin that is wanted of each.`}
      xTitle="Link, weakest first"
      yTitle="Rating over demand"
      series={series}
      table={{ header: ['link', 'margin', 'wanted', `at its rating with (${power.symbol})`], rows: table }}
      filename={`${view.build.name} ladder`}
      height={300}
    />
  )
}

/** The ladder of links, weakest first, at the power that the stage is planned for. */
export function LinksView({
  car,
  onOpen,
  onImport,
}: {
  car: GearedCar
  onOpen: (id: string | null) => void
  onImport: () => void
}) {
  const { view, unit, removeSaying } = useBuild()
  const { drive } = car
  const whole = useLiveCar()
  const { ethanol } = whole
  const rungs = useMemo(() => ladderOf(whole), [whole])
  const load = useMemo(() => drivelineLoad(whole, car), [whole, car])
  const power = unit('power')
  if (rungs.length === 0)
    return (
      <EmptyRoom
        title="No ratings yet"
        action={
          <Button look="main" onClick={() => onOpen(null)}>
            Add a component
          </Button>
        }
      >
        A gearbox in N·m, a clutch, a propeller shaft, a turbo in kW: each with the shaft or the power its
        rating is for. You get the ladder, weakest first, and the engine power at which each lets go.
      </EmptyRoom>
    )
  const show = (kind: Component['kind'], si: number) => formatQuantity(si, unit(RATED_IN[kind]), 0)
  const saveCsv = () => {
    const header = [
      'component',
      'rated in',
      'shaft',
      'rating (SI)',
      'demand (SI)',
      'margin',
      'wanted',
      'breaks at (W)',
    ]
    const rows = rungs.map((l) => [
      l.part.name,
      l.part.kind,
      l.part.shaft,
      l.onFuel ?? l.part.rating,
      l.demand,
      l.margin.toFixed(3),
      l.part.wantedMargin,
      l.breaksAt,
    ])
    download(`${view.build.name} weak links.csv`, csvOf(header, rows), 'text/csv')
  }
  const remove = (id: string, name: string) => {
    removeSaying('component', id, name)
  }
  const [weakest] = rungs
  const domain = domainOf([1, ...rungs.map((l) => Math.min(3, l.margin))])
  return (
    <section aria-label="Weak links">
      <div className="flex flex-wrap items-baseline justify-between gap-2">
        <p className="min-w-[300px] flex-1 text-[17px]" data-testid="weakest">
          {weakest && (
            <>
              The weak link is <b>{weakest.part.name}</b>:{' '}
              <span className={POINTS_TEXT[weakest.points]}>
                {formatNumber(weakest.margin, 2)} times what is asked
              </span>
              {weakest.breaksAt !== null &&
                `, at its rating with ${formatQuantity(weakest.breaksAt, power, 0)} at the crank`}
              .
            </>
          )}{' '}
          <span className="text-[13.5px] text-muted">
            For {formatQuantity(load.power, power, 0)} and {formatQuantity(load.torque, unit('torque'), 0)} at
            the crank, launched {LAUNCH[drive.launch]} (shock × {load.shock}), differential{' '}
            {drive.lockedDifferential ? 'locked' : 'open'}
            {view.build.layout === 'all' &&
              `, ${formatNumber(drive.rearSplit * 100, 0)} % of the torque to the rear`}
            {ethanol !== null && `, on ${formatNumber(ethanol * 100, 0)} % ethanol`}.
          </span>
        </p>
        <Button look="quiet" onClick={onImport}>
          From a CSV
        </Button>
        <Button look="quiet" onClick={saveCsv}>
          CSV
        </Button>
      </div>
      <div role="list" aria-label="Links, weakest first" className="mt-2" data-testid="links">
        {rungs.map((rung) => {
          const { part: component, margin, demand, breaksAt, tyreLimited, onFuel, points } = rung
          const { grade } = component
          return (
            <div
              key={component.id}
              role="listitem"
              className="grid items-center gap-x-4 border-b border-line py-2 @2xl:grid-cols-[220px_1fr_220px_130px]"
            >
              <span>
                <span className="font-medium">{component.name}</span>{' '}
                <ShowWorking
                  working={{
                    title: `Margin of ${component.name}`,
                    formula:
                      'margin = rating / demand; torque × ratio to the shaft × shock, no more than the tyres react',
                    inputs: [
                      ['Rating', show(component.kind, component.rating)],
                      ...(onFuel === null
                        ? []
                        : ([['On this fuel', show(component.kind, onFuel)]] as [string, string][])),
                      ['Asked of it', show(component.kind, demand)],
                      [
                        'Tyres react at most',
                        Object.entries(load.axles)
                          .map(([end, a]) => `${end} ${formatNumber(Math.max(...a.tyreForces), 0)} N`)
                          .join(', '),
                      ],
                      ['Shock', `× ${load.shock}`],
                    ],
                    result: formatNumber(margin, 2),
                    source: 'statics; shock factors are common practice, chosen under Gears and grip',
                  }}
                />
                <span className="block text-[12.5px] text-muted">
                  {[
                    show(component.kind, onFuel ?? component.rating) +
                      (onFuel === null ? '' : ' on this fuel'),
                    component.shaft && SHAFT[component.shaft],
                    component.axle,
                    grade,
                  ]
                    .filter(Boolean)
                    .join(', ')}
                </span>
              </span>
              <PlumbBar
                value={{ value: Math.min(3, margin), sigma: rung.marginSigma, grade }}
                mark={component.wantedMargin}
                verdict={points}
                points
                domain={[0, domain[1]]}
                label={`Margin ${formatNumber(margin, 2)}, wanted ${component.wantedMargin}`}
              />
              <span className="text-[13.5px]">
                {show(component.kind, demand)} asked
                <span className="block text-[12.5px] text-muted">
                  {breaksAt !== null
                    ? `at its rating with ${formatNumber(fromSi(breaksAt, power), 0)} ${power.symbol}`
                    : tyreLimited
                      ? 'the tyres let go first'
                      : 'power doesn’t load it'}
                </span>
              </span>
              <span className="flex items-center justify-end gap-1">
                <span className={`figure text-[22px] ${POINTS_TEXT[points]}`}>{formatNumber(margin, 2)}</span>
                <RowButtons
                  name={component.name}
                  recordId={component.id}
                  onChange={() => onOpen(component.id)}
                  onRemove={() => remove(component.id, component.name)}
                />
              </span>
            </div>
          )
        })}
      </div>
      <BeforeNextStage rungs={rungs} />
      <LadderChart rungs={rungs} />
      <p className="mt-3 text-[13px] text-muted">
        What loads a link is worked out, so a margin points and shows nothing: only running it does. A rating
        is somebody’s word until it is proven; a propeller shaft that lets go wants a loop around it, and
        nobody beside a car that is launched.
      </p>
    </section>
  )
}
