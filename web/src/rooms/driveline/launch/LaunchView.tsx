import { launchesOf, type GearedCar } from '@bold-ballast/model'
import {
  hasArrived,
  formatNumber,
  formatQuantity,
  fromSi,
  STANDARD_GRAVITY,
  type LaunchRun,
  named,
  RPM,
  itemAt,
  sigmaOf,
  unitOf,
} from '@bold-ballast/core'
import { useMemo } from 'react'
import { useBuild, useLiveBuild } from '../../../store/useBuild'
import { useCar } from '../../../store/useCar'
import { useWhy } from '../../../store/useWhy'
import { Chart, type Series } from '../../../ui/Chart'
import { ShowWorking } from '../../../ui/ShowWorking'
import { TableHead } from '../../../ui/TableHead'

const DISTANCE = 20
const SECOND = unitOf('time', 's')
const LIMIT: Record<LaunchRun['limit'], string> = {
  grip: 'grip',
  engine: 'the engine',
  clutch: 'the clutch',
}
const DRIVEN = { front: 'front axle', rear: 'rear axle', all: 'both axles' } as const
const sayRpm = (speed: number) => (Math.round(speed / RPM / 10) * 10).toLocaleString('en-GB')

/** A start from standing at every engine speed: which is best, what it asks of the clutch, and what holds it back. */
export function LaunchView({ car }: { car: GearedCar }) {
  const { view, unit } = useBuild()
  const why = useWhy()
  const { summary } = useLiveBuild()
  const { modelDoubt: model } = useCar()
  const launches = useMemo(() => launchesOf(car, summary, DISTANCE, model), [car, summary, model])
  const { starter, tried, best, doubts, gripForce: grip, clutchForce, overall } = launches
  const series = useMemo<Series[]>(() => {
    const moving = tried.filter(hasArrived)
    return [
      {
        name: `To ${DISTANCE} m`,
        colour: '--blued',
        mode: 'lines+markers' as const,
        x: moving.map((l) => Math.round(l.launchSpeed / RPM)),
        y: moving.map((l) => Number(l.time.toFixed(3))),
        says: moving.map(
          (l) =>
            `Launched at ${sayRpm(l.launchSpeed)} rpm: ${DISTANCE} m in ${l.time.toFixed(2)} s, held back by ${LIMIT[l.limit]}`,
        ),
      },
    ]
  }, [tried])
  const mass = unit('mass')
  const temperature = unit('temperature')
  const warmer = (kelvin: number) =>
    `${formatNumber(kelvin / temperature.factor, 0)} ${temperature.symbol === '°F' ? '°F' : 'K'}`
  const share = starter.driven === 'front' ? starter.frontShare : 1 - starter.frontShare
  const standing = starter.driven === 'all' ? starter.mass : starter.mass * share
  return (
    <section aria-label="Launch">
      <p className="text-[17px]" data-testid="launch-says">
        {best ? (
          <>
            Best at <b>{sayRpm(best.launchSpeed)} rpm</b>: {DISTANCE} m in{' '}
            <span className="figure text-[26px]">{formatNumber(best.time, 2)}</span>{' '}
            <span className="unit">±{formatNumber(sigmaOf(doubts), 2)} s</span>, off the line at{' '}
            {formatNumber(best.acceleration / STANDARD_GRAVITY, 2)} g, held back by {LIMIT[best.limit]}. The
            clutch takes {formatNumber(best.clutchEnergy / 1000, 0)} kJ and gets {warmer(best.clutchRise)}{' '}
            warmer.{' '}
            <ShowWorking
              working={{
                title: 'Launch',
                formula: 'm·a = min(T·i/r, clutch·i/r, μN) − R;  heat = ∫T·(ω_engine − ω_gearbox) dt',
                inputs: [
                  ['Mass with driver', formatQuantity(starter.mass, mass, 0)],
                  ['Grip', `μ ${starter.grip}, ${formatNumber(grip, 0)} N on the ${DRIVEN[starter.driven]}`],
                  ['First gear, overall', formatNumber(overall, 2)],
                  [
                    'Clutch passes',
                    starter.clutchTorque === null
                      ? 'all of it: nobody typed what it holds'
                      : formatQuantity(starter.clutchTorque, unit('torque'), 0),
                  ],
                  ['Steel of the clutch', formatQuantity(starter.clutchMass, mass, 1)],
                ],
                result: `${formatNumber(best.time, 2)} s`,
                source: 'Newton in steps of 1 ms; among speeds within 5 ms the one with the least heat',
                why: why(named(best.time, 'claim', doubts), SECOND),
              }}
            />
          </>
        ) : (
          'At no engine speed does it move: check gears, grip and rolling resistance.'
        )}
      </p>
      <dl className="my-3 flex flex-wrap gap-x-8 gap-y-2" data-testid="launch-facts">
        <div>
          <dt className="text-[12.5px] text-muted">
            On the driven {starter.driven === 'all' ? 'axles' : 'axle'}, standing
          </dt>
          <dd className="figure text-[19px]">{formatQuantity(standing, mass, 0)}</dd>
        </div>
        <div>
          <dt className="text-[12.5px] text-muted">Pulling as hard as it grips</dt>
          <dd className="figure text-[19px]">
            {formatQuantity(grip / starter.grip / STANDARD_GRAVITY, mass, 0)}
          </dd>
        </div>
        <div>
          <dt className="text-[12.5px] text-muted">Clutch dumped, against grip</dt>
          <dd
            className={`figure text-[19px] ${clutchForce !== null && clutchForce > grip ? 'text-ochre' : ''}`}
          >
            {clutchForce === null
              ? 'not known'
              : `${formatNumber(clutchForce / grip, 1)} times${clutchForce > grip ? ', it spins' : ''}`}
          </dd>
        </div>
        {best && (
          <div>
            <dt className="text-[12.5px] text-muted">Ten in a row, uncooled</dt>
            <dd className="figure text-[19px]">{warmer(best.clutchRise * 10)} warmer</dd>
          </div>
        )}
      </dl>
      {itemAt(series, 0).x.length > 1 && (
        <Chart
          title={`Time to ${DISTANCE} m`}
          summary={`Time to ${DISTANCE} m against the engine speed that the clutch slips at.${best ? ` The best is ${sayRpm(best.launchSpeed)} rpm.` : ''}`}
          xTitle="Launched at (rpm)"
          yTitle="Time (s)"
          series={series}
          table={{
            header: ['rpm', 's', 'held back by', 'clutch (kJ)', 'warmer (K)', 'slips (s)'],
            rows: tried.map((l) => [
              Math.round(l.launchSpeed / RPM),
              l.time && Number(l.time.toFixed(3)),
              LIMIT[l.limit],
              Number((l.clutchEnergy / 1000).toFixed(1)),
              Number(l.clutchRise.toFixed(1)),
              Number(l.slipTime.toFixed(2)),
            ]),
          }}
          filename={`${view.build.name} launch`}
          height={230}
        />
      )}
      <div className="relative overflow-x-auto" role="region" aria-label="Launches" tabIndex={0}>
        <table
          className="w-full max-w-[760px] whitespace-nowrap [&_td]:pl-4 [&_thead_th]:pl-4 [&_thead_th:first-child]:pl-0"
          data-testid="launches"
        >
          <TableHead
            columns={[
              { says: 'Launched at (rpm)' },
              { says: `${DISTANCE} m (s)`, figures: true },
              { says: `Speed there (${unit('velocity').symbol})`, figures: true },
              { says: 'Held back by', figures: true },
              { says: 'Clutch (kJ)', figures: true },
              { says: 'Slips for (s)', figures: true },
            ]}
          />
          <tbody>
            {tried.map((l) => (
              <tr
                key={l.launchSpeed}
                className={`border-b border-line ${l === best ? 'bg-panel font-medium' : ''}`}
              >
                <th scope="row" className="figure py-1.5 text-left text-[17px]">
                  {sayRpm(l.launchSpeed)}
                  {l === best && <span className="unit"> best</span>}
                </th>
                <td className="figure text-right text-[17px]">
                  {l.time === null ? 'never' : formatNumber(l.time, 2)}
                </td>
                <td className="figure text-right text-[17px]">
                  {formatNumber(fromSi(l.speed, unit('velocity')), 0)}
                </td>
                <td className="text-right">{LIMIT[l.limit]}</td>
                <td className="figure text-right text-[17px]">{formatNumber(l.clutchEnergy / 1000, 0)}</td>
                <td className="figure text-right text-[17px]">{formatNumber(l.slipTime, 2)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="mt-2 text-[13px] text-muted">
        The driver holds the engine there with the clutch and takes no more than grip; the flywheel’s own
        energy is left out. Practise starts where the event allows it, with nobody in front of or behind the
        car.
      </p>
    </section>
  )
}
