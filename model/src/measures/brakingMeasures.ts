import { CONFIDENCE, known, STANDARD_GRAVITY, type Known, type MarkFigures } from '@bold-ballast/core'
import type { Car } from '../car/Car'
import { padsOff, type BrakeFigures } from '../stance/brakeFigures'
import { NOTHING, workedOut } from './computedFigures'
import type { MeasureOfCar, MeasureWords } from './MeasureOfCar'

const says: MeasureWords = {
  missing: 'Type the brakes: pedal, cylinders, calipers, discs and pads.',
  unproven: 'it is worked out from pads and pistons',
  sharper: 'log the pressures in both lines',
  workedOut: 'it is worked out from pads, pistons and cylinders, not driven',
  settled: 'Pressures of both lines, logged in a stop, would settle it',
}

/** Marks of brakes are judged without what the air presses: most stops end slowly. */
function ofBrakes({ braking }: Car, read: (figures: BrakeFigures) => Known | null): MarkFigures {
  const value = braking && read(braking)
  return value ? workedOut(value) : NOTHING
}
/** One standard uncertainty from the range of 90 %. */
const sigmaOf = (low: number, high: number) => (high - low) / (2 * CONFIDENCE)

const common = {
  says,
  needsMass: true,
  settledBy: 'typeIn',
  canSettle: ({ brakes }: Car) => brakes === null,
} as const

/** What of the tyres' grip is used when the first axle locks. */
export const brakingEfficiency: MeasureOfCar = {
  ...common,
  workOut: (car) =>
    ofBrakes(car, ({ efficiency, margin90: [low, high], grip }) =>
      // What parts both axles is lost to the one half of it, and as well known.
      known(efficiency, 'claim', sigmaOf(low, high) / (2 * grip * STANDARD_GRAVITY)),
    ),
  helpedBy: 'turnBrakeBar',
}

/** By how much more the rear axle locks than the front. */
export const lockMargin: MeasureOfCar = {
  ...common,
  workOut: (car) =>
    ofBrakes(car, ({ margin, margin90: [low, high] }) => known(margin, 'claim', sigmaOf(low, high))),
  helpedBy: 'turnBrakeBar',
}

/** How far disc temperatures are from what a heat balance says of them, K (common practice). */
const HEAT_MODEL = 40

/** How far the discs are outside of where the pads work. */
export const padOff: MeasureOfCar = {
  ...common,
  workOut: (car) =>
    ofBrakes(car, (figures) => {
      const off = padsOff(figures)
      return off === null ? null : known(off, 'claim', HEAT_MODEL)
    }),
  says: {
    ...says,
    missing: 'Type the brakes, and the stops of a lap.',
    sharper: 'read the discs straight after a run',
    settled: 'Discs read straight after a run would settle it',
  },
}
