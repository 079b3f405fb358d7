import { bestWindow, driftWindows, formatNumber, fromSi, overallsOf, unitOf, RPM } from '@bold-ballast/core'
import { useMemo } from 'react'
import { useBuild } from '../../../store/useBuild'
import { ShowWorking } from '../../../ui/ShowWorking'
import { gearName } from '@bold-ballast/words'
import type { GearedCar } from '@bold-ballast/model'

const DEGREE = unitOf('angle', '°')
const LOWER = {
  boost: 'below it the engine falls off the boil',
  pull: 'below it the pull is too small for the slide',
} as const
const UPPER = {
  limiter: 'above it the engine is at its limiter',
  pull: 'above it the pull is too small for the slide',
} as const

/** For each gear whether it breaks the tyres loose and where it holds a slide, with the layout laid over it. */
export function DriftView({ car }: { car: GearedCar }) {
  const { unit } = useBuild()
  const { layout } = car.drive
  const { value: slipAngle, sigma, slip } = car.slide
  const velocity = unit('velocity')
  const windows = useMemo(
    () =>
      driftWindows(car.gearing, car.curve, car.axle, {
        threshold: car.threshold,
        slip: car.slide.slip,
        slipAngle: car.slide.value,
      }),
    [car],
  )
  const most = Math.max(
    ...windows.map((w) => w.window?.[1] ?? 0),
    ...overallsOf(car.gearing)
      .map((o) => ((car.gearing.limiter / o) * car.gearing.rollingRadius) / slip[0])
      .slice(0, -1),
    layout?.entry ?? 0,
    10,
  )
  const at = (v: number) => `${((v / most) * 100).toFixed(2)}%`
  const say = (v: number) => formatNumber(fromSi(v, velocity), 0)
  const step = velocity.symbol === 'mph' ? 10 : 20
  const ticks = Array.from({ length: Math.floor(fromSi(most, velocity) / step) + 1 }, (_, i) => i * step)
  const { best, covering } = bestWindow(windows, layout)
  const loose = (times: number) =>
    times > 1
      ? `Breaks loose on power, ${formatNumber(times, 2)} times the grip`
      : `Doesn’t break loose on power: ${formatNumber(times, 2)} of the grip`
  return (
    <section aria-label="Drift window">
      <p className="text-[17px]" data-testid="drift-says">
        {!best
          ? 'No gear holds the slide with the engine on the boil: more torque, less grip or a shorter final drive is needed.'
          : layout
            ? covering
              ? `${gearName(covering.gear).replace(/^./, (c) => c.toUpperCase())} covers the whole layout, ${say(layout.exit)} to ${say(layout.entry)} ${velocity.symbol}.`
              : `No gear covers the layout from ${say(layout.entry)} down to ${say(layout.exit)} ${velocity.symbol}: ${gearName(best.gear)} comes nearest, ${say(best.window[0])} to ${say(best.window[1])}.`
            : `The widest window is ${gearName(best.gear)}, ${say(best.window[0])} to ${say(best.window[1])} ${velocity.symbol}.`}{' '}
        <ShowWorking
          working={{
            title: 'Drift window',
            formula:
              'T·i/r ≥ μ·N·s_x/√(s_x² + s_y²)  with  s_x = k − cos α,  s_y = sin α,  v_wheel = k·v,  threshold ≤ ω ≤ limiter;  breaks loose: T·i/r > μ·N, straight',
            inputs: [
              [
                'Slip angle α, rear axle',
                `${formatNumber(fromSi(slipAngle, DEGREE), 0)} ±${formatNumber(fromSi(sigma, DEGREE), 0)}°${car.drive.slide ? '' : ', usual'}`,
              ],
              ['Wheel over road speed k', `${formatNumber(slip[0], 2)} to ${formatNumber(slip[1], 2)}`],
              ['On the boil from', `${formatNumber(car.threshold / RPM, 0)} rpm`],
              ['Limiter', `${formatNumber(car.gearing.limiter / RPM, 0)} rpm`],
              ['Grip', `μ ${car.axle.grip}, ${formatNumber(car.axle.share * 100, 1)} % on the driven axle`],
              ['Mass with driver', `${formatNumber(car.axle.mass, 0)} kg`],
            ],
            result: best
              ? `${gearName(best.gear)}, ${say(best.window[0])} to ${say(best.window[1])} ${velocity.symbol}`
              : 'none',
            source:
              'saturated friction of a sliding tyre (Pacejka, Tire and Vehicle Dynamics, 3.2.3); usual angle and slip are common practice',
          }}
        />
      </p>
      <div className="mt-3" role="list" aria-label="Windows by gear" data-testid="windows">
        {windows.map(({ gear, window, margin, breaksLoose, lower, upper }) => (
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
                    {LOWER[lower]}; {UPPER[upper]}. {loose(breaksLoose)}
                  </span>
                </>
              ) : (
                <span className="text-ochre">
                  never: its pull is {formatNumber(margin * 100, 0)} % of what the slide takes.{' '}
                  {loose(breaksLoose)}
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
      <p className="mt-2 max-w-[820px] text-[13px] text-muted">
        Two questions of each gear: does it break the tyres loose with the car straight, and where does it
        hold a slide once there is one? In a slide only part of the friction points along the wheel. This is
        worked out, not driven: it points.
      </p>
      {layout && (
        <p className="mt-2 text-[13px] text-muted">
          The dashed box is the layout: in at {say(layout.entry)}, out at {say(layout.exit)} {velocity.symbol}
          .
        </p>
      )}
    </section>
  )
}
