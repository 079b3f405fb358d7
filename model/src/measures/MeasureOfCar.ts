import type { Mark } from '@bold-ballast/contract'
import type { MarkFigures, MarkReading } from '@bold-ballast/core'
import type { Car } from '../car/Car'
import type { StepKind } from '../steps/step'

/** What a figure is asked for: a measure, and the condition, gear, place, part or speed it depends on. */
export type Asked = Pick<Mark, 'measure' | 'conditionId' | 'gear' | 'place' | 'part' | 'speed'> &
  // Of readings that have a window: the one that is farthest out of it counts.
  Partial<Pick<Mark, 'comparator' | 'value'>>

/** What a mark lacks, in either of two currencies; 0 where it lacks nothing of one. */
export interface Shortfall {
  /** kg to come off. */
  readonly kilograms: number
  /** W at the wheels to come on. */
  readonly watts: number
}

/** How a measure is spoken of. Sentences end with a full stop, parts of sentences don't. */
export interface MeasureWords {
  /** What is missing while there is no figure at all. */
  readonly missing: string
  /** Why a figure that is there proves nothing yet, where no summary explains it. */
  readonly unproven?: string
  /** What would sharpen a figure that is there. */
  readonly sharper?: string
  /** What a figure comes from that no instrument read. */
  readonly workedOut?: string
  /** The measurement that settles it. */
  readonly settled?: string
}

/** All there is to say of a measure that a mark can stand on: how it is worked out, said, settled and closed. */
export interface MeasureOfCar {
  readonly workOut: (car: Car, asked: Asked) => MarkFigures
  readonly says: MeasureWords
  /** There is none of it for a car that weighs nothing. */
  readonly needsMass?: true
  /** It moves with what the ledger has still to fit. */
  readonly hangsOnMass?: true
  /** Only driving shows it. */
  readonly isDriven?: true
  /** What settles it while it rests on nothing but a plan, or on nothing at all. */
  readonly settledBy: StepKind
  /** False where what is worked out of this car can't be settled by that step. */
  readonly canSettle?: (car: Car) => boolean
  /** What helps it where it is off. */
  readonly helpedBy?: StepKind
  /** What a mark on it lacks, where kilos or power help. */
  readonly shortfall?: (
    mark: Pick<Mark, 'comparator' | 'value' | 'tolerance'>,
    reading: Pick<MarkReading, 'value'>,
    car: Pick<Car, 'summary' | 'build'>,
  ) => Shortfall | null
}
