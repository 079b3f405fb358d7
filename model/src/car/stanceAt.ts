import { sinkUnder, springsOf, type AeroBalance, type Attitude, type StageSummary } from '@bold-ballast/core'
import type { Attitude as AttitudeRecord, Build } from '@bold-ballast/contract'

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
 * @param record what was said of pitch and roll; null where nobody did
 * @param pressure ½ρv², Pa
 */
export function stanceAt(
  build: Build,
  summary: Pick<StageSummary, 'mass' | 'asFitted'>,
  record: Omit<AttitudeRecord, 'version'> | null,
  balance: AeroBalance,
  pressure: number,
): Stance {
  const { rates } = springsOf(build, summary.asFitted.centre.x.value, summary.mass.value)
  const rate = record?.wheelRate ?? { front: rates.frontLeft, rear: rates.rearLeft }
  return {
    attitude: {
      sinkFront: sinkUnder(balance.front * pressure, rate.front),
      sinkRear: sinkUnder(balance.rear * pressure, rate.rear),
      pitch: record?.pitch ?? 0,
      roll: record?.roll ?? 0,
      bump: record?.bump ?? 0,
    },
    rates: record?.wheelRate ? 'stated' : build.springs ? 'springs' : 'assumed',
    isStated: record !== null,
  }
}
