import { booksBalance, known, unitOf } from '@bold-ballast/core'
import { describe, expect, it } from 'vitest'
import { describeBalance, describeFinding } from './describeBalance'

const kg = unitOf('mass', 'kg')
const scales = known(1005, 'measured', 2)

describe('describeBalance', () => {
  it('says whether books and scales agree, and which is heavier', () => {
    expect(describeBalance(booksBalance(scales, known(1002, 'measured', 3)), kg)).toMatch(
      /^The books balance: 3/,
    )
    expect(describeBalance(booksBalance(scales, known(960, 'measured', 3)), kg)).toContain('heavier')
  })
})

describe('describeFinding', () => {
  it('says what books can’t find, and that the ± of the car as bought was taken', () => {
    const rough = booksBalance(scales, known(1002, 'measured', 12))
    // 1.96 times the root of 12² and 2².
    expect(describeFinding(rough, 12, kg)).toMatch(/^These books don’t find less than 24 kg .*: the mass as bought has no ± of its own, and ±12 kg is taken\./) // prettier-ignore
    expect(describeFinding(rough, null, kg)).toBe(
      'These books don’t find less than 24 kg that nobody listed.',
    )
  })
  it('says nothing of books that find five kilos', () => {
    expect(describeFinding(booksBalance(scales, known(1002, 'measured', 1)), null, kg)).toBeNull()
  })
})
