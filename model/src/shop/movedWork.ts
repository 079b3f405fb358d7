import { zonedMoment } from '@bold-ballast/core'
import type { WorkReckoned } from './workNetworkOf'

/**
 * The work with one of its jobs not before a day, and all else as it was: what is shown while a job is dragged.
 *
 * @example movedWork(reckoned, 'another', '2026-11-29', 'UTC').network.items.length // 0
 */
export function movedWork(
  reckoned: WorkReckoned,
  jobId: string,
  notBefore: string,
  zone: string,
): WorkReckoned {
  const { network, sources } = reckoned
  const isIt = (at: number) => {
    const source = sources[at]
    return source?.kind === 'job' && source.job.id === jobId
  }
  const moment = zonedMoment(notBefore, '00:00', zone)
  return {
    ...reckoned,
    network: {
      ...network,
      items: network.items.map((item, at) => (isIt(at) ? { ...item, notBefore: moment } : item)),
    },
  }
}
