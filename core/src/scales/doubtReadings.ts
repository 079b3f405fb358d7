import { quantileOf } from '../numeric/quantileOf'
import { POUND } from '../units/constants'

/** A reading may be so many times what is expected, or that part of it, before one should ask. */
const MOST = 1.6
const LEAST = 0.6
/** What a slip makes of a figure: pounds taken for kilograms or the other way, a nought too many or too few. */
const SLIPS = [POUND, 1 / POUND, 0.1, 10] as const

const isOdd = (ratio: number): boolean => !(ratio <= MOST && ratio >= LEAST)

const middleOf = (values: readonly number[]): number => quantileOf(Float64Array.from(values).sort(), 0.5)

/** A reading of a scale and what the books expect there, kg. */
export interface ExpectedReading {
  readonly reading: number
  readonly expected: number
}

/** A reading that looks mistyped: what its neighbours and the books make likely, and what slips would explain it, kg. */
export interface ReadingDoubt {
  /** Which of the readings; null for all of them together. */
  readonly at: number | null
  /** Times what is expected. */
  readonly ratio: number
  readonly couldBe: readonly number[]
}

/**
 * Readings that look mistyped: those that neither the books nor the other readings would lead one to expect, or all of
 * them, where they agree with each other, not at all with the books, and a slip of the unit would explain it.
 *
 * The others say by how much the books are out: one wheel that reads ten times as much as the other three is asked about,
 * four that all read a fifth more are a heavy car. The question never blocks; it is the person's car.
 *
 * @source common practice
 * @example doubtReadings([{ reading: 4082, expected: 310 }, { reading: 300, expected: 300 }, { reading: 280, expected: 290 }])[0]?.at // 0
 */
export function doubtReadings(readings: readonly ExpectedReading[]): ReadingDoubt[] {
  const known = readings.flatMap(({ reading, expected }, at) =>
    reading > 0 && expected > 0 ? [{ at, reading, expected, ratio: reading / expected }] : [],
  )
  const slipsOf = (reading: number, likely: number) =>
    SLIPS.map((slip) => reading * slip).filter((mass) => !isOdd(mass / likely))
  const odd = known.flatMap(({ at, reading, expected, ratio }): ReadingDoubt[] => {
    const others = known.filter((one) => one.at !== at)
    const out = others.length > 0 ? middleOf(others.map((one) => one.ratio)) : 1
    // Of two that disagree the books say which it is.
    if (!isOdd(ratio) || !isOdd(ratio / out)) return []
    return [{ at, ratio, couldBe: slipsOf(reading, isOdd(out) ? expected : expected * out) }]
  })
  if (odd.length > 0 || known.length === 0) return odd
  const all = middleOf(known.map((one) => one.ratio))
  // Where no slip explains it the books are wrong, which their balance says.
  const couldBe = isOdd(all) ? SLIPS.filter((slip) => !isOdd(all * slip)) : []
  return couldBe.length > 0 ? [{ at: null, ratio: all, couldBe }] : []
}
