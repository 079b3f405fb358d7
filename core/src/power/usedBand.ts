export interface UsedBand {
  /** From the lowest engine speed after a shift to the shift, rad/s. */
  readonly band: readonly [number, number]
  /** Engine speed after each shift, first to second and so on, rad/s. */
  readonly after: readonly number[]
}

/**
 * The band of engine speed that is actually used when the car runs through its gears: from where a shift
 * lands to where the next one is made.
 *
 * @param ratios of the gears, first to last; the ones that are used
 * @param shift engine speed at which it is shifted, rad/s
 * @throws {RangeError} for fewer than two gears or ratios that don't fall
 * @source rpm after a shift = rpm · next / this (kinematics)
 * @example usedBand([1.77, 1.3], (7000 * Math.PI) / 30).after // [538.4], which is 5,141 rpm
 */
export function usedBand(ratios: readonly number[], shift: number): UsedBand {
  if (ratios.length < 2) throw new RangeError('a shift needs two gears')
  const after = ratios.slice(1).map((next, i) => {
    if (!(next > 0 && next < ratios[i]!)) throw new RangeError('each gear must be taller than the one before')
    return (shift * next) / ratios[i]!
  })
  return { band: [Math.min(...after), shift], after }
}
