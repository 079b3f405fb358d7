import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { logGamma } from '../numeric/logGamma'
import { learnedLife, lifeOf, type Outing, type Wearing } from './lifeOf'
import { livesOf, type LifeEvent } from './livesOf'
import { chanceWithin, weibullOf } from './weibull'

describe('logGamma', () => {
  // SciPy 1.x, special.gammaln.
  it.each([
    [5, 3.1780538303479458],
    [0.5, 0.5723649429247],
    [12.3, 18.238983407092245],
  ])('of %d is SciPy’s', (x, is) => expect(logGamma(x)).toBeCloseTo(is, 11))
})

describe('weibullOf and chanceWithin', () => {
  // Shape by SciPy's brentq on the coefficient of variation, chances by stats.weibull_min.sf.
  it.each([
    [0.3, 3.7137723664, 11.0786386737, 0.3196292906],
    [0.15, 7.9069268046, 10.6246672691, 0.4014518702],
    [0.5, 2.1013490947, 11.2906338954, 0.2517641485],
  ])('for a mean of 10 and a spread of %d agree with SciPy', (spread, shape, scale, chance) => {
    const life = weibullOf(10, spread)
    expect(life.shape).toBeCloseTo(shape, 7)
    expect(life.scale).toBeCloseTo(scale, 7)
    expect(chanceWithin(life, 8, 2)).toBeCloseTo(chance, 8)
  })
  it('is a chance, grows with the stretch, and with age for what wears', () => {
    const amount = fc.double({ min: 0, max: 30, noNaN: true })
    fc.assert(
      fc.property(fc.double({ min: 0.02, max: 0.9, noNaN: true }), amount, amount, (spread, used, next) => {
        const life = weibullOf(10, spread)
        const chance = chanceWithin(life, used, next)
        expect(chance).toBeGreaterThanOrEqual(0)
        expect(chance).toBeLessThanOrEqual(1)
        expect(chanceWithin(life, used, next + 1)).toBeGreaterThanOrEqual(chance)
        expect(chanceWithin(life, used + 1, next)).toBeGreaterThanOrEqual(chance - 1e-12)
      }),
    )
  })
  it('chains: lasting a stretch in two parts is lasting both', () => {
    const life = weibullOf(10, 0.3)
    const lasts = (from: number, by: number) => 1 - chanceWithin(life, from, by)
    expect(lasts(3, 5)).toBeCloseTo(lasts(3, 2) * lasts(5, 3), 12)
  })
  it('refuses what is no life', () => {
    expect(() => weibullOf(0, 0.3)).toThrow('above zero')
    expect(() => weibullOf(10, 0)).toThrow('spread')
    expect(() => weibullOf(10, 1.5)).toThrow('spread')
    expect(() => chanceWithin(weibullOf(10, 0.3), -1, 2)).toThrow('below zero')
  })
})

const outing = (date: string, more: Partial<Outing['amounts']> = {}): Outing => ({
  date,
  amounts: { hours: 7200, laps: 30, launches: 4, trackDays: 1, heatCycles: 5, ...more },
})
const item = (more: Partial<Wearing> = {}): Wearing => ({
  id: 'a',
  name: 'synchro, third',
  measure: 'trackDays',
  expected: 4,
  spread: 0.25,
  used: 3,
  ...more,
})

describe('lifeOf', () => {
  const season = [outing('2026-04-01'), outing('2026-05-01'), outing('2026-06-01')]
  it('says what the next event takes, and whether the life ends in it', () => {
    const [now] = lifeOf([item()], season, outing('2026-07-01', { trackDays: 2 }))
    expect(now).toMatchObject({ used: 3, left: 1, next: 2, runsOut: true, eventsLeft: 0 })
    expect(lifeOf([item({ expected: 9 })], season, null)[0]).toMatchObject({ runsOut: false, eventsLeft: 6 })
    expect(lifeOf([item()], [], null)[0]).toMatchObject({ next: 0, chance: 0, eventsLeft: null })
  })
  it('puts the likeliest to give out first', () => {
    const order = lifeOf([item({ id: 'new', used: 1 }), item({ id: 'old' })], season, null)
    expect(order.map((s) => s.item.id)).toEqual(['old', 'new'])
  })
})

describe('livesOf', () => {
  const season = ['2026-04-01', '2026-05-01', '2026-06-01', '2026-07-01'].map((d) => outing(d))
  const of = (more: object, ...events: LifeEvent[]) =>
    livesOf({ measure: 'trackDays', usedBefore: 0, since: null, ...more }, season, events)
  const event = (date: string, kind: LifeEvent['kind'] = 'service', renewed = true): LifeEvent => ({
    date,
    kind,
    renewed,
  })
  it('counts what ran since a thing was fitted, and what it had run before', () => {
    expect(of({}).used).toBe(4)
    expect(of({ since: '2026-05-01' }).used).toBe(3)
    expect(of({ since: '2026-07-02', usedBefore: 2 }).used).toBe(2)
    expect(of({ measure: 'hours' }).used).toBe(28_800)
  })
  it('starts anew with what was renewed: before that day’s running in the workshop, after it when it failed', () => {
    expect(of({ usedBefore: 5 }, event('2026-06-01'))).toEqual({ used: 2, failedAt: [], since: '2026-06-01' })
    expect(of({}, event('2026-06-01', 'failure'))).toEqual({ used: 1, failedAt: [3], since: '2026-06-01' })
    expect(of({}, event('2026-06-01', 'service', false)).used).toBe(4)
  })
  it('keeps every life that ended in a failure', () =>
    expect(of({}, event('2026-06-01', 'failure'), event('2026-05-01', 'failure')).failedAt).toEqual([2, 1]))
  it('leaves out what happened before it was fitted', () =>
    expect(of({ since: '2026-06-01' }, event('2026-05-01', 'failure')).failedAt).toEqual([]))
})

describe('learnedLife', () => {
  it('is the mean of the lives, and their spread from two on', () => {
    expect(learnedLife([3.5, 4.5])!.mean).toBe(4)
    // Sample deviation of 3.5 and 4.5 is 0.7071.
    expect(learnedLife([3.5, 4.5])!.spread).toBeCloseTo(0.17678, 5)
    expect(learnedLife([4])).toEqual({ mean: 4, spread: null, count: 1 })
    expect(learnedLife([])).toBeNull()
  })
})
