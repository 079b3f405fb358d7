import { worthWith, type CarChange, type GainCar, type GainMeasure } from './carChanges'
import { doubtName } from '../evidence/doubtNames'
import { NO_DOUBTS, timesDoubts, type Doubts } from '../evidence/doubts'
import { itemAt } from '../lists/itemAt'
import { REACH_95 } from '../numeric/normal'

export interface GainShare {
  readonly id: string
  readonly value: number
  /** One standard uncertainty: what the change itself is off by, and what drawing orders left. */
  readonly sigma: number
  /** Standard error of the drawing alone; 0 where it was split exactly. */
  readonly drawn: number
  /** What of its doubt has a name. */
  readonly doubts: Doubts
}
export interface GainSplit {
  readonly from: number
  readonly to: number
  /** What gained most first; lost most last. */
  readonly shares: readonly GainShare[]
  /** The largest of those that their own doubt doesn't hide, whichever way it goes; null where it hides all. */
  readonly largest: GainShare | null
}

/**
 * A gain shared out among the changes that made it: each share with its doubt, in the order of what they gained.
 *
 * @param drawn the fair share of each change, in their order, and what drawing orders left open of it
 * @param runModel share that a worked-out run or lap is off by itself; power to weight has no such model
 * @throws {RangeError} when a change has no share, and where {@link worthWith} does
 * @source independent parts in quadrature, JCGM 100:2008, 5.1.2; that a share is shown beyond 95 % is common practice
 * @example gainSplit(before, changes, 'powerToWeight', [{ value: 10, sigma: 0 }, { value: 4, sigma: 0 }], 0.02).shares.length // 2
 */
export function gainSplit(
  before: GainCar,
  changes: readonly CarChange[],
  measure: GainMeasure,
  drawn: readonly { readonly value: number; readonly sigma: number }[],
  runModel: number,
): GainSplit {
  const isWorkedOut = measure !== 'powerToWeight'
  const shares = changes
    .map(({ id, doubt = 0, doubts = NO_DOUBTS }, i): GainShare => {
      const { value, sigma } = itemAt(drawn, i)
      const model = isWorkedOut ? runModel : 0
      const own = Math.abs(value) * Math.hypot(doubt, model)
      return {
        id,
        value,
        drawn: sigma,
        sigma: Math.hypot(own, sigma),
        doubts: timesDoubts({ ...doubts, ...(model > 0 && { [doubtName.model('run')]: model }) }, value),
      }
    })
    // Less time is a gain; more power to weight is one.
    .sort((a, b) => (isWorkedOut ? a.value - b.value : b.value - a.value))
  const worth = (isMade: boolean) =>
    worthWith(
      before,
      changes,
      changes.map(() => isMade),
      measure,
    )
  return {
    from: worth(false),
    to: worth(true),
    shares,
    largest: shares
      .filter(({ value, sigma }) => Math.abs(value) > REACH_95 * sigma)
      .reduce<GainShare | null>(
        (most, s) => (!most || Math.abs(s.value) > Math.abs(most.value) ? s : most),
        null,
      ),
  }
}
