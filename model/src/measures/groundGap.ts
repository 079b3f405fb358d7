import { known } from '@bold-ballast/core'
import { leastGap } from '../stance/gapsAlong'
import { NOTHING, workedOut } from './computedFigures'
import type { MeasureOfCar } from './MeasureOfCar'

/** What a gap is off by, as a share of what is taken from it, and by the tape (common practice). */
const GAP_MODEL = 0.2
const TAPE = 0.003

/** The least gap that a splitter or floor leaves to the ground at a speed, m. */
export const groundGap: MeasureOfCar = {
  workOut: (car, { speed }) => {
    const least = speed === null ? null : leastGap(car, speed)
    if (!least) return NOTHING
    return workedOut(known(least.gap, 'claim', Math.hypot(TAPE, GAP_MODEL * (least.height - least.gap))))
  },
  says: {
    missing: 'Say how a splitter or floor is built.',
    unproven: 'nobody has said how it pitches and rolls',
    workedOut: 'the gap is worked out from springs, loads and panels, not seen',
    settled: 'Marker paint or a logged ride height at that speed would settle it',
  },
  needsMass: true,
  settledBy: 'sayPitch',
  // What was said of pitch and roll isn't said better by saying it again.
  canSettle: ({ attitude }) => attitude === null,
  helpedBy: 'support',
}
