import * as z from 'zod'
import { field } from './field'

/** What is said of the springs of an axle, wherever it is said. */

/** N/m */
export const springRate = field(
  z
    .number('Type a spring rate, such as 60 N/mm or 350 lb/in.')
    .min(1000, 'Below 1 N/mm: check the unit.')
    .max(2e6, 'Over 2,000 N/mm: check the unit.'),
  { quantity: 'stiffness', label: 'Spring rate' },
)
/** Travel of a spring, a damper or a link over travel of the wheel. */
export const ratio = field(
  z
    .number('Type the motion ratio, such as 0.7.')
    .min(0.2, 'Below 0.2: spring travel over wheel travel is meant.')
    .max(2, 'Over 2: spring travel over wheel travel is meant.'),
  { quantity: 'number' },
)
/** Of the spring. */
export const motionRatio = field(ratio, {
  label: 'Motion ratio',
  hint: 'Spring travel over wheel travel',
})
/** N/m; null leaves the tyre out. */
export const tyreRate = field(
  z
    .number('Type a tyre rate, or leave it empty.')
    .min(20_000, 'Below 20 N/mm: check the unit.')
    .max(2e6, 'Over 2,000 N/mm: check the unit.')
    .nullable(),
  { quantity: 'stiffness', label: 'Tyre rate', hint: 'Empty leaves the tyre out' },
)
/** Of the perch’s thread, m a turn. */
export const threadPitch = field(
  z
    .number('Type the pitch of the thread, such as 2 mm.')
    .gt(0, 'A thread has a pitch.')
    .max(0.02, 'Over 20 mm a turn: check the unit.'),
  { quantity: 'length', label: 'Thread, a turn' },
)
/** The smallest part of a turn that is set. */
export const turnStep = field(
  z
    .number('Type a part of a turn, such as 0.25.')
    .gt(0, 'A step is above zero.')
    .max(2, 'At most two turns.'),
  { quantity: 'number', label: 'Smallest part of a turn', hint: 'What can be set by hand: 1/4' },
)
