import { describe, expect, it } from 'vitest'
import { sayOdds } from './sayOdds'

describe('sayOdds', () => {
  it('is in tenths, in hundredths near both ends, and never certain', () =>
    expect([0, 0.02, 0.06, 0.5, 0.93, 0.96, 1].map(sayOdds)).toEqual([
      'under 1 in 100',
      '2 in 100',
      '1 in 10',
      '5 in 10',
      '9 in 10',
      '96 in 100',
      'over 99 in 100',
    ]))
})
