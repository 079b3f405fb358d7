import type { SealedFigures } from '@bold-ballast/contract'
import { describe, expect, it } from 'vitest'
import { describeExpectedWrong } from './describeExpectedWrong'

const marks = (...verdicts: SealedFigures['marks'][number]['verdict'][]) =>
  verdicts.map((verdict) => ({ verdict }) as SealedFigures['marks'][number])

describe('describeExpectedWrong', () => {
  it('counts what was given, not what can’t be told', () => {
    expect(describeExpectedWrong({ marks: marks('met', 'missed', 'cantTell'), expectedWrong: 0.071 })).toBe(
      'Of 2 verdicts, 0.07 would be expected to be wrong by chance alone; more where work stopped as soon as a mark was met.',
    )
    expect(describeExpectedWrong({ marks: marks('met'), expectedWrong: 0.0001 })).toContain(
      'Of 1 verdict, fewer than 0.01',
    )
  })
  it('says nothing where no verdict was given, or the sheet is older than that', () => {
    expect(describeExpectedWrong({ marks: marks('cantTell'), expectedWrong: 0 })).toBeNull()
    expect(describeExpectedWrong({ marks: marks('met'), expectedWrong: null })).toBeNull()
  })
})
