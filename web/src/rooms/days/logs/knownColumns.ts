import type { LogColumns } from '@bold-ballast/contract'
import type { LogColumn } from '@bold-ballast/core'

/** What the columns of a logger with these titles were said to be last, in this workshop; null for one that is new here. */
export const knownColumns = (
  titles: readonly string[],
  known: readonly LogColumns[],
): readonly LogColumn[] | null =>
  known.find((one) => one.titles.length === titles.length && one.titles.every((t, i) => t === titles[i]))
    ?.columns ?? null
