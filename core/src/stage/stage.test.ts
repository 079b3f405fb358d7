import { repeatReadings } from '../scales/repeatWeighings'
import { describe, expect, it } from 'vitest'
import { GRADES } from '../evidence/grade'
import { known, sumKnown } from '../evidence/known'
import type { LedgerLine } from '../mass/ledger'
import { judgeFigures, judgeMark } from './judgeMark'
import { stageSummaries, type StageInputs, type WeighInFacts } from './stageSummaries'
import { totalsOfStage } from './totalsOfStage'

const off = (mass: number, more: Partial<LedgerLine> = {}): LedgerLine => ({
  kind: 'off',
  mass,
  sigma: 0.1,
  grade: 'measured',
  quantity: 1,
  fitted: true,
  position: { x: 1, y: 0, z: 0.5 },
  movedTo: null,
  ...more,
})
const fourOf = (total: number) => ({
  method: 'fourPads' as const,
  corners: {
    frontLeft: total / 4,
    frontRight: total / 4,
    rearLeft: total / 4,
    rearRight: total / 4,
  },
})
const inputs = (more: Partial<StageInputs> = {}): StageInputs => ({
  build: {
    trackFront: 1.46,
    trackRear: 1.45,
    wheelbase: 2.5,
    baseMass: 1000,
    baseGrade: 'measured',
    baseSigma: 2,
    baseCentre: { x: 1.1, y: 0, z: 0.5 },
    baseFuel: 0.04,
    fuelDensity: 750,
    tank: { x: 2.2, y: 0, z: 0.4 },
    seat: { x: 1.3, y: 0.35, z: 0.4 },
    reference: { fuel: 0.02, driver: 0 },
    powerBasis: 'observed',
  },
  stages: [
    { id: 'a', plannedWheelPower: 100_000, plannedPowerGrade: 'claim' },
    { id: 'b', plannedWheelPower: null, plannedPowerGrade: 'guess' },
  ],
  linesOf: (id) => (id === 'a' ? [off(50)] : [off(30), off(20, { fitted: false })]),
  weighIns: [],
  dynoDays: [],
  pulls: [],
  ...more,
})
const weighIn = (more: Partial<WeighInFacts> = {}): WeighInFacts => ({
  id: 'w',
  stageId: 'a',
  date: '2026-01-01',
  readings: {
    method: 'fourPads',
    corners: { frontLeft: 260, frontRight: 260, rearLeft: 215, rearRight: 215 },
  },
  resolution: 0.5,
  accuracy: 0.002,
  condition: { fuel: 0.04, driver: 0 },
  ...more,
})

describe('stageSummaries', () => {
  it('folds base and swaps, in the reference condition', () => {
    const [a, b] = stageSummaries(inputs())
    expect(a!.planned.mass.value).toBeCloseTo(1000 - 50 - 15)
    expect(b!.planned.mass.value).toBeCloseTo(1000 - 100 - 15)
    expect(b!.asFitted.mass.value).toBeCloseTo(1000 - 80 - 15)
    expect(b!.openLines).toBe(1)
  })
  it('carries a planned power on to stages without one', () =>
    expect(stageSummaries(inputs())[1]!.plannedPower?.value).toBe(100_000))
  it('lets the scales speak where there are any, and proves them when the books balance', () => {
    const [a] = stageSummaries(inputs({ weighIns: [weighIn()] }))
    expect(a!.massFrom).toBe('scales')
    expect(a!.mass.value).toBeCloseTo(950 - 15)
    expect(a!.mass.grade).toBe('proven')
    const [heavier] = stageSummaries(
      inputs({
        weighIns: [
          weighIn({
            readings: {
              method: 'fourPads',
              corners: { frontLeft: 270, frontRight: 270, rearLeft: 225, rearRight: 225 },
            },
          }),
        ],
      }),
    )
    expect(heavier!.weighed!.balance.verdict).toBe('off')
    expect(heavier!.mass.grade).toBe('measured')
  })
  it('brings the books to the condition of the weighing', () => {
    const [a] = stageSummaries(inputs({ weighIns: [weighIn({ condition: { fuel: 0.01, driver: 80 } })] }))
    expect(a!.weighed!.books.mass.value).toBeCloseTo(950 - 22.5 + 80)
  })
  it('takes the newest weighing of a stage', () => {
    const [a] = stageSummaries(
      inputs({
        weighIns: [weighIn({ id: 'old', date: '2025-01-01' }), weighIn({ id: 'new', date: '2026-02-01' })],
      }),
    )
    expect(a!.weighed!.id).toBe('new')
  })
  it('survives a ledger that takes off more than there is', () => {
    const [a] = stageSummaries(inputs({ linesOf: () => [off(2000)] }))
    expect(a!.planned.impossible).toBe(true)
    expect(a!.plannedPowerToWeight).toBeNull()
  })
})

describe('proven', () => {
  it.each([900, 1000, 1130])('is no guess of 1,000 kg that is once weighed at %d', (total) => {
    const build = {
      ...inputs().build,
      baseGrade: 'guess' as const,
      baseSigma: null,
      reference: { fuel: 0.04, driver: 0 },
    }
    const [a] = stageSummaries(
      inputs({ build, linesOf: () => [], weighIns: [weighIn({ readings: fourOf(total) })] }),
    )
    expect(a!.weighed!.balance.verdict).toBe('balance')
    expect(a!.weighed!.proves).toBe(false)
    expect(a!.mass.grade).toBe('measured')
    expect(a!.mass.value).toBeCloseTo(total, 9)
  })
  const guessed = { ...inputs().build, baseGrade: 'guess' as const, baseSigma: null }
  const twice = (first: number, second: number, more: Partial<WeighInFacts> = {}) =>
    stageSummaries(
      inputs({
        build: guessed,
        weighIns: [
          weighIn({ id: 'one', date: '2026-01-01', readings: fourOf(first), ...more }),
          weighIn({ id: 'two', date: '2026-01-02', readings: fourOf(second) }),
        ],
      }),
    )[0]!
  it('is what two weighings of one state agree on, whatever the books guess', () => {
    const summary = twice(949.5, 950.5)
    expect(summary.weighed!.proves).toBe(false)
    expect(summary.mass.grade).toBe('proven')
    const both = repeatReadings(summary.weighIns).total
    expect(summary.mass).toEqual(both)
    expect(summary.mass.value).toBeCloseTo((summary.weighIns[0]!.atReference.value + summary.weighIns[1]!.atReference.value) / 2, 9) // prettier-ignore
    // Two that don’t agree leave the newest as it was measured.
    const apart = twice(930, 950)
    expect(apart.mass).toEqual({ ...apart.weighIns[1]!.atReference, grade: 'measured' })
  })
  it('is nothing that a rough scale says of a good one', () => {
    const summary = twice(950, 950.5, { accuracy: 0.03 })
    expect(summary.mass.grade).toBe('measured')
    expect(repeatReadings(summary.weighIns)).toMatchObject({ counted: 1, moreToProve: 1 })
  })
  it('needs books no more than three times as unsure as the scales', () => {
    const at = (baseSigma: number) =>
      stageSummaries(inputs({ build: { ...inputs().build, baseSigma }, weighIns: [weighIn()] }))[0]!
    expect(at(1).mass.grade).toBe('proven')
    expect(at(15).weighed!.balance.verdict).toBe('balance')
    expect(at(15).mass.grade).toBe('measured')
  })
})

describe('two masses off one scale', () => {
  const dry = { fuel: 0, driver: 0 }
  const pads = { resolution: 0.15 * Math.sqrt(12), accuracy: 0, own: 0.001, condition: dry }
  const weighedTwice = (more: Partial<WeighInFacts> = {}, condition = dry) =>
    stageSummaries(
      inputs({
        build: { ...inputs().build, baseFuel: 0, reference: dry },
        linesOf: (id) => (id === 'b' ? [off(40, { sigma: 0 })] : []),
        weighIns: [
          weighIn({ ...pads, id: 'one', readings: fourOf(1000), condition }),
          weighIn({ ...pads, id: 'two', stageId: 'b', readings: fourOf(960), condition, ...more }),
        ],
      }),
    )
  const fellBy = ([a, b]: ReturnType<typeof stageSummaries>) =>
    sumKnown([
      { known: a!.mass, times: 1 },
      { known: b!.mass, times: -1 },
    ])
  it('differ by what each reading is off by, and hardly by what the scale is', () => {
    // The handbook's: 1,000 kg on one set of pads, 0.1 % of their own and 0.3 kg each reading, before and after 40 kg.
    expect(fellBy(weighedTwice()).value).toBeCloseTo(40, 9)
    expect(fellBy(weighedTwice()).sigma).toBeCloseTo(0.43, 2)
    expect(fellBy(weighedTwice({ scale: 'Others' })).sigma).toBeCloseTo(1.45, 2)
    // A name is one name however it is written.
    const named = weighedTwice({ scale: ' ' })
    expect(fellBy(named).sigma).toBeCloseTo(0.43, 2)
  })
  it('are in doubt by who gets in only where somebody does', () => {
    const alone = weighedTwice()[0]!.mass
    expect(alone.sigma).toBeCloseTo(Math.hypot(1, 0.3), 6)
    // A driver on the scales who is taken off again is known to half a kilo, and is the same in both.
    const aboard = weighedTwice({}, { fuel: 0, driver: 80 })
    expect(aboard[0]!.mass.sigma).toBeCloseTo(Math.hypot(1, 0.3, 0.5), 6)
    expect(fellBy(aboard).sigma).toBeCloseTo(0.43, 2)
  })
  it('show that they are on two scales where these differ', () => {
    const again = (scale: string) =>
      stageSummaries(
        inputs({
          build: { ...inputs().build, baseFuel: 0, reference: dry, baseGrade: 'guess', baseSigma: null },
          linesOf: () => [],
          weighIns: [
            weighIn({ ...pads, id: 'one', readings: fourOf(1000) }),
            weighIn({ ...pads, id: 'two', date: '2026-01-02', readings: fourOf(1001.8), scale }),
          ],
        }),
      )[0]!.mass
    // Six of what one reading is off by, and little beside what two scales are.
    expect(again('').grade).toBe('measured')
    expect(again('Others').grade).toBe('proven')
    expect(again('Others').sigma).toBeCloseTo(0.9, 6)
  })
})

describe('a weighing belongs to its day', () => {
  const engine = off(140, { kind: 'on', changedOn: '2026-03-10' })
  const dated = (more: Partial<StageInputs> = {}) =>
    inputs({
      linesOf: (id) => (id === 'a' ? [off(50, { changedOn: '2026-02-01' }), engine] : []),
      ...more,
    })
  const at = (date: string, total: number, more: Partial<WeighInFacts> = {}) =>
    weighIn({
      id: date,
      date,
      readings: {
        method: 'fourPads',
        corners: { frontLeft: total / 4, frontRight: total / 4, rearLeft: total / 4, rearRight: total / 4 },
      },
      ...more,
    })
  it('compares a shell weighed bare and again with its engine each with what was on it: two states, both balanced', () => {
    const [a] = stageSummaries(dated({ weighIns: [at('2026-03-20', 1090), at('2026-03-01', 950)] }))
    expect(a!.weighIns.map((w) => w.date)).toEqual(['2026-03-01', '2026-03-20'])
    expect(a!.weighIns.map((w) => w.balance.verdict)).toEqual(['balance', 'balance'])
    expect(a!.weighIns[0]!.books.mass.value).toBeCloseTo(950, 9)
    expect(a!.weighIns[1]!.books.mass.value).toBeCloseTo(1090, 9)
    expect(a!.weighIns[0]!.state).not.toBe(a!.weighIns[1]!.state)
    expect(a!.weighed!.id).toBe('2026-03-20')
  })
  it('adds what was fitted since to what the scales said', () => {
    const [a] = stageSummaries(dated({ weighIns: [at('2026-03-01', 948)] }))
    // 948 kg bare, 140 kg of engine since, and 20 l of fuel less than it was weighed with.
    expect(a!.standing.mass.value).toBeCloseTo(948 + 140 - 15, 9)
    expect(a!.mass).toEqual(a!.standing.mass)
    expect(a!.finished.mass.value).toBeCloseTo(948 + 140 - 15, 9)
  })
  it('takes two weighings of one state for repeats, and those of a later stage’s part for none', () => {
    const [a] = stageSummaries(dated({ weighIns: [at('2026-03-20', 1090), at('2026-03-21', 1091)] }))
    expect(a!.weighIns[0]!.state).toBe(a!.weighIns[1]!.state)
    const early = inputs({
      linesOf: (id) => (id === 'b' ? [off(30, { changedOn: '2026-01-05' })] : []),
      weighIns: [at('2026-01-10', 970)],
    })
    const [first] = stageSummaries(early)
    expect(first!.weighed!.balance.verdict).toBe('balance')
    // At this stage the part is still on.
    expect(first!.mass.value).toBeCloseTo(970 + 30 - 15, 9)
  })
})

describe('one car at one moment', () => {
  const days = [
    {
      id: 'd',
      stageId: 'b',
      date: '2026-04-01',
      dyno: 'Hubs',
      kind: 'hub' as const,
      repeatability: 0.01,
      air: [],
      sheetCorrection: 'observed' as const,
    },
  ]
  const pulls = [
    {
      id: 'p',
      dynoDayId: 'd',
      time: null,
      grade: 'measured' as const,
      standsForStage: true,
      points: null,
      peakPower: 110_000,
    },
  ]
  it('keeps power to weight the power over the mass beside it, as it stands and when it is finished', () => {
    const [, b] = stageSummaries(inputs({ dynoDays: days, pulls }))
    for (const car of [b!.standing, b!.finished])
      expect(car.powerToWeight!.value).toBeCloseTo(car.power!.value / car.mass.value, 9)
    expect(b!.standing.mass.value).toBeCloseTo(1000 - 80 - 15, 9)
    expect(b!.finished.mass.value).toBeCloseTo(1000 - 100 - 15, 9)
    expect(b!.standing).toMatchObject({ massFrom: 'books', powerFrom: 'dyno' })
    expect(b!.finished).toMatchObject({ massFrom: 'plan', powerFrom: 'dyno' })
  })
  it('takes the open lines off what the scales said, for when it is finished', () => {
    const [, b] = stageSummaries(
      inputs({
        weighIns: [
          weighIn({
            stageId: 'b',
            readings: {
              method: 'fourPads',
              corners: { frontLeft: 231, frontRight: 231, rearLeft: 231, rearRight: 231 },
            },
          }),
        ],
      }),
    )
    expect(b!.standing.mass.value).toBeCloseTo(924 - 15, 9)
    expect(b!.finished.mass.value).toBeCloseTo(924 - 15 - 20, 9)
  })
})

describe('judgeMark', () => {
  const lighter = { comparator: 'atMost', value: 950, tolerance: 0 } as const
  it.each([
    ['met on evidence', 0, { comparator: 'atMost', value: 950, tolerance: 0 }, 'met', 'shown'],
    ['missed on evidence', 0, { comparator: 'atMost', value: 900, tolerance: 0 }, 'missed', 'shown'],
    ['too close to tell', 0, { comparator: 'atMost', value: 936, tolerance: 0 }, 'cantTell', 'tooClose'],
    ['only planned', 1, lighter, 'cantTell', 'stillPlanned'],
  ] as const)('%s', (_name, stage, target, verdict, because) => {
    expect(judgeMark('mass', target, stageSummaries(inputs())[stage]!)).toMatchObject({ verdict, because })
  })
  it.each(GRADES)('is evidence as a %s only if somebody measured it', (grade) => {
    const figures = { value: known(900, grade, 2), planned: null, evidence: true }
    expect(judgeFigures(figures, lighter)).toMatchObject(
      grade === 'guess' || grade === 'claim'
        ? { verdict: 'cantTell', because: 'unmeasured', judgement: { verdict: 'met' } }
        : { verdict: 'met', because: 'shown' },
    )
    // A figure that no instrument would read is judged as it stands.
    expect(judgeFigures({ ...figures, asItStands: true }, lighter).verdict).toBe('met')
  })
  it('has nothing to say without a figure', () => {
    const [a] = stageSummaries(
      inputs({ stages: [{ id: 'a', plannedWheelPower: null, plannedPowerGrade: 'guess' }] }),
    )
    expect(judgeMark('wheelPower', lighter, a!)).toMatchObject({
      verdict: 'cantTell',
      because: 'nothing',
      value: null,
    })
  })
  it('meets no mark on mass with a car that would weigh less than nothing, and says what it would weigh', () => {
    const linesOf = () => [off(1850)]
    const [a] = stageSummaries(inputs({ linesOf }))
    for (const measure of ['mass', 'powerToWeight'] as const) {
      const reading = judgeMark(measure, lighter, a!)
      expect(reading).toMatchObject({ verdict: 'cantTell', because: 'nothing', value: null })
      expect(reading.cannot).toMatchObject({ why: 'weighsNothing' })
      expect((reading.cannot as { mass: number }).mass).toBeLessThan(-800)
    }
    expect(judgeMark('wheelPower', lighter, a!).cannot).toBeUndefined()
  })
  it('never meets a mark on planned power', () => {
    const [a] = stageSummaries(inputs())
    expect(judgeMark('powerToWeight', { comparator: 'atLeast', value: 10, tolerance: 0 }, a!).because).toBe(
      'stillPlanned',
    )
  })
})

describe('totalsOfStage', () => {
  it('keeps banked and pending apart', () => {
    const t = totalsOfStage([[off(10)], [off(7, { fitted: false })], []])
    expect(t.net.value).toBeCloseTo(-17)
    expect(t.banked.value).toBeCloseTo(-10)
    expect(t.pending.value).toBeCloseTo(-7)
  })
})
