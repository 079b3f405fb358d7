import { type Instrument } from '@bold-ballast/contract'
import { NO_DOUBTS, sumDoubts, type WorthDoubts } from '@bold-ballast/core'
import type { CarAir } from '../car/carAir'
import { GRIP_DOUBT } from '../car/runDoubt'
import { doubtedCurvesOf, doubtedPulls, type Side } from './compareSides'

/**
 * What is in doubt about a side that is run in a straight line: its mean curve by each pull, their days and the dyno, by
 * name, so that another side shares what it shares.
 *
 * @param shared what both sides are run with
 */
export function worthDoubts(
  side: Side,
  instruments: readonly Instrument[],
  shared: { readonly mass: number; readonly air: CarAir; readonly model: number },
): WorthDoubts {
  const { doubts } = doubtedCurvesOf(doubtedPulls(side, 'observed', [...instruments], null), 'observed')
  return {
    power: sumDoubts(
      doubts.map(({ name, scatter, shared: ofDay = NO_DOUBTS }) => ({
        doubts: { ...ofDay, ...(name && { [name]: scatter }) },
        slope: 1 / doubts.length,
      })),
    ),
    mass: shared.mass,
    grip: GRIP_DOUBT,
    drag: shared.air.dragSigma,
    model: shared.model,
  }
}
