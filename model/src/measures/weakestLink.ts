import { known } from '@bold-ballast/core'
import { ladderOf } from '../car/ladderOf'
import { NOTHING, workedOut } from './computedFigures'
import type { MeasureOfCar } from './MeasureOfCar'

/** The margin of the driveline's weakest link: what it is rated for over what loads it. */
export const weakestLink: MeasureOfCar = {
  workOut: (car) => {
    const [first] = ladderOf(car)
    return first ? workedOut(known(first.margin, first.part.grade, first.marginSigma)) : NOTHING
  },
  says: {
    missing: 'Add components with their ratings.',
    sharper: 'weigh a maker’s claim against a test or a certificate',
    workedOut: 'what loads a link is worked out, and its rating is somebody’s word',
    settled: 'A test or a certificate, and use without failure, would settle it',
  },
  needsMass: true,
  settledBy: 'typeIn',
  // Nothing that is typed shows a worked-out margin.
  canSettle: () => false,
  helpedBy: 'strengthen',
}
