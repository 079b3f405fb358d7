import type { AxleCar } from '../lap/AxleCar'
import type { LapDoubts } from '../lap/carOffBy'

/** Its tyres: as it stands a quarter of it is on each. */
export const tyreC = { grip: 1.35, load: 2819.4, sensitivity: 0.1 }

/** Car C of the handbook, section 11. */
export const carC: AxleCar = {
  mass: 1150,
  wheelbase: 2.45,
  centre: { x: 1.18, z: 0.46 },
  track: { front: 1.48, rear: 1.48 },
  transferShare: 0.55,
  tyre: { front: tyreC, rear: tyreC },
  downforce: { front: 0.3, rear: 0.6 },
  dragArea: 0.8,
  rollingResistance: 0.015,
  airDensity: 1.2,
  driven: 'rear',
  driveFront: null,
  differential: { kind: 'locked' },
  drive: { kind: 'power', power: 180_000 },
  brakes: { front: 0.66, used: 1 },
}

/** What is known of it, where a test asks. */
export const doubtsC: LapDoubts = {
  mass: 5,
  height: 0.015,
  power: 0.03,
  grip: 0.03,
  radius: 0,
  drag: 0.04,
  downforce: { front: 0.05, rear: 0.08 },
  transferShare: 0.03,
  brakeFront: 0.02,
  sensitivity: 0.03,
}
