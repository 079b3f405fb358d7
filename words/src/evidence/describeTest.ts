import type { Mark } from '@bold-ballast/contract'
import { formatKnown, formatQuantity, inTurn, type RepeatPlan, type Unit } from '@bold-ballast/core'
import { USUAL_TEST, type DifferencePlan, type MarkTest, type TestInstrument } from '@bold-ballast/model'
import { comparatorWords } from '../marks/describeMark'

const READING = { dyno: ['pull', 'pulls'], scale: ['weighing', 'weighings'] } as const
/** More in a row than this are said by their pattern. */
const MOST_SPELT = 4

/**
 * How many readings on which days.
 *
 * @example sayReadings({ days: 2, readings: 3 }, 'dyno') // '3 pulls on each of 2 days'
 */
export function sayReadings(
  { days, readings }: Pick<RepeatPlan, 'days' | 'readings'>,
  kind: TestInstrument['kind'],
): string {
  const [one, many] = READING[kind]
  const said = `${readings} ${readings === 1 ? one : many}`
  if (days > 1) return `${said} on each of ${days} days`
  return kind === 'dyno' ? `${said} on one day` : said
}

const spreadOf = (value: number, sigma: number, unit: Unit): string =>
  `±${formatKnown(value, sigma, unit).spread} ${unit.symbol}`.trim()

/** The instrument by its name, or what is taken for it. */
const onInstrument = ({ name, kind, isUsual }: TestInstrument): string =>
  isUsual
    ? kind === 'dyno'
      ? ' on a usual dyno'
      : ' on usual pads'
    : name
      ? ` on ${name}`
      : kind === 'dyno'
        ? ' on that dyno'
        : ' on those scales'

/** Where a reading shows a mark as met: at least, at most or within so much. */
function metWhere(
  { comparator, value, tolerance }: Pick<Mark, 'comparator' | 'value' | 'tolerance'>,
  shownFrom: number,
  unit: Unit,
): string | null {
  if (comparator === 'within') {
    const left = tolerance - shownFrom
    return left > 0 ? `within ${spreadOf(value, left, unit)} of ${formatQuantity(value, unit)}` : null
  }
  const limit = comparator === 'atLeast' ? value - tolerance + shownFrom : value + tolerance - shownFrom
  return limit > 0 ? `${comparatorWords(unit)[comparator]} ${formatQuantity(limit, unit)}` : null
}

/**
 * What it takes to show a mark, in one or two sentences.
 *
 * @param unit of the mark's figure
 * @example describeMarkTest(test, mark, unit) // '3 pulls on one day on Yard hubs would know it to ±9 kW, and show it met where they read at least 316 kW.'
 */
export function describeMarkTest(
  { instrument, errors, margin, plan, shownFrom }: MarkTest,
  mark: Pick<Mark, 'comparator' | 'value' | 'tolerance'>,
  unit: Unit,
): string {
  const { kind } = instrument
  const [, many] = READING[kind]
  const known = spreadOf(mark.value, shownFrom / 1.645, unit)
  const where = metWhere(mark, shownFrom, unit)
  const usual = `${sayReadings(USUAL_TEST, kind)}${onInstrument(instrument)} would know it to ${known}${
    where ? `, and show it met where they read ${where}` : ', which can’t show it'
  }.`
  if (margin === null || margin === 0) return usual
  const lies = `It is thought to ${margin > 0 ? 'meet' : 'miss'} it by ${spreadOf(mark.value, Math.abs(margin), unit).slice(1)}`
  if (plan) return `${usual} ${lies}, which ${sayReadings(plan, kind)} would show in four of five cases.`
  const isOwn = errors.always > Math.hypot(errors.betweenDays, errors.scatter)
  return `${usual} ${lies}, which ${
    isOwn
      ? `no number of ${many} shows: all of them share ${spreadOf(mark.value, errors.always, unit)}`
      : `not even 8 ${many} on each of 4 days would show`
  }.`
}

/** The order of readings in turn, spelt out as far as it needs to be. */
function sayOrder(each: number): string {
  const spelt = inTurn(Math.min(each, MOST_SPELT)).join(' ')
  return each > MOST_SPELT ? `${spelt} …` : spelt
}

/**
 * Readings that would show a wanted difference, in words.
 *
 * @example describeDifferencePlan(plan, dyno) // '3 pulls of each on one day show it in four of five cases, as it is (A) and changed (B) in turn: A B B A A B.'
 */
export function describeDifferencePlan(
  { inTurn: turns, beside }: DifferencePlan,
  kind: TestInstrument['kind'],
): string {
  const [, many] = READING[kind]
  const first = !turns
    ? `Not even 8 ${many} of each show it.`
    : kind === 'dyno'
      ? `${turns.readings} pulls of each on one day show it in four of five cases, as it is (A) and changed (B) in turn: ${sayOrder(turns.readings)}.`
      : // Nobody puts kilos back on to weigh them.
        `${turns.readings} weighings before and ${turns.readings} after show it in four of five cases.`
  return beside
    ? `${first} Beside what was pulled before, without going back: ${sayReadings(beside, kind)}.`
    : first
}
