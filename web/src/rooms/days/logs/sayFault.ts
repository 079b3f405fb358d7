import { formatNumber, type LogFault } from '@bold-ballast/core'

/** What is wrong with a log, in a sentence. */
export function sayFault(fault: LogFault): string {
  switch (fault.kind) {
    case 'recordedNothing':
      return `${fault.channel} recorded nothing: a flat battery, a plug, or a channel that was off.`
    case 'backwards':
      return `The clock jumps back ${formatNumber(fault.by, 1)} s at ${formatNumber(fault.at, 0)} s.`
    case 'gap':
      return `Nothing from ${formatNumber(fault.from, 1)} to ${formatNumber(fault.to, 1)} s.`
    case 'flat':
      return `${fault.channel} stands at ${formatNumber(fault.value, 1)} all the time.`
    case 'dropout':
      return `${fault.channel} is missing in ${formatNumber(fault.share * 100, 1)} % of the samples, ${formatNumber(fault.longest, 1)} s at most.`
  }
}
