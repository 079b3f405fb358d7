import { sinkUnder, springsOf, type Attitude } from '@bold-ballast/core'
import type { Car } from './Car'

export interface Stance {
  readonly attitude: Attitude
  /** Where the wheel rates come from. */
  readonly rates: 'stated' | 'springs' | 'assumed'
  /** False while nobody said how it pitches and rolls. */
  readonly isStated: boolean
}

/**
 * How a car stands at a dynamic pressure: sunk on its springs, pitched, rolled, over a kerb.
 *
 * @param pressure ½ρv², Pa
 * @example stanceAt(car, dynamicPressure(car.airDensity, 50)).attitude.sinkFront // 0.0074
 */
export function stanceAt(
  {
    build,
    summary,
    attitude,
    aero,
  }: Pick<Car, 'build' | 'summary' | 'attitude'> & {
    readonly aero: Pick<Car['aero'], 'balance'>
  },
  pressure: number,
): Stance {
  const { rates } = springsOf(build, summary.asFitted.centre.x.value, summary.mass.value)
  const record = attitude?.value ?? null
  const rate = record?.wheelRate ?? { front: rates.frontLeft, rear: rates.rearLeft }
  return {
    attitude: {
      sinkFront: sinkUnder(aero.balance.front * pressure, rate.front),
      sinkRear: sinkUnder(aero.balance.rear * pressure, rate.rear),
      pitch: record?.pitch ?? 0,
      roll: record?.roll ?? 0,
      bump: record?.bump ?? 0,
    },
    rates: record?.wheelRate ? 'stated' : build.springs ? 'springs' : 'assumed',
    isStated: record !== null,
  }
}
