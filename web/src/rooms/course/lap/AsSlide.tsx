import { driftWindows, formatNumber, formatQuantity, slideRun } from '@bold-ballast/core'
import { gearName } from '@bold-ballast/words'
import { useMemo } from 'react'
import { Link } from 'react-router'
import { useBuild } from '../../../store/useBuild'
import { useLiveCar } from '../../../store/useCar'

/** The course as a drift layout: one slide from its entry to its exit speed; nothing for cars that don't slide on purpose. */
export function AsSlide({ length }: { length: number }) {
  const { view, unit } = useBuild()
  const { geared } = useLiveCar()
  const layout = geared?.drive.layout ?? null
  const run = useMemo(() => {
    if (!geared || !layout) return null
    const { value: angle, slip } = geared.slide
    const windows = driftWindows(geared.gearing, geared.curve, geared.axle, {
      threshold: geared.threshold,
      slip,
      slipAngle: angle,
    })
    return slideRun(windows, geared.axle, { length, entry: layout.entry, exit: layout.exit }, { angle, slip })
  }, [geared, layout, length])
  if (view.build.discipline !== 'drift' || !geared) return null
  const velocity = unit('velocity')
  const angle = formatNumber((geared.slide.value * 180) / Math.PI, 0)
  return (
    <section aria-label="As one slide" className="mt-4 max-w-[820px]">
      <h2 className="text-[19px]">As one slide</h2>
      {!run || !layout ? (
        <p className="text-[15px] text-muted">
          Say with which speeds the layout is entered and left, with gears and grip: then the gear that holds
          the slide over the run, wheel speeds, and what it works into the tyres stand here.
        </p>
      ) : (
        <>
          <p className="text-[15px]" data-testid="as-slide">
            In at {formatQuantity(layout.entry, velocity, 0)}, out at{' '}
            {formatQuantity(layout.exit, velocity, 0)}, {angle}° at the rear:{' '}
            <b className="figure text-[18px]">{formatNumber(run.time, 1)} s</b> over {formatNumber(length, 0)}{' '}
            m.{' '}
            {run.gear === null
              ? 'No gear holds the slide anywhere on it.'
              : run.gear.share === 1
                ? `${gearName(run.gear.gear).replace(/^./, (c) => c.toUpperCase())} holds it all the way.`
                : `${gearName(run.gear.gear).replace(/^./, (c) => c.toUpperCase())} holds it over ${formatNumber(run.gear.share * 100, 0)} % of the way: somewhere the engine is off its boil, or at its limiter.`}{' '}
            Wheels turn at {formatQuantity(run.wheel.entry[0], velocity, 0)} to{' '}
            {formatQuantity(run.wheel.entry[1], velocity, 0)} going in,{' '}
            {formatQuantity(run.wheel.exit[0], velocity, 0)} to{' '}
            {formatQuantity(run.wheel.exit[1], velocity, 0)} coming out.
          </p>
          <p className="text-[15px]">
            About <b className="figure">{formatNumber(run.intoTyre / 1e6, 2)} MJ</b> go into each driven tyre
            a run: beside other layouts and angles it says how long a pair lasts.{' '}
            <Link className="text-blued underline" to="../driveline?view=drift" relative="path">
              The drift window
            </Link>{' '}
            shows each gear.
          </p>
        </>
      )}
    </section>
  )
}
