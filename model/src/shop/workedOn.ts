import type { Job } from '@bold-ballast/contract'

/**
 * How long a job has been worked on, s of all hands together; what a clock still runs for isn't counted.
 *
 * @example workedOn({ spells: [{ who: 'Ines', on: '2026-05-02', from: null, time: 3600 }] }) // 3600
 */
export const workedOn = ({ spells }: Pick<Job, 'spells'>): number =>
  spells.reduce((sum, { time }) => sum + (time ?? 0), 0)
