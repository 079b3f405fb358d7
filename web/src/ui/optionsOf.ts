import { GRADE } from '@bold-ballast/contract'

/** Options of a select from a table of words. */
export const optionsOf = (words: Record<string, string>): [string, string][] => Object.entries(words)

/** How what is typed may be known: proven is only what was weighed again and again. */
export const KNOWN_BY = optionsOf(GRADE).filter(([grade]) => grade !== 'proven')
