const UNIT = 2 ** -32

/**
 * Two independent standard normal numbers from random bits.
 *
 * @source Box and Muller, Ann. Math. Stat. 29 (1958) 610
 * @example normalPair(randomBits(7))
 */
export function normalPair(bits: () => number): [number, number] {
  const radius = Math.sqrt(-2 * Math.log(((bits() >>> 0) + 0.5) * UNIT))
  const turn = 2 * Math.PI * (bits() >>> 0) * UNIT
  return [radius * Math.cos(turn), radius * Math.sin(turn)]
}
