import type { Proof } from '@bold-ballast/model'

/** What somebody who trusts the sheet should know besides: what is open, unsettled, or over its limits. */
export function openRisks({ car: { summary }, marks, rungs }: Proof): string[] {
  const count = (n: number, one: string, many: string) => `${n} ${n === 1 ? one : many}`
  const unsettled = marks.filter((m) => m.reading.verdict === 'cantTell').length
  const missed = marks.filter((m) => m.reading.verdict === 'missed').length
  const over = rungs.filter((r) => r.margin < 1)
  return [
    summary.openLinesSoFar > 0 &&
      `${count(summary.openLinesSoFar, 'line of the ledger is', 'lines of the ledger are')} not done yet.`,
    summary.massFrom !== 'scales' && 'Nobody has weighed the car at this stage.',
    !summary.measuredPower && 'Nobody has pulled it at this stage.',
    summary.weighed?.balance.verdict === 'off' && 'The books and the scales disagree.',
    missed > 0 && `${count(missed, 'mark is', 'marks are')} missed.`,
    unsettled > 0 && `${count(unsettled, 'mark', 'marks')} can’t be told yet.`,
    over.length > 0 && `By its rating overloaded: ${over.map((r) => r.part.name).join(', ')}.`,
  ].filter((risk): risk is string => risk !== false)
}
