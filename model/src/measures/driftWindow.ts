import { doubtName, drivenAxle, driftWindows, named, type LapCar } from '@bold-ballast/core'
import { runDoubt, typedDoubts } from '../car/runDoubt'
import { NOTHING, workedOut } from './computedFigures'
import type { MeasureOfCar } from './MeasureOfCar'

/** What an end of a drift window is off by, m/s (common practice). */
const WINDOW_MODEL = 0.5

/** How wide the range of speeds is that a gear can hold a slide over, m/s; the widest where no gear is named. */
export const driftWindow: MeasureOfCar = {
  workOut: ({ geared, summary }, { gear }) => {
    if (!geared) return NOTHING
    const { slide, threshold } = geared
    const widthOf = (run: LapCar, slipAngle: number = slide.value) => {
      const gearing = { ...geared.gearing, rollingRadius: run.rollingRadius }
      const windows = driftWindows(gearing, run.curve, drivenAxle(run), {
        threshold,
        slip: slide.slip,
        slipAngle,
      })
      const widths = windows.map(({ window }) => (window ? window[1] - window[0] : 0))
      return gear === null ? Math.max(0, ...widths) : (widths[gear - 1] ?? null)
    }
    const width = widthOf(geared.run)
    if (width === null) return NOTHING
    const byAngle = [slide.value - slide.sigma, slide.value + slide.sigma].map((a) =>
      Math.abs((widthOf(geared.run, a) ?? width) - width),
    )
    const doubts = { ...typedDoubts(geared.air, summary), drag: 0 }
    const typed = runDoubt(geared.run, doubts, (run) => widthOf(run), width)
    const model = Math.hypot(Math.max(...byAngle), WINDOW_MODEL)
    return workedOut(named(width, 'claim', { ...typed, [doubtName.model('slide')]: model }))
  },
  says: {
    missing: 'Log a pull with a curve, and type gears and grip.',
    unproven: 'nobody has pulled and weighed it at this stage',
    workedOut: 'the window is worked out from gears, grip and the slip angle as typed, not driven',
    settled: 'Only driving it settles it',
  },
  needsMass: true,
  isDriven: true,
  settledBy: 'drive',
}
