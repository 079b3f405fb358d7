import { formatISO } from 'date-fns'

/** The date where the person is: a day's own, not Greenwich's. */
export const today = (): string => formatISO(new Date(), { representation: 'date' })
