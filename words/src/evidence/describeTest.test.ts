import { unitOf } from '@bold-ballast/core'
import { planOfRepeats, type MarkTest, type TestInstrument } from '@bold-ballast/model'
import { readingsToJudge, verdictFrom } from '@bold-ballast/core'
import { describe, expect, it } from 'vitest'
import { describeDifferencePlan, describeMarkTest, sayReadings } from './describeTest'

const KW = unitOf('power', 'kW')
const KG = unitOf('mass', 'kg')
const dyno: TestInstrument = {
  name: 'Yard hubs',
  kind: 'dyno',
  scatter: 0.005,
  betweenDays: 0.01,
  own: 0.01,
  isUsual: false,
}
const pads: TestInstrument = {
  name: '',
  kind: 'scale',
  scatter: 0.001,
  betweenDays: 0,
  own: 0.001,
  isUsual: true,
}

const testOf = (instrument: TestInstrument, about: number, margin: number | null): MarkTest => {
  const errors = {
    scatter: instrument.scatter * about,
    betweenDays: instrument.betweenDays * about,
    always: instrument.own * about,
  }
  return {
    instrument,
    errors,
    margin,
    plan: margin ? readingsToJudge(Math.abs(margin), errors) : null,
    shownFrom: verdictFrom(errors, { days: 1, readings: 3 }),
  }
}

describe('describeMarkTest', () => {
  const power = { comparator: 'atLeast', value: 300e3, tolerance: 0 } as const
  it('says what three pulls know, from where they show it, and how many show what is thought', () => {
    expect(describeMarkTest(testOf(dyno, 310e3, 12e3), power, KW)).toBe(
      '3 pulls on one day on Yard hubs would know it to ±4 kW, and show it met where they read at least 307.4 kW. It is thought to meet it by 12 kW, which 1 pull on one day would show in four of five cases.',
    )
  })
  it('says what stands in the way of any number of readings', () => {
    const rough = { ...dyno, own: 0.03 }
    expect(describeMarkTest(testOf(rough, 310e3, 12e3), power, KW)).toContain(
      'which no number of pulls shows: all of them share ±9 kW.',
    )
    expect(
      describeMarkTest(testOf({ ...dyno, own: 0.001, betweenDays: 0.02 }, 300e3, 2e3), power, KW),
    ).toContain('which not even 8 pulls on each of 4 days would show.')
  })
  it('says of a mass where it must be read, and stays silent of what nobody knows yet', () => {
    expect(
      describeMarkTest(testOf(pads, 900, null), { comparator: 'atMost', value: 900, tolerance: 0 }, KG),
    ).toBe(
      '3 weighings on usual pads would know it to ±1.0 kg, and show it met where they read at most 898.3 kg.',
    )
    const within = { comparator: 'within', value: 900, tolerance: 1 } as const
    expect(describeMarkTest(testOf(pads, 900, null), within, KG)).toContain('which can’t show it')
  })
})

describe('describeDifferencePlan', () => {
  it('gives the number and the order, and what it takes beside pulls that can’t be made again', () => {
    expect(describeDifferencePlan(planOfRepeats(6e3, 300e3, dyno, null), 'dyno')).toBe(
      '3 pulls of each on one day show it in four of five cases, as it is (A) and changed (B) in turn: A B B A A B.',
    )
    const beside = planOfRepeats(14e3, 300e3, dyno, { readings: 3, days: 1 })
    expect(describeDifferencePlan(beside, 'dyno')).toContain(
      'Beside what was pulled before, without going back: 2 pulls on one day.',
    )
    expect(describeDifferencePlan(planOfRepeats(0.1, 900, pads, null), 'scale')).toBe(
      'Not even 8 weighings of each show it.',
    )
    expect(describeDifferencePlan(planOfRepeats(5, 900, pads, null), 'scale')).toBe(
      '3 weighings before and 3 after show it in four of five cases.',
    )
  })
})

describe('sayReadings', () => {
  it('says one and many, and days only where they count', () => {
    expect(sayReadings({ days: 1, readings: 1 }, 'dyno')).toBe('1 pull on one day')
    expect(sayReadings({ days: 3, readings: 2 }, 'scale')).toBe('2 weighings on each of 3 days')
    expect(sayReadings({ days: 1, readings: 2 }, 'scale')).toBe('2 weighings')
  })
})
