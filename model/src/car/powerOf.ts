import type { Known, StageSummary } from '@bold-ballast/core'

/** The power at the wheels that was pulled at a stage, or else is planned for it, W; null where nobody said. */
export const powerOf = (summary: Pick<StageSummary, 'measuredPower' | 'plannedPower'>): Known | null =>
  summary.measuredPower?.power ?? summary.plannedPower
