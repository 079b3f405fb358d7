import { normalShare, type MarkReading } from '@bold-ballast/core'

/**
 * How many of the verdicts that were given would be expected to be wrong by chance alone.
 *
 * Each verdict of met or missed is wrong as often as its figure, with its uncertainty, would lie on the other side of the
 * mark: up to one in twenty, mostly far less. With twenty marks a few are met by luck.
 *
 * @param readings of the marks; those that can't be told yet claim nothing and can't be wrong
 * @returns verdicts given, and how many of them may be wrong
 * @source JCGM 106:2012, clause 9 on risks: the sum of the probabilities of each (expectation is linear,
 * whether or not they hang together)
 * @example expectedWrong(readings) // { verdicts: 1, wrong: 0.05 }
 */
export function expectedWrong(readings: readonly Pick<MarkReading, 'verdict' | 'value' | 'judgement'>[]): {
  readonly verdicts: number
  readonly wrong: number
} {
  let [verdicts, wrong] = [0, 0]
  for (const { verdict, value, judgement } of readings) {
    if (verdict === 'cantTell' || !value || !judgement) continue
    verdicts += 1
    if (value.sigma > 0) wrong += 1 - normalShare(Math.abs(judgement.margin) / value.sigma)
  }
  return { verdicts, wrong }
}
