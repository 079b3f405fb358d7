import type { LapCar } from '../lap/LapCar'

/** What a lap asks of a car beside what a straight line does: the same tyres all round, nothing unusual. */
export const evenAxles = {
  trackFront: 1.5,
  trackRear: 1.48,
  transferShare: 0.55,
  frontOverRear: 1,
  driveFront: null,
  differential: { kind: 'locked' },
  brakeFront: 0.66,
  brakeUsed: 1,
} as const satisfies Partial<LapCar>
