import { driftWindows, formatNumber, fromSi, overallsOf } from '@bold-ballast/core'
import { useMemo } from 'react'
import { useBuild } from '../../store/useBuild'
import { ShowWorking } from '../../ui/ShowWorking'
import { gearName } from '../../words/gearName'
import type { GearedCar } from '../../store/useGearing'

const SLIP = [1.1, 1.6] as const
const RPM = Math.PI / 30
const ENDS = {
  boost: 'below it the engine falls off the boil',
  grip: 'beyond it the tyres hold',
  slip: 'beyond it the slip is outside its range',
  limiter: 'above it the engine is at its limiter',
} as const

/** For each gear, the road speeds at which the driven tyres can be kept spinning, with the layout laid over it. */
export function DriftView({ car }: { car: GearedCar }) {
  const { unit } = useBuild()
  const { layout } = car.drive
  const velocity = unit('velocity')
  const windows = useMemo(
    () => driftWindows(car.gearing, car.curve, car.axle, { threshold: car.threshold, slip: SLIP }),
    [car],
  )
  const most = Math.max(
    ...windows.map((w) => w.window?.[1] ?? 0),
    ...overallsOf(car.gearing)
      .map((o) => ((car.gearing.limiter / o) * car.gearing.rollingRadius) / SLIP[0])
      .slice(0, -1),
    layout?.entry ?? 0,
    10,
  )
  const at = (v: number) => `${((v / most) * 100).toFixed(2)}%`
  const say = (v: number) => formatNumber(fromSi(v, velocity), 0)
  const step = velocity.symbol === 'mph' ? 10 : 20
  const ticks = Array.from({ length: Math.floor(fromSi(most, velocity) / step) + 1 }, (_, i) => i * step)
  const best = windows.reduce<(typeof windows)[number] | null>(
    (a, w) => (w.window && (!a?.window || w.window[1] - w.window[0] > a.window[1] - a.window[0]) ? w : a),
    null,
  )
  const covering =
    layout && windows.find((w) => w.window && w.window[0] <= layout.exit && w.window[1] >= layout.entry)
  return (
    <section aria-label="Drift window">
      <p className="text-[17px]" data-testid="drift-says">
        {!best
          ? 'No gear breaks the tyres loose with the engine on the boil: more torque, less grip or a shorter final drive is needed.'
          : layout
            ? covering
              ? `${gearName(covering.gear).replace(/^./, (c) => c.toUpperCase())} covers the whole layout, ${say(layout.exit)} to ${say(layout.entry)} ${velocity.symbol}.`
              : `No gear covers the layout from ${say(layout.entry)} down to ${say(layout.exit)} ${velocity.symbol}: the widest window is ${gearName(best.gear)}, ${say(best.window![0])} to ${say(best.window![1])}.`
            : `The widest window is ${gearName(best.gear)}, ${say(best.window![0])} to ${say(best.window![1])} ${velocity.symbol}.`}{' '}
        <ShowWorking
          working={{
            title: 'Drift window',
            formula: 'T·i/r > μ·N  with  v_wheel = 1.1 to 1.6 · v  and  threshold ≤ ω ≤ limiter',
            inputs: [
              ['On the boil from', `${formatNumber(car.threshold / RPM, 0)} rpm`],
              ['Limiter', `${formatNumber(car.gearing.limiter / RPM, 0)} rpm`],
              ['Grip', `μ ${car.axle.grip}, ${formatNumber(car.axle.share * 100, 1)} % on the driven axle`],
              ['Mass with driver', `${formatNumber(car.axle.mass, 0)} kg`],
            ],
            result: best
              ? `${gearName(best.gear)}, ${say(best.window![0])} to ${say(best.window![1])} ${velocity.symbol}`
              : 'none',
            source: 'tractive force against grip; the slip range is common practice',
          }}
        />
      </p>
      <div className="mt-3" role="list" aria-label="Windows by gear" data-testid="windows">
        {windows.map(({ gear, window, margin, lower, upper }) => (
          <div
            key={gear}
            role="listitem"
            className="grid items-center gap-x-4 border-b border-line py-2 @2xl:grid-cols-[110px_1fr_250px]"
          >
            <span className="font-medium">{gearName(gear).replace(/^./, (c) => c.toUpperCase())}</span>
            <svg
              role="img"
              aria-label={window ? `${say(window[0])} to ${say(window[1])} ${velocity.symbol}` : 'no window'}
              className="block h-[34px] w-full overflow-visible"
            >
              <line x1="0" x2="100%" y1="17" y2="17" stroke="var(--line)" />
              {layout && (
                <rect
                  x={at(layout.exit)}
                  width={at(layout.entry - layout.exit)}
                  y="1"
                  height="32"
                  fill="none"
                  stroke="var(--edge)"
                  strokeDasharray="4 3"
                />
              )}
              {window && (
                <rect
                  x={at(window[0])}
                  width={at(window[1] - window[0])}
                  y="8"
                  height="18"
                  fill="var(--blued)"
                />
              )}
            </svg>
            <span className="text-[13.5px]">
              {window ? (
                <>
                  <span className="figure text-[19px]">
                    {say(window[0])} to {say(window[1])}
                  </span>{' '}
                  <span className="unit">{velocity.symbol}</span>
                  <span className="block text-[12.5px] text-muted">
                    {ENDS[lower]}; {ENDS[upper]}
                  </span>
                </>
              ) : (
                <span className="text-ochre">
                  never: force is {formatNumber(margin * 100, 0)} % of what the tyres hold
                </span>
              )}
            </span>
          </div>
        ))}
        <div className="hidden @2xl:grid @2xl:grid-cols-[110px_1fr_250px] @2xl:gap-x-4" aria-hidden>
          <span />
          <span className="relative block h-5 text-[12px] text-muted">
            {ticks.map((t) => (
              <span key={t} className="absolute -translate-x-1/2" style={{ left: at(t * velocity.factor) }}>
                {t}
              </span>
            ))}
          </span>
          <span className="text-[12px] text-muted">road speed, {velocity.symbol}</span>
        </div>
      </div>
      {layout && (
        <p className="mt-2 text-[13px] text-muted">
          The dashed box is the layout: in at {say(layout.entry)}, out at {say(layout.exit)} {velocity.symbol}
          .
        </p>
      )}
    </section>
  )
}
