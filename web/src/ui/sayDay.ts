import { zonedDate } from '@bold-ballast/core'
import { format, parseISO } from 'date-fns'
import { ZONE } from '../store/useReckonedFrom'

/** A date as it is said: with its year only where that isn't the year of another date. */
export const sayDate = (date: string, beside: string): string =>
  format(parseISO(date), date.slice(0, 4) === beside.slice(0, 4) ? 'EEE d MMM' : 'EEE d MMM yyyy')

/** The day of a moment; never, for what isn't done in the time that is looked at. */
export const sayDay = (moment: number, beside: string): string =>
  moment === Infinity ? 'not within two years' : sayDate(zonedDate(moment, ZONE), beside)

/** A chance in per cent, as far as draws can tell it. */
export const sayChance = (chance: number): string =>
  chance > 0.995 ? 'over 99 %' : chance < 0.005 ? 'under 1 %' : `${Math.round(chance * 100)} %`
