import { formatISO } from 'date-fns'

/** The date where the person is: a day's own, not Greenwich's. */
export const today = (): string => formatISO(new Date(), { representation: 'date' })

const QUARTER = 900
/** The quarter of an hour that has begun last, s since 1970 in Greenwich: what is worked out from it stands still while it is read. */
export const lastQuarter = (): number => Math.floor(Date.now() / 1000 / QUARTER) * QUARTER
