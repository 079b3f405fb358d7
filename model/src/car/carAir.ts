import type { Build, Drive } from '@bold-ballast/contract'
import { doubtName, itemAt, sigmaOf, type Doubts } from '@bold-ballast/core'
import type { CarAero } from './Car'

/** What the air does to a car: the one set of figures for top speed, runs and laps. m². */
export interface CarAir {
  readonly dragArea: number
  /** One standard uncertainty, and what it is made of. */
  readonly dragSigma: number
  readonly dragDoubts: Doubts
  /** Downforce areas on the axles. */
  readonly front: number
  readonly rear: number
  /** Of both together, one standard uncertainty. */
  readonly downforceSigma: number
  readonly downforceDoubts: Doubts
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
  const bare = { [doubtName.typed('drag')]: TYPED * drive.dragArea }
  if (elements.length === 0) {
    const { axleDownforce } = drive
    const shares = { front: [1, 0], rear: [0, 1], all: [0.5, 0.5] } as const
    const [front, rear] = shares[layout]
    return {
      dragArea: drive.dragArea,
      dragSigma: sigmaOf(bare),
      dragDoubts: bare,
      front: front * axleDownforce,
      rear: rear * axleDownforce,
      downforceSigma: TYPED * Math.abs(axleDownforce),
      downforceDoubts: { [doubtName.typed('downforce')]: TYPED * axleDownforce },
    }
  }
  const of = (what: 'lift' | 'drag'): Doubts =>
    Object.fromEntries(elements.map(({ id }, i) => [doubtName.element(id), itemAt(sigma.each, i)[what]]))
  const hasBody = elements.some((e) => e.kind === 'body')
  const dragDoubts = hasBody ? of('drag') : { ...of('drag'), ...bare }
  return {
    dragArea: Math.max(0, balance.drag + (hasBody ? 0 : drive.dragArea)),
    dragSigma: sigmaOf(dragDoubts),
    dragDoubts,
    front: balance.front,
    rear: balance.rear,
    downforceSigma: sigma.total,
    downforceDoubts: of('lift'),
  }
}
