import type { Build, Drive } from '@bold-ballast/contract'
import type { CarAero } from './Car'

/** What the air does to a car: the one set of figures for top speed, runs and laps. m². */
export interface CarAir {
  readonly dragArea: number
  /** One standard uncertainty. */
  readonly dragSigma: number
  /** Downforce areas on the axles. */
  readonly front: number
  readonly rear: number
  /** Of both together, one standard uncertainty. */
  readonly downforceSigma: number
}

/** Share that a typed drag or downforce area is off by, where nobody measured it (a claim's, common practice). */
const TYPED = 0.07

/**
 * The air of a car. Where the aero sheet has a body, it holds the whole car. Where it has only wings and panels, the
 * drag area typed with the gears is the car without them, and theirs comes on top. Without a sheet both typed figures
 * stand, downforce half to each axle where all wheels are driven.
 *
 * @example carAir(car.build, car.aero, car.gears.value).dragArea
 */
export function carAir(
  { layout }: Pick<Build, 'layout'>,
  { elements, balance, sigma }: CarAero,
  drive: Pick<Drive, 'dragArea' | 'axleDownforce'>,
): CarAir {
  const bare = TYPED * drive.dragArea
  if (elements.length === 0) {
    const { axleDownforce } = drive
    const shares = { front: [1, 0], rear: [0, 1], all: [0.5, 0.5] } as const
    const [front, rear] = shares[layout]
    return {
      dragArea: drive.dragArea,
      dragSigma: bare,
      front: front * axleDownforce,
      rear: rear * axleDownforce,
      downforceSigma: TYPED * Math.abs(axleDownforce),
    }
  }
  const hasBody = elements.some((e) => e.kind === 'body')
  return {
    dragArea: Math.max(0, balance.drag + (hasBody ? 0 : drive.dragArea)),
    dragSigma: Math.hypot(sigma.drag, hasBody ? 0 : bare),
    front: balance.front,
    rear: balance.rear,
    downforceSigma: sigma.total,
  }
}
