import type { Course } from '@bold-ballast/contract'
import {
  courseDrawn,
  gainChanges,
  gainPowers,
  usualMoment,
  type GainChanges,
  type GainPowersFound,
  type Moment,
} from '@bold-ballast/model'
import { itemAt, type GainMeasure } from '@bold-ballast/core'
import { useMemo } from 'react'
import { useCars } from '../../../store/useCar'

/** What leads from one stage to a later one, the powers that it is split on, and which cars of half-done stages. */
export interface FoundGain {
  readonly found: GainChanges | null
  readonly powers: GainPowersFound['kind']
  /** The two dynos that nobody bridged. */
  readonly dynos: readonly [string, string] | null
  readonly moment: Moment
}

/** What leads from one stage to a later one; null where there is nothing to split. */
export function useGainChanges(
  from: number,
  to: number,
  measure: GainMeasure,
  course: Course | null,
  wanted: Moment | null,
): FoundGain | null {
  const cars = useCars()
  return useMemo(() => {
    if (!(from >= 0 && from < to)) return null
    const [before, after] = [itemAt(cars, from), itemAt(cars, to)]
    const moment = wanted ?? usualMoment(before.summary, after.summary)
    const powers = gainPowers(before, after, moment)
    const found = gainChanges(before, after, course && courseDrawn(course).lap, moment)
    const isRun = measure !== 'powerToWeight' && found?.runLacks === null && (measure !== 'lap' || course)
    return {
      powers: powers.kind,
      dynos: powers.kind === 'twoDynos' ? [powers.dynos[0].dyno, powers.dynos[1].dyno] : null,
      moment,
      // Gears and tyres don't change power or weight: every set would be tried twice for each of them.
      found:
        found && !isRun
          ? { ...found, changes: found.changes.filter((c) => c.mass !== 0 || c.power !== null) }
          : found,
    }
  }, [cars, from, to, measure, course, wanted])
}
