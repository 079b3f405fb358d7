import {
  axleRollStiffness,
  criticalDamping,
  cornerTravel,
  dynamicPressure,
  formatNumber,
  formatQuantity,
  motionRatioAt,
  rideFrequency,
  springsInSeries,
  type Known,
} from '@bold-ballast/core'
import { AXLE_ENDS, dampingShare, type AxleStance } from '@bold-ballast/model'
import { useState } from 'react'
import { useBuild } from '../../../store/useBuild'
import { useLiveCar } from '../../../store/useCar'
import { Figure } from '../../../ui/Figure'
import { QuantityField } from '../../../ui/QuantityField'
import { ShowWorking } from '../../../ui/ShowWorking'
import { TableHead } from '../../../ui/TableHead'
import { Button } from '../../../ui/Button'
import { NoSprings } from '../NoSprings'
import { ApartOrTogether } from './ApartOrTogether'

const END = { front: 'Front', rear: 'Rear' } as const
const HERTZ = { symbol: 'Hz', factor: 1, decimals: 2, aliases: [] } as const
const RATIO = { symbol: '', factor: 1, decimals: 3, aliases: [] } as const

const BAR = {
  on: 'bar on',
  off: 'bar off',
  none: 'no bar',
  notSaid: 'the sheet has a bar that nobody described',
} as const

/** What a track car usually has (common practice). */
const usual = (hertz: number) =>
  hertz < 1.8
    ? 'softer than a track car’s'
    : hertz < 2.5
      ? 'a track car without aero'
      : hertz < 3
        ? 'stiff without aero'
        : 'a car with aero'

/** Rates, ratios, frequencies and damping of both ends. */
export function SpringsView({ onChange }: { onChange: () => void }) {
  const { unit } = useBuild()
  const car = useLiveCar()
  const [speed, setSpeed] = useState<number | null>(200 / 3.6)
  const { stance } = car
  if (stance.from === 'assumed')
    return (
      <NoSprings onChange={onChange}>
        Spring rates, motion ratios measured over the travel, bars, roll centres, what is unsprung, rubbers
        and dampers. You get wheel rates with and without the tyre, ride frequencies still and at speed,
        damping against critical, and everything that Roll and Travel work out of them.
      </NoSprings>
    )
  const q = dynamicPressure(car.airDensity, Number.isFinite(speed) ? (speed ?? 0) : 0)
  const stiffness = unit('stiffness')
  /** With what the air presses: rubbers and stops count where it stands then. */
  const atSpeed = (end: 'front' | 'rear') => {
    const axle = stance[end]
    const at = cornerTravel(axle.corner, (car.aero.balance[end] * q) / 2)
    const rate = Number.isFinite(at.rate) ? at.rate : null
    const withTyre = rate && (axle.tyre ? springsInSeries(rate, axle.tyre.value) : rate)
    return { at, hertz: withTyre && rideFrequency(withTyre, axle.sprung.value) }
  }
  const known = (k: Known, u: typeof HERTZ | ReturnType<typeof unit>) => <Figure known={k} unit={u} />
  const rows: readonly (readonly [string, (axle: AxleStance, end: 'front' | 'rear') => React.ReactNode])[] = [
    ['Spring', (a) => known(a.spring, stiffness)],
    [
      'Motion ratio',
      (a) => (
        <>
          {known(a.ratio, RATIO)}
          {a.isMeasuredByPairs && (
            <span className="block text-[12.5px] text-muted">
              {formatNumber(motionRatioAt({ atRest: a.ratio.value, change: a.ratioChange }, -0.03), 3)} at −30
              mm, {formatNumber(motionRatioAt({ atRest: a.ratio.value, change: a.ratioChange }, 0.03), 3)} at
              +30
            </span>
          )}
        </>
      ),
    ],
    [
      'Wheel rate',
      (a, end) => (
        <>
          {known(a.wheel, stiffness)}{' '}
          <ShowWorking
            working={{
              title: `Wheel rate, ${end}`,
              formula: 'k_w = k · MR²',
              inputs: [
                ['Spring', formatQuantity(a.spring.value, stiffness)],
                ['Motion ratio', formatNumber(a.ratio.value, 3)],
              ],
              result: formatQuantity(a.wheel.value, stiffness),
              source:
                'Milliken & Milliken, Race Car Vehicle Dynamics, chapter on ride and roll rates (from memory)',
            }}
          />
        </>
      ),
    ],
    ['With its tyre', (a) => (a.tyre ? known(a.withTyre, stiffness) : 'tyre left out')],
    [
      'Roll, with bar and tyres',
      (_, end) => (
        <>
          <span className="figure">
            {formatQuantity(axleRollStiffness(stance.rollCar[end]), unit('rollStiffness'))}
          </span>
          <span className="block text-[12.5px] text-muted">{BAR[stance[end].barIs]}</span>
        </>
      ),
    ],
    ['One corner carries', (a) => known(a.sprung, unit('mass'))],
    [
      'Ride frequency',
      (a) => (
        <>
          {known(a.ride, HERTZ)}
          <span className="block text-[12.5px] text-muted">{usual(a.ride.value)}</span>
        </>
      ),
    ],
    ['With its tyre', (a) => known(a.rideWithTyre, HERTZ)],
    [
      'At that speed, with tyre',
      (_, end) => {
        const { at, hertz } = atSpeed(end)
        return hertz === null ? (
          <span className="text-oxide">stands on metal</span>
        ) : (
          <>
            <span className="figure">{formatNumber(hertz, 2)}</span>{' '}
            <span className="text-[13px] text-muted">Hz</span>
            {at.carriedBy === 'rubber' && (
              <span className="block text-[12.5px] text-ochre">on its bump rubber</span>
            )}
          </>
        )
      },
    ],
    [
      'Damping, bump / rebound',
      (a) => {
        const [bump, rebound] = [dampingShare(a, 'bump'), dampingShare(a, 'rebound')]
        return bump === null && rebound === null ? (
          <span className="text-muted">no damper sheet, or no clicks on the set-up sheet</span>
        ) : (
          <>
            <span className="figure">
              ζ {bump === null ? '–' : formatNumber(bump, 2)} /{' '}
              {rebound === null ? '–' : formatNumber(rebound, 2)}
            </span>{' '}
            <ShowWorking
              working={{
                title: 'Damping over critical',
                formula: 'ζ = c · MR² / (2 · √(k_w · m))',
                inputs: [
                  [
                    'Damper, bump',
                    a.damping.bump === null ? '–' : formatQuantity(a.damping.bump, unit('damping')),
                  ],
                  [
                    'Damper, rebound',
                    a.damping.rebound === null ? '–' : formatQuantity(a.damping.rebound, unit('damping')),
                  ],
                  ['Damper over wheel', formatNumber(a.damperRatio, 3)],
                  [
                    'Critical, at the wheel',
                    formatQuantity(criticalDamping(a.wheel.value, a.sprung.value), unit('damping')),
                  ],
                ],
                result: `${bump === null ? '–' : formatNumber(bump, 2)} / ${rebound === null ? '–' : formatNumber(rebound, 2)}`,
                source: 'any textbook of vibration; 0.5 to 0.8 is common practice on track',
              }}
            />
          </>
        )
      },
    ],
    [
      'Helper',
      (a) =>
        a.helper
          ? `${formatQuantity(a.helper.rate, stiffness)}, ${cornerTravel(a.corner, 0).isHelperOpen ? 'open where it stands' : 'blocked where it stands'}`
          : '–',
    ],
  ]
  return (
    <section aria-label="Springs" className="max-w-[900px]">
      {stance.from === 'springs' && (
        <p className="mb-3 text-[14px] text-ochre">
          These are the springs typed as the car was bought; bars, roll centres and stops are not known.{' '}
          <Button look="quiet" className="!px-0" onClick={onChange}>
            Type the suspension of this stage
          </Button>
        </p>
      )}
      <div className="mb-2 w-[150px]">
        <QuantityField
          label="At speed, of"
          quantity="velocity"
          unit={unit('velocity')}
          value={speed}
          onChange={setSpeed}
        />
      </div>
      <table className="w-full" data-testid="springs">
        <caption className="sr-only">Springs, front and rear</caption>
        <TableHead
          columns={[
            { says: 'What', unseen: true },
            { says: 'Front', figures: true },
            { says: 'Rear', figures: true },
          ]}
        />
        <tbody>
          {rows.map(([label, of], i) => (
            <tr key={i} className="border-b border-line">
              <th scope="row" className="py-2 text-left font-medium">
                {label}
              </th>
              {AXLE_ENDS.map((end) => (
                <td key={end} className="py-2 pl-3 text-right" aria-label={`${label}, ${END[end]}`}>
                  {of(stance[end], end)}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-2 text-[13px] text-muted">
        1 to 1.5 Hz is a road car, 1.8 to 2.5 a track car without aero, 3 and more one with it: common
        practice.
      </p>
      <ApartOrTogether />
    </section>
  )
}
