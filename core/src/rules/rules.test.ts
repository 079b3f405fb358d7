import { describe, expect, it } from 'vitest'
import type { Known } from '../evidence/known'
import { classEnvelope } from './classEnvelope'
import { classMoves, classReport, strictestLimit, type Rule } from './classReport'
import { costOfChange } from './costOfChange'

const rule = (measure: Rule['measure'], comparator: Rule['comparator'], limit: number): Rule => ({
  id: measure,
  measure,
  comparator,
  limit,
  wording: '',
  clause: '',
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

describe('strictestLimit', () => {
  it('is the lowest of what is allowed at most, the highest of what is asked at least', () => {
    const rules = [
      rule('noise', 'atMost', 98),
      rule('noise', 'atMost', 95),
      rule('cageOutside', 'atLeast', 0.038),
    ]
    expect(strictestLimit(rules, 'noise', 'atMost')).toBe(95)
    expect(strictestLimit([...rules, rule('cageOutside', 'atLeast', 0.042)], 'cageOutside', 'atLeast')).toBe(
      0.042,
    )
    expect(strictestLimit(rules, 'noise', 'atLeast')).toBeNull()
  })
})

describe('classEnvelope', () => {
  const outline = { wheelbase: 2.5, roofHeight: 1.32, bumperFront: 0.8, bumperRear: 0.9 }
  it('hangs its limits from roof, bumpers and ground', () => {
    const rules = [
      rule('wingAboveRoof', 'atMost', 0.13),
      rule('frontBeyondBumper', 'atMost', 0.1),
      rule('rearBeyondBumper', 'atMost', 0.3),
      rule('groundClearance', 'atLeast', 0.06),
      rule('overallWidth', 'atMost', 1.9),
    ]
    const { top, bottom, front, rear, width } = classEnvelope(rules, outline)
    expect(top).toBeCloseTo(1.45)
    expect(bottom).toBe(0.06)
    expect(front).toBeCloseTo(-0.9)
    expect(rear).toBeCloseTo(3.7)
    expect(width).toBe(1.9)
  })
  it('has no line where the class has no limit, or nobody measured what it hangs from', () => {
    expect(classEnvelope([rule('wingAboveRoof', 'atMost', 0.1)], { ...outline, roofHeight: null })).toEqual({
      top: null,
      bottom: null,
      front: null,
      rear: null,
      width: null,
    })
  })
})

describe('costOfChange', () => {
  const rules = [
    rule('massWithDriver', 'atLeast', 1150),
    rule('powerToMass', 'atMost', 210),
    rule('noise', 'atMost', 98),
    rule('tyreWidth', 'atMost', 0.25),
  ]
  const values = {
    massWithDriver: known(1200, 2),
    wheelPower: known(248_000, 2000),
    powerToMass: known(248_000 / 1200, 1),
    tyreWidth: known(0.24, 0.001),
  }
  it('of a lighter car: less in hand on mass, and power to mass goes over', () => {
    const cost = costOfChange(rules, values, { massWithDriver: -40 })
    expect(cost.map((c) => c.rule.measure)).toEqual(['powerToMass', 'massWithDriver'])
    expect(cost[0]!.after.verdict).toBe('fail')
    expect(cost[0]!.takes).toBeCloseTo(248_000 / 1160 - 248_000 / 1200, 6)
    expect(cost[1]!.takes).toBeCloseTo(40)
    expect(cost[1]!.after.verdict).toBe('pass')
  })
  it('leaves what it doesn’t touch alone, gives as well as takes, and knows no more than before', () => {
    expect(costOfChange(rules, values, { tyreWidth: -0.01 })).toMatchObject([
      { rule: { measure: 'tyreWidth' }, takes: expect.closeTo(-0.01, 9) as number },
    ])
    expect(costOfChange(rules, values, { noise: 3 })).toEqual([])
    expect(costOfChange(rules, values, {})).toEqual([])
  })
})
