import type { BuildDocument, Run } from '@bold-ballast/contract'

/**
 * The runs of a day, in the order in which they are driven.
 *
 * @example runsOf(document, outingId).length // 1
 */
export const runsOf = ({ runs }: Pick<BuildDocument, 'runs'>, outingId: string): Run[] =>
  runs.filter((run) => run.outingId === outingId).sort((a, b) => a.order - b.order)
