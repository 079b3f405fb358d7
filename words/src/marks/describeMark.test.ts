import {
  judgeFigures,
  judgeMark,
  METRIC,
  US,
  type Comparator,
  type HeadlineMeasure,
  type Known,
  type StageSummary,
} from '@bold-ballast/core'
import { describe, expect, it } from 'vitest'
import { describeMark } from './describeMark'

const known = (value: number, sigma: number) => ({ value, sigma, grade: 'measured' as const })
const car = (mass: Known, power: Known | null) => ({
  mass,
  massFrom: 'scales' as const,
  power,
  powerFrom: 'dyno' as const,
  powerToWeight: power && known(power.value / mass.value, 1.7),
})
const summary = (more: Partial<StageSummary> = {}): StageSummary =>
  ({
    stageId: 's',
    planned: { mass: known(1190, 5), impossible: false },
    mass: known(1236, 5.1),
    massFrom: 'scales',
    openLinesSoFar: 0,
    plannedPower: known(270e3, 20e3),
    measuredPower: { power: known(264.5e3, 1.8e3), pulls: 4, dynoDayId: 'd' },
    plannedPowerToWeight: known(226, 17),
    standing: car(known(1236, 5.1), known(264.5e3, 1.8e3)),
    finished: car(known(1236, 5.1), known(264.5e3, 1.8e3)),
    ...more,
  }) as StageSummary

const say = (
  measure: HeadlineMeasure,
  comparator: Comparator,
  value: number,
  more: Partial<StageSummary> = {},
  units = METRIC,
  pending = 0,
) => {
  const mark = {
    measure,
    comparator,
    value,
    tolerance: 0,
    conditionId: null,
    gear: null,
    place: '',
    part: '',
    speed: null,
  }
  const s = summary(more)
  return describeMark(
    mark,
    judgeMark(measure, mark, s),
    s,
    { units, currency: 'EUR', conditions: [] },
    pending,
  )
}

describe('describeMark', () => {
  it('says how much is to find, and how much of it is pending', () => {
    const said = say('mass', 'atMost', 1220, {}, METRIC, -9)
    expect(said).toMatchObject({
      target: 'at most 1,220 kg',
      headline: '1,236 → 1,220 kg',
      verdict: 'missed by 16 kg',
      short: '16 kg to find, 9.0 kg pending',
    })
    expect(said.reason).toBe('Missed: 1,236 kg is 16 kg off the mark, and ±5 kg doesn’t reach across it.')
  })
  it('says met, with what is to spare', () => {
    expect(say('wheelPower', 'atLeast', 260e3)).toMatchObject({
      verdict: 'met',
      short: 'met, 5 kW inside it',
      target: 'at least 260 kW',
    })
  })
  it('says what would settle what it can’t tell', () => {
    const said = say('powerToWeight', 'atLeast', 213)
    expect(said).toMatchObject({ verdict: 'likely met', odds: '7 in 10', points: null })
    expect(said.reason).toMatch(/^Likely met, 7 in 10: /)
    expect(said.reason).toContain('known only to ±1.7 kW/t')
    expect(said.reason).toMatch(/Known to ±0\.6 kW\/t or better, it would be settled/)
  })
  it('admits that no measurement settles a value on the mark', () => {
    expect(say('mass', 'atMost', 1236).reason).toMatch(/right on the mark/)
  })
  it('says what is only planned, and why', () => {
    const open = {
      massFrom: 'plan',
      openLinesSoFar: 12,
      mass: known(1255, 8),
      finished: car(known(1255, 8), known(264.5e3, 1.8e3)),
    } as const
    expect(say('mass', 'atMost', 1220, open).reason).toBe(
      'Points to missed, under 1 in 100: 12 lines are still to be fitted. The plan points to 1,255 kg, 35 kg off the mark.',
    )
    expect(say('wheelPower', 'atLeast', 260e3, { measuredPower: null }).reason).toMatch(
      /nobody has pulled it yet/,
    )
    expect(
      say('powerToWeight', 'atLeast', 200, {
        ...open,
        openLinesSoFar: 1,
        standing: car(known(1262, 8), null),
        measuredPower: null,
      }).reason,
    ).toMatch(/nobody has pulled it yet, and 1 line is still to be fitted/)
  })
  it('says where a worked-out figure points, and what would settle it', () => {
    const mark = {
      measure: 'quarterMile',
      comparator: 'atMost',
      value: 12,
      tolerance: 0,
      conditionId: null,
      gear: null,
      place: '',
      part: '',
      speed: null,
    } as const
    const run = { value: 11, sigma: 0.4, grade: 'claim' as const }
    const of = (value: Known) =>
      describeMark(
        mark,
        judgeFigures({ value, planned: value, evidence: false, workedOut: true }, mark),
        summary(),
        { units: METRIC, currency: '', conditions: [] },
      )
    expect(of(run)).toMatchObject({ verdict: 'points to met', points: 'met' })
    expect(of(run).short).toMatch(/^points to met, /)
    expect(of(run).reason).toMatch(/worked out from gears, grip and drag as typed, not timed.*A timed run/)
    expect(of({ ...run, value: 13 })).toMatchObject({ verdict: 'points to missed' })
    expect(of({ ...run, value: 11.7 })).toMatchObject({ verdict: 'points to met', odds: '8 in 10' })
    expect(of({ ...run, value: 11.9 })).toMatchObject({
      verdict: 'can’t tell yet',
      points: null,
      odds: '6 in 10',
    })
  })
  it('says that a guess shows nothing, and where it points', () => {
    const said = say('mass', 'atMost', 1300, {
      mass: { ...known(1262, 8), grade: 'guess' },
      massFrom: 'books',
    })
    expect(said).toMatchObject({ points: 'met', verdict: 'points to met' })
    expect(said.reason).toMatch(
      /rests on what was guessed, and only a measurement shows.*weigh the whole car/,
    )
  })
  it('says what is missing', () => {
    const said = say('wheelPower', 'atLeast', 260e3, { measuredPower: null, plannedPower: null })
    expect(said).toMatchObject({ short: 'no wheel power yet', headline: 'mark 260 kW' })
    expect(said.reason).toMatch(/Log a pull, or plan a wheel power/)
  })
  it('turns the comparator round where the unit counts the other way', () => {
    const said = say('powerToWeight', 'atLeast', 213, {}, US)
    expect(said.target).toMatch(/^at most [\d.]+ lb\/hp$/)
    expect(said.headline).toMatch(/lb\/hp$/)
  })
})
