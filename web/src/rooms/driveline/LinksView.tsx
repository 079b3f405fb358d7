import { removalOf, type Component } from '@bold-ballast/contract'
import {
  axleGrip,
  defaultSigma,
  formatNumber,
  formatQuantity,
  fromSi,
  judge,
  peaksOf,
  SHOCK,
  usualLoss,
  weakLinks,
  type DrivelineLoad,
  type Link,
  type Quantity,
} from '@bold-ballast/core'
import { useMemo } from 'react'
import { toast } from 'sonner'
import { useBuild, useLiveBuild } from '../../store/useBuild'
import { Button } from '../../ui/Button'
import { csvOf, download } from '../../ui/download'
import { EmptyRoom } from '../../ui/EmptyRoom'
import { domainOf, PlumbBar, VERDICT_TEXT } from '../../ui/PlumbBar'
import { ShowWorking } from '../../ui/ShowWorking'
import { LAUNCH, SHAFT } from '../../words/names'
import type { GearedCar } from './useGearing'

export const RATED_IN: Record<Component['kind'], Quantity> = {
  ...{ torque: 'torque', power: 'power', speed: 'engineSpeed' },
  ...{ temperature: 'temperature', current: 'current', load: 'force' },
}
/** The ladder of links, weakest first, at the power that the stage is planned for. */
export function LinksView({ car, onOpen }: { car: GearedCar; onOpen: (id: string | null) => void }) {
  const { view, stage, ledger, unit, save } = useBuild()
  const { summary } = useLiveBuild()
  const drivetrain = view.build.drivetrain!
  const at = ledger.stages.findIndex((s) => s.id === stage.id)
  const fitted = useMemo(() => {
    const upTo = new Set(ledger.stages.slice(0, at + 1).map((s) => s.id))
    return view.components.filter((c) => upTo.has(c.stageId)).sort((a, b) => a.order - b.order)
  }, [view.components, ledger.stages, at])
  const load = useMemo<DrivelineLoad>(() => {
    const day = view.dynoDays.find((d) => d.dyno === car.curveOf.dyno)
    const [least, most] = drivetrain.loss
      ? [drivetrain.loss.least, drivetrain.loss.most]
      : usualLoss(view.build.layout, day?.kind ?? 'rollerLoaded')
    const peaks = peaksOf(car.curve)
    const wheel = summary.plannedPower?.value ?? peaks.power.value
    const crank = wheel / (1 - (least + most) / 2)
    // Half to each axle, as far as anybody knows.
    const axleShare = view.build.layout === 'all' ? 0.5 : 1
    return {
      // The curve's own shape, brought to the power that is planned.
      ...{ power: crank, torque: (peaks.torque.value * crank) / peaks.power.value },
      ...{ ratios: drivetrain.ratios, between: drivetrain.between, finalDrive: drivetrain.finalDrive },
      ...{ rollingRadius: drivetrain.rollingRadius, tyreForce: axleGrip(car.axle, 0) * axleShare },
      ...{ shock: SHOCK[drivetrain.launch], lockedDifferential: drivetrain.lockedDifferential },
      axleShare,
    }
  }, [car, drivetrain, summary.plannedPower, view.build.layout, view.dynoDays])
  const links = useMemo(
    () =>
      weakLinks(
        fitted.map((c) => ({ ...c, ratingSigma: defaultSigma(c.rating, c.grade) })),
        load,
      ),
    [fitted, load],
  )
  const power = unit('power')
  if (fitted.length === 0)
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
  const wanted = (link: Link) => fitted.find((c) => c.id === link.component.id)!.wantedMargin
  const verdict = (link: Link) =>
    judge(
      { value: link.margin, sigma: link.marginSigma, grade: 'claim' },
      { comparator: 'atLeast', value: wanted(link), tolerance: 0 },
    ).verdict
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
    const rows = links.map((l) => [
      ...[
        l.component.name,
        l.component.kind,
        l.component.shaft,
        l.component.rating,
        l.demand,
        l.margin.toFixed(3),
      ],
      ...[wanted(l), l.breaksAt],
    ])
    download(`${view.build.name} weak links.csv`, csvOf(header, rows), 'text/csv')
  }
  const remove = (id: string, name: string) => {
    save(`Remove ${name}`, removalOf(view, 'component', id))
    toast(`${name} removed. Ctrl+Z brings it back.`)
  }
  const [weakest] = links
  const domain = domainOf([1, ...links.map((l) => Math.min(3, l.margin))])
  return (
    <section aria-label="Weak links">
      <div className="flex flex-wrap items-baseline justify-between gap-2">
        <p className="flex-1 text-[17px]" data-testid="weakest">
          {weakest && (
            <>
              The weak link is <b>{weakest.component.name}</b>:{' '}
              <span className={VERDICT_TEXT[verdict(weakest)]}>
                {formatNumber(weakest.margin, 2)} times what is asked
              </span>
              {weakest.breaksAt !== null &&
                `, at its rating with ${formatQuantity(weakest.breaksAt, power, 0)} at the crank`}
              .
            </>
          )}{' '}
          <span className="text-[13.5px] text-muted">
            For {formatQuantity(load.power, power, 0)} and {formatQuantity(load.torque, unit('torque'), 0)} at
            the crank, launched {LAUNCH[drivetrain.launch]} (shock × {load.shock}), differential{' '}
            {drivetrain.lockedDifferential ? 'locked' : 'open'}.
          </span>
        </p>
        <Button look="quiet" onClick={saveCsv}>
          CSV
        </Button>
      </div>
      <div role="list" aria-label="Links, weakest first" className="mt-2" data-testid="links">
        {links.map((link) => {
          const { component, margin, demand, breaksAt, tyreLimited } = link
          const grade = fitted.find((c) => c.id === component.id)!.grade
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
                      ['Asked of it', show(component.kind, demand)],
                      ['Tyres react at most', `${formatNumber(load.tyreForce, 0)} N`],
                      ['Shock', `× ${load.shock}`],
                    ],
                    result: formatNumber(margin, 2),
                    source: 'statics; shock factors from memory, chosen under Gears and grip',
                  }}
                />
                <span className="block text-[12.5px] text-muted">
                  {[show(component.kind, component.rating), component.shaft && SHAFT[component.shaft], grade]
                    .filter(Boolean)
                    .join(', ')}
                </span>
              </span>
              <PlumbBar
                value={{ value: Math.min(3, margin), sigma: link.marginSigma, grade }}
                mark={wanted(link)}
                verdict={verdict(link)}
                domain={[0, domain[1]]}
                label={`Margin ${formatNumber(margin, 2)}, wanted ${wanted(link)}`}
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
                <span className={`figure text-[22px] ${VERDICT_TEXT[verdict(link)]}`}>
                  {formatNumber(margin, 2)}
                </span>
                <Button look="quiet" className="!px-1" onClick={() => onOpen(component.id)}>
                  Change<span className="sr-only"> {component.name}</span>
                </Button>
                <Button
                  look="quiet"
                  className="!px-1 !text-muted"
                  onClick={() => remove(component.id, component.name)}
                >
                  Remove<span className="sr-only"> {component.name}</span>
                </Button>
              </span>
            </div>
          )
        })}
      </div>
      <p className="mt-3 text-[13px] text-muted">
        A rating is somebody’s word until it is proven; a propeller shaft that lets go wants a loop around it,
        and nobody beside a car that is launched.
      </p>
    </section>
  )
}
