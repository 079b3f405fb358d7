import { describe, expect, it } from 'vitest'
import type { Known } from '../evidence/known'
import { classMoves, classReport, type Rule } from './classReport'

const rule = (measure: Rule['measure'], comparator: Rule['comparator'], limit: number): Rule => ({
  ...{ id: measure, measure, comparator, limit, wording: '', clause: '' },
})
const known = (value: number, sigma: number): Known => ({ value, sigma, grade: 'measured' })

describe('classReport', () => {
  it.each<[string, Rule, Known | null, string, number | null]>([
    ['well over a least mass', rule('massWithDriver', 'atLeast', 780), known(801, 2), 'pass', 21],
    ['well under it', rule('massWithDriver', 'atLeast', 780), known(760, 2), 'fail', -20],
    ['at it within the scales', rule('massWithDriver', 'atLeast', 780), known(781, 3), 'cantTell', 1],
    ['a wing below its line', rule('wingAboveRoof', 'atMost', 0.13), known(0.1, 0.002), 'pass', 0.03],
    ['a wing over it', rule('wingAboveRoof', 'atMost', 0.13), known(0.2, 0.002), 'fail', -0.07],
    ['noise that nobody measured', rule('noise', 'atMost', 98), null, 'cantTell', null],
  ])('%s', (_, one, value, verdict, margin) => {
    const [result] = classReport([one], value ? { [one.measure]: value } : {})
    expect(result!.verdict).toBe(verdict)
    if (margin === null) expect(result!.margin).toBeNull()
    else expect(result!.margin).toBeCloseTo(margin, 9)
  })
})

describe('classMoves', () => {
  const club = [
    rule('massWithDriver', 'atLeast', 780),
    rule('wingAboveRoof', 'atMost', 0),
    rule('noise', 'atMost', 98),
  ]
  it('says what closes before what opens, and leaves out what stays', () => {
    const open = [
      rule('massWithDriver', 'atLeast', 900),
      rule('wingAboveRoof', 'atMost', 0.3),
      rule('noise', 'atMost', 98),
    ]
    expect(classMoves(club, open)).toEqual([
      { measure: 'massWithDriver', from: 780, to: 900, change: 'closes' },
      { measure: 'wingAboveRoof', from: 0, to: 0.3, change: 'opens' },
    ])
  })
  it('takes a rule that is not there for no limit, and the strictest of several', () => {
    expect(classMoves(club, []).map((m) => m.change)).toEqual(['opens', 'opens', 'opens'])
    expect(classMoves([], club).map((m) => m.change)).toEqual(['closes', 'closes', 'closes'])
    expect(classMoves(club, [...club, rule('noise', 'atMost', 95)])).toEqual([
      { measure: 'noise', from: 98, to: 95, change: 'closes' },
    ])
  })
})
