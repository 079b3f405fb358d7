import { zonedDate } from '@bold-ballast/core'
import { format, parseISO } from 'date-fns'
import { ZONE } from '../store/useReckonedFrom'

const said = new Map<string, string>()

/** A date as it is said: with its year only where that isn't the year of another date. */
export function sayDate(date: string, beside: string): string {
  const isSameYear = date.slice(0, 4) === beside.slice(0, 4)
  const asked = isSameYear ? date : `${date}, with its year`
  // A timeline says hundreds of them anew at each move of what is dragged.
  const known = said.get(asked)
  if (known !== undefined) return known
  const words = format(parseISO(date), isSameYear ? 'EEE d MMM' : 'EEE d MMM yyyy')
  said.set(asked, words)
  return words
}

/** The day of a moment; never, for what isn't done in the time that is looked at. */
export const sayDay = (moment: number, beside: string): string =>
  moment === Infinity ? 'not within two years' : sayDate(zonedDate(moment, ZONE), beside)

/** A chance in per cent, as far as draws can tell it. */
export const sayChance = (chance: number): string =>
  chance > 0.995 ? 'over 99 %' : chance < 0.005 ? 'under 1 %' : `${Math.round(chance * 100)} %`
