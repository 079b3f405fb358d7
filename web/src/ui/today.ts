import { format } from 'date-fns'

/** The date where the person is: a day's own, not Greenwich's. */
export const today = (): string => format(new Date(), 'yyyy-MM-dd')
