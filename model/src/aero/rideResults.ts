import type { AeroElement, DownforceTest } from '@bold-ballast/contract'
import {
  aeroBalance,
  airDensity,
  atAngle,
  downforceFrom,
  placedAreas,
  type AeroBalance,
  type MeasuredDownforce,
} from '@bold-ballast/core'

/** Rates and ratios of a suspension are known to so much at best (common practice). */
export const RATES_KNOWN = 0.04

export interface RideResult {
  readonly angle: number | null
  readonly wingId: string | null
  readonly measured: MeasuredDownforce
  /** What the sheet says with the wing set like that. */
  readonly sheet: AeroBalance
  readonly elements: readonly AeroElement[]
}

/** What each run of a log measured, beside the sheet with its wing set like that; or what is wrong with it. */
export function rideResults(
  test: DownforceTest,
  elements: readonly AeroElement[],
  wheelbase: number,
): readonly RideResult[] | { readonly problem: string } {
  try {
    return test.runs.map(({ wingId, angle, points }) => {
      const set =
        angle === null
          ? elements
          : elements.map((e) => (e.id === wingId ? (atAngle(e, angle) as AeroElement) : e))
      return {
        angle,
        wingId,
        elements: set,
        measured: downforceFrom(points, { ...test, airDensity: airDensity(test.air) }),
        sheet: aeroBalance(placedAreas(set), wheelbase),
      }
    })
  } catch (error) {
    return { problem: (error as Error).message }
  }
}

/** With what isn't known of rates and ratios, which no scatter shows. */
export const withRates = ({ value, sigma }: { value: number; sigma: number }) => ({
  value,
  sigma: Math.hypot(sigma, RATES_KNOWN * value),
})
