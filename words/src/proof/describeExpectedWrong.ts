import type { SealedFigures } from '@bold-ballast/contract'
import { formatNumber } from '@bold-ballast/core'

/**
 * What stands under the marks of a sheet: how many of its verdicts chance alone would be expected to get wrong. Who weighs
 * again and again until it is met, and then stops, is lucky more often than that: nobody knows how often.
 *
 * @returns `null` where none was given, or the sheet was signed before that was reckoned
 * @example describeExpectedWrong(figures) // 'Of 14 verdicts, 0.3 would be expected to be wrong by chance alone; more where work stopped as soon as a mark was met.'
 */
export function describeExpectedWrong({
  marks,
  expectedWrong,
}: Pick<SealedFigures, 'marks' | 'expectedWrong'>) {
  const given = marks.filter((m) => m.verdict !== 'cantTell').length
  if (given === 0 || expectedWrong === null) return null
  const wrong =
    expectedWrong < 0.005 ? 'fewer than 0.01' : formatNumber(expectedWrong, expectedWrong < 1 ? 2 : 1)
  return `Of ${given} ${given === 1 ? 'verdict' : 'verdicts'}, ${wrong} would be expected to be wrong by chance alone; more where work stopped as soon as a mark was met.`
}
