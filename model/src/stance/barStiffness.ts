import type { Suspension } from '@bold-ballast/contract'
import { barAtAxle, torsionRate } from '@bold-ballast/core'

type Bar = NonNullable<Suspension['front']['bar']>

/**
 * What a bar adds to the roll stiffness of its axle in one of its holes: as measured, or from its size.
 *
 * @param track m
 * @returns N·m/rad
 * @example barStiffness(bar, bar.settings[0], 1.52)
 */
export const barStiffness = (bar: Bar, { arm, stiffness }: Bar['settings'][number], track: number): number =>
  stiffness ??
  barAtAxle(torsionRate(bar.diameter, bar.length, bar.bore), arm ?? bar.length, bar.motionRatio, track)
