import type { Known } from '../evidence/known'
import { WORTH_INPUTS, WORTH_MEASURES, type Worth } from './worthOfPower'

const figuresOf = (worth: Worth) => [...WORTH_MEASURES.map((m) => worth.figures[m]), ...worth.rollOns]

/**
 * What one power curve is worth over another in the same car.
 *
 * Mass, grip, drag and the model are the same car's: what they are off by moves both figures, and only what it moves
 * them apart by is left in the difference. So is what a dyno is off by where both were pulled on it. What the pulls
 * scatter by is each curve's own.
 *
 * @param at place of the figure: the measures in their order, then the roll-ons
 * @param sameDyno whether both curves are off the same dyno
 * @returns second less first, in s or m/s; `null` where one of them never gets there
 * @source JCGM 100:2008, 5.2.2, equation 13: inputs that two figures share are fully correlated
 * @example worthGap(before, after, WORTH_MEASURES.indexOf('quarterMile'), true)
 */
export function worthGap(first: Worth, second: Worth, at: number, sameDyno: boolean): Known | null {
  const [from, to] = [figuresOf(first)[at], figuresOf(second)[at]]
  if (!from || !to) return null
  const value = to.value - from.value
  const parts = WORTH_INPUTS.map((input) => {
    const [a, b] = [first.byInput[input][at]!, second.byInput[input][at]!]
    const isShared = input === 'dyno' ? sameDyno : input !== 'pulls'
    return isShared ? b - a : Math.hypot(a, b)
  })
  return { value, sigma: Math.hypot(second.model * value, ...parts), grade: 'guess' }
}
