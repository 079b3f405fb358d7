import type { BuildDocument, Mark } from '@bold-ballast/contract'
import { roadSpeedAt, totalsOfStage, type MarkReading } from '@bold-ballast/core'
import type { Car } from '../car/Car'
import { carAt } from '../car/carAt'
import { ladderOf, type Rung } from '../car/ladderOf'
import { marksOf } from '../marks/marksOf'
import { readMark } from '../marks/markFigures'

/** Everything that a proof sheet of a stage says, as figures. */
export interface Proof {
  readonly car: Car
  readonly marks: readonly { readonly mark: Mark; readonly reading: MarkReading }[]
  /** Road speed at the limiter, gear by gear, m/s. */
  readonly gears: readonly { readonly ratio: number; readonly speed: number }[]
  /** Weakest first. */
  readonly rungs: readonly Rung[]
  /** What the swaps of the stage itself weigh, kg. */
  readonly changed: readonly { readonly swap: string; readonly mass: number }[]
}

/**
 * What there is to sign of a stage.
 *
 * @throws {RangeError} where the document has no such stage
 * @example proofOf(document, stageId).marks.filter((m) => m.reading.verdict === 'met').length
 */
export function proofOf(document: BuildDocument, stageId: string): Proof {
  const car = carAt(document, stageId)
  const { geared } = car
  return {
    car,
    marks: marksOf(document, stageId).map((mark) => ({ mark, reading: readMark(car, mark) })),
    gears: geared
      ? geared.drive.ratios.map((ratio, gear) => ({
          ratio,
          speed: roadSpeedAt(geared.gearing, gear, geared.gearing.limiter),
        }))
      : [],
    rungs: ladderOf(car),
    changed: car.swaps
      .filter(({ swap }) => swap.stageId === stageId)
      .map(({ swap, counted }) => ({ swap: swap.name, mass: totalsOfStage([counted]).net.value })),
  }
}
