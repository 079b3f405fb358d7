import type { LapDoubts } from '@bold-ballast/core'
import type { Car } from '../car/Car'
import { SENSITIVITY_DOUBT } from '../car/lapFacts'
import { GRIP_DOUBT, typedDoubts } from '../car/runDoubt'

/** How far off the front axle’s share of the transfer is where springs were typed, and where the usual was taken. */
const TRANSFER = { suspension: 0.02, springs: 0.04, assumed: 0.06 } as const
/** The same of the braking, with brakes typed and without. */
const BRAKING = { typed: 0.02, assumed: 0.04 } as const
/** A tyre’s sensitivity that somebody typed is known to that. */
const TYPED_SENSITIVITY = 0.02

/**
 * How far off the figures of a car are that its lap is worked out from. What was fitted to driven laps is known as well as
 * it was fitted.
 *
 * @throws {RangeError} for a car without gears or a curve
 * @example lapDoubts(car).grip // 0.07
 */
export function lapDoubts(car: Car): LapDoubts {
  const { geared, summary, stance, lapBasis } = car
  if (!geared) throw new RangeError('A lap is of a car with gears and a curve.')
  const typed = typedDoubts(geared.air, summary)
  const said = lapBasis?.value
  const total = Math.abs(geared.air.front) + Math.abs(geared.air.rear)
  const part = (area: number) => (total === 0 ? 0 : (typed.downforce * Math.abs(area)) / total)
  return {
    mass: typed.mass,
    height: stance.rollSigma.centre.z,
    power: said?.powerFactor ? said.powerFactor.doubt : typed.power,
    grip: said?.gripFactor ? said.gripFactor.doubt : GRIP_DOUBT,
    radius: typed.radius,
    drag: typed.drag,
    downforce: { front: part(geared.air.front), rear: part(geared.air.rear) },
    transferShare: TRANSFER[stance.from],
    brakeFront: car.braking ? BRAKING.typed : BRAKING.assumed,
    sensitivity: said ? TYPED_SENSITIVITY : SENSITIVITY_DOUBT,
  }
}
