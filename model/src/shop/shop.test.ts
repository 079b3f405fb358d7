import {
  newJob,
  newLine,
  newPart,
  newWait,
  type BuildDocument,
  type FixedDate,
  type Hand,
  type Job,
  type WorkOfBuild,
} from '@bold-ballast/contract'
import { documentFrom, sampleBuild, sampleOuting, sampleSwap } from '@bold-ballast/contract/sampleBuild'
import { chanceBy, meanLasting, simulateWork, zonedMoment } from '@bold-ballast/core'
import { describe, expect, it } from 'vitest'
import { movedWork } from './movedWork'
import { comparedOutcome, dropsToReach, freeEvening, whatEases } from './easeWork'
import { freeHours } from './freeHours'
import { guessesOf } from './guessesOf'
import { budgetsOf, moneyOfStages, sumOfMoney } from './moneyOfStages'
import { partsPlanned } from './partsPlanned'
import { operationsOf, timesToPayBack } from './operationsOf'
import { deliveryRatio, keptDeliveries, keptPromises, ratioFor } from './promises'
import { lastNoted, reckonedDay } from './reckonedDay'
import { storedFor } from './storedFor'
import { todayOf } from './todayOf'
import { guessedTime, workNetworkOf } from './workNetworkOf'
import { workedOn } from './workedOn'

const HOUR = 3600
const ZONE = 'Europe/Berlin'
/** A Sunday. */
const DAY = '2026-11-22'
const FROM = zonedMoment(DAY, '08:00', ZONE)
const newId = () => crypto.randomUUID()

const empty = documentFrom(sampleBuild(newId))
const stageId = empty.stages[0]!.id
const bare: BuildDocument = {
  ...empty,
  jobs: [],
  waits: [],
  parts: [],
  hands: [],
  fixedDates: [],
  lines: [],
  swaps: [],
  services: [],
  outings: [],
}
const job = (name: string, hours: number | null, more: Partial<Job> = {}): Job => ({
  ...newJob({
    id: newId(),
    stageId,
    name,
    order: 0,
    workTime: hours === null ? null : hours * HOUR,
    ...more,
  }),
  version: 1,
})
const hand = (name: string, week: Hand['week'], more: Partial<Hand> = {}): Hand => ({
  id: newId(),
  name,
  order: 0,
  week,
  away: [],
  can: [],
  note: '',
  version: 1,
  ...more,
})
const everyEvening = (['mon', 'tue', 'wed', 'thu', 'fri'] as const).map((day) => ({
  day,
  from: '18:00',
  until: '22:00',
}))
const dated = (date: string, more: Partial<FixedDate> = {}): FixedDate => ({
  id: newId(),
  name: 'Round',
  date,
  time: '08:00',
  kind: 'round',
  stageId,
  jobs: [],
  outingId: null,
  calendarId: '',
  note: '',
  version: 1,
  ...more,
})
const fixed = (hours: number) => ({ shortTime: hours * HOUR, longTime: hours * HOUR })
const reckon = (document: Partial<BuildDocument>, library: readonly WorkOfBuild[] | null = null) =>
  workNetworkOf({ ...bare, ...document }, { from: FROM, zone: ZONE, library })
const kinds = (document: Partial<BuildDocument>) => reckon(document).problems.map((p) => p.kind)

describe('workNetworkOf', () => {
  it('puts jobs after each other in the hours that there are', () => {
    const first = job('First', 6, fixed(6))
    const second = job('Second', 2, { ...fixed(2), after: [first.id], order: 1 })
    const reckoned = reckon({
      jobs: [first, second],
      hands: [hand('Ines', everyEvening)],
      fixedDates: [dated('2026-11-25')],
    })
    const { finishes } = simulateWork(reckoned.network, { draws: 1 })
    // Four hours on Monday, two and two on Tuesday.
    expect(finishes[0]![0]).toBe(zonedMoment('2026-11-24', '22:00', ZONE))
    expect(reckoned.targets[1]!.by).toBe(zonedMoment('2026-11-25', '08:00', ZONE))
    expect(chanceBy(finishes[1]!, reckoned.targets[1]!.by!)).toBe(1)
  })

  it('leaves out what is done or dropped, and says what came after it', () => {
    const dropped = job('Dropped', 2, { state: 'dropped' })
    const done = job('Done', 2, { state: 'done' })
    const open = job('Open', 2, { after: [dropped.id, done.id] })
    const reckoned = reckon({ jobs: [dropped, done, open], hands: [hand('Ines', everyEvening)] })
    expect(reckoned.sources).toHaveLength(1)
    expect(reckoned.problems).toMatchObject([{ kind: 'dropped', before: { name: 'Dropped' } }])
  })

  it('cuts a ring where the list goes back, and says which link that was', () => {
    const [a, b] = [job('A', 1), job('B', 1, { order: 1 })]
    const reckoned = reckon({
      jobs: [
        { ...a, after: [b.id] },
        { ...b, after: [a.id] },
      ],
      hands: [hand('Ines', everyEvening)],
    })
    expect(reckoned.problems).toMatchObject([{ kind: 'ring', cut: { job: a.id, before: b.id } }])
    expect(() => simulateWork(reckoned.network, { draws: 2 })).not.toThrow()
  })

  it('says what else can’t be taken as it stands', () => {
    const ines = hand('Ines', everyEvening)
    const bea = hand('Bea', [{ day: 'sat', from: '10:00', until: '12:00' }], { can: ['setUp'] })
    expect(kinds({ jobs: [job('A', 1)] })).toEqual(['noHours'])
    expect(kinds({ jobs: [job('A', null)], hands: [ines] })).toEqual(['unguessed'])
    expect(kinds({ jobs: [job('A', 1, { who: ['Nobody'] })], hands: [ines] })).toEqual(['nobody'])
    expect(kinds({ jobs: [job('A', 1, { hands: 2, kind: 'wiring' })], hands: [ines, bea] })).toEqual([
      'hands',
    ])
    expect(kinds({ jobs: [job('A', 1, { hands: 2, who: ['Ines', 'Bea'] })], hands: [ines, bea] })).toEqual([
      'apart',
    ])
    expect(kinds({ jobs: [job('A', 1)], hands: [ines], fixedDates: [dated('2026-11-20')] })).toEqual(['past'])
    const late = {
      ...newPart({ id: newId(), stageId, name: 'Plugs', system: 'engine', order: 0 }),
      version: 1,
      state: 'ordered' as const,
      orderedOn: '2026-11-01',
      promisedFor: '2026-11-15',
    }
    expect(kinds({ parts: [late], hands: [ines] })).toEqual(['overdue'])
  })

  it('waits for parts and shops, and lets paint cure while nobody works', () => {
    const part = {
      ...newPart({ id: newId(), stageId, name: 'Plugs', system: 'engine', order: 0 }),
      version: 1,
      state: 'ordered' as const,
      orderedOn: '2026-11-20',
      promisedFor: '2026-11-26',
    }
    const paint = { ...newWait({ id: newId(), stageId, name: 'Paint', kind: 'shop', order: 0 }), version: 1 }
    const prepare = job('Prepare', 2, { ...fixed(2), cure: 24 * HOUR })
    const wait = { ...paint, after: [prepare.id], lasts: 10 * 86_400, short: 10 * 86_400, long: 10 * 86_400 }
    const fit = job('Fit', 1, { ...fixed(1), waits: [wait.id], parts: [part.id] })
    const reckoned = reckon({
      jobs: [prepare, fit],
      waits: [wait],
      parts: [part],
      hands: [hand('Ines', everyEvening)],
    })
    const { finishes } = simulateWork(reckoned.network, { draws: 20 })
    // Monday until eight, a day to stand, ten days away: Friday 4 December, nine in the evening.
    expect(Math.min(...finishes[0]!)).toBe(zonedMoment('2026-12-04', '21:00', ZONE))
    // A part that has come holds nothing up.
    expect(reckon({ parts: [{ ...part, state: 'arrived' }] }).sources).toHaveLength(0)
  })

  it('needs for a date what can’t wait, up to its stage', () => {
    const [must, may] = [job('Must', 1), job('May', 1, { canWait: true })]
    const reckoned = reckon({
      jobs: [must, may],
      hands: [hand('Ines', everyEvening)],
      fixedDates: [dated('2026-12-01')],
    })
    expect(reckoned.network.targets).toEqual([[0, 1], [0]])
  })

  it('takes off what was worked already', () => {
    const spells = [
      { who: 'Ines', on: DAY, from: null, time: 3 * HOUR },
      { who: 'Ines', on: DAY, from: '18:00', time: null },
    ]
    const begun = job('Begun', 4, { ...fixed(4), spells })
    expect(workedOn(begun)).toBe(3 * HOUR)
    expect(guessedTime(begun)).toMatchObject({ likely: 4 * HOUR, gone: 3 * HOUR })
    // What is certain to take four hours has one left; what takes longer than was ever thought isn't done yet either.
    expect(meanLasting(guessedTime(begun), []) / HOUR).toBeCloseTo(1, 0)
    expect(meanLasting(guessedTime({ ...begun, workTime: 2 * HOUR, shortTime: null }), [])).toBeGreaterThan(0.3 * HOUR) // prettier-ignore
  })
})

describe('what people promise', () => {
  const done = (name: string, by: string, promised: number, taken: number, more: Partial<Job> = {}) =>
    job(name, promised, {
      state: 'done',
      doneOn: '2026-03-01',
      promised: { time: promised * HOUR, by },
      spells: [{ who: by, on: '2026-03-01', from: null, time: taken * HOUR }],
      ...more,
    })
  const library = (jobs: Job[]): WorkOfBuild[] => [
    { buildId: empty.build.id, build: 'Wren', stages: [], jobs, waits: [], parts: [], stored: [] },
  ]

  it('is kept by person and kind, for each of the hands', () => {
    const kept = keptPromises(
      library([
        done('Strip', 'Ines', 4, 20, { kind: 'stripping' }),
        done('Lift', 'Bea', 2, 8, { hands: 2 }),
        job('Open', 2),
      ]),
    )
    expect(kept.map((k) => [k.by, k.taken / k.promised])).toEqual([
      ['Ines', 5],
      ['Bea', 2],
    ])
  })

  it('goes over from common practice to the workshop’s, and to one’s own', () => {
    const kept = keptPromises(library(Array.from({ length: 30 }, (_, i) => done(`Job ${i}`, 'Ines', 2, 6))))
    expect(Math.exp(ratioFor([], 'Ines', 'work').mean)).toBeCloseTo(2)
    expect(Math.exp(ratioFor([], 'Ines', 'stripping').mean)).toBeCloseTo(5)
    expect(Math.exp(ratioFor(kept, 'Ines', 'work').mean)).toBeCloseTo(3, 0)
    expect(Math.exp(ratioFor(kept, 'Bea', 'work').mean)).toBeCloseTo(3, 0)
    expect(ratioFor(kept, 'Ines', 'work').spread).toBeLessThan(ratioFor([], 'Ines', 'work').spread)
  })

  it('counts days from the order, by supplier', () => {
    const part = {
      ...newPart({ id: newId(), stageId, name: 'Box', system: 'driveline', order: 0 }),
      supplier: 'Shed',
      orderedOn: '2026-01-01',
      promisedFirst: '2026-01-11',
      promisedFor: '2026-01-21',
      arrivedOn: '2026-01-31',
    }
    const kept = keptDeliveries([{ ...library([])[0]!, parts: [part] }])
    expect(kept).toMatchObject([{ supplier: 'Shed', promised: 10, taken: 30 }])
    expect(deliveryRatio(kept, 'Shed').mean).toBeGreaterThan(deliveryRatio([], 'Shed').mean)
  })

  it('is what open jobs are reckoned with, where that is wanted', () => {
    const open = job('Strip', 2, { kind: 'stripping', promised: { time: 2 * HOUR, by: 'Ines' } })
    const hands = [hand('Ines', everyEvening)]
    const [said, known] = [null, library([])].map((from) => {
      const { network } = reckon({ jobs: [open], hands }, from)
      return simulateWork(network, { draws: 300 }).ends[0]!.middle
    })
    expect(known).toBeGreaterThan(said!)
  })

  it('of what comes again is set side by side', () => {
    const [operation] = operationsOf(
      library([
        done('Out', 'Ines', 8, 20, { operation: 'Engine out' }),
        done('Out', 'Ines', 8, 16, { operation: 'engine out ' }),
      ]),
    )
    expect(operation).toMatchObject({ times: [{ taken: 20 * HOUR }, { taken: 16 * HOUR }], mean: 18 * HOUR })
    expect(timesToPayBack(18, 10, 30)).toBe(4)
    expect(timesToPayBack(10, 10, 30)).toBeNull()
  })
})

describe('what would help', () => {
  const hands = [hand('Ines', [{ day: 'tue', from: '18:00', until: '21:00' }])]
  const jobs = [job('Long', 6, { ...fixed(6), who: [] }), job('Short', 2, { ...fixed(2), order: 1 })]
  const reckoned = reckon({ jobs, hands, fixedDates: [dated('2026-12-05')] })

  const before = comparedOutcome(reckoned.network)

  it('is never worse than nothing', () => {
    const eased = whatEases(
      reckoned,
      before,
      1,
      [
        { kind: 'evening', hand: 0, hours: freeEvening(hands[0]!.week)! },
        { kind: 'hands' },
        { kind: 'without', items: [0] },
      ],
      ZONE,
    )
    expect(freeEvening(hands[0]!.week)).toMatchObject({ day: 'mon' })
    for (const { sooner, chance } of eased) {
      expect(sooner).toBeGreaterThan(0)
      expect(chance).toBe(1)
    }
  })

  it('names what to drop until the date is likely', () => {
    expect(dropsToReach(reckoned, before, 1, 0.8, [0, 1], ZONE)).toEqual([{ item: 1, chance: 1 }])
    expect(dropsToReach(reckoned, before, 0, 0.8, [0, 1], ZONE)).toEqual([])
  })

  it('is the same for a job that is dragged as for one that is written down so', () => {
    const later = '2026-12-02'
    const dragged = movedWork(reckoned, jobs[0]!.id, later, ZONE)
    const written = reckon({
      jobs: [{ ...jobs[0]!, notBefore: later }, jobs[1]!],
      hands,
      fixedDates: [dated('2026-12-05')],
    })
    expect(dragged.network.items).toEqual(written.network.items)
  })

  it('says how many hours are free before a date', () => {
    // Two evenings of three hours, eight hours of work.
    expect(freeHours(reckoned, 1)).toBe(-2 * HOUR)
    expect(freeHours(reckoned, 0)).toBeNull()
  })
})

describe('todayOf', () => {
  it('gives each what they begin that day, what waits beside it, and what has to be ordered', () => {
    const part = {
      ...newPart({ id: newId(), stageId, name: 'Plugs', system: 'engine', order: 0 }),
      version: 1,
    }
    const sunday = [{ day: 'sun' as const, from: '10:00', until: '14:00' }]
    const jobs = [
      job('Now', 3, { ...fixed(3), who: ['Ines'] }),
      job('Next', 3, { ...fixed(3), who: ['Ines'], order: 1 }),
      job('Much later', 3, { ...fixed(3), who: ['Ines'], order: 2 }),
      job('Plugs in', 1, { ...fixed(1), parts: [part.id], order: 3 }),
    ]
    const reckoned = reckon({ jobs, parts: [part], hands: [hand('Ines', sunday)] })
    const plan = { urgency: Float64Array.from(reckoned.sources, (_, at) => at), isPatient: false }
    const today = todayOf(reckoned, simulateWork(reckoned.network, { draws: 50, plan }), ZONE)
    expect(today.hands[0]!.jobs.map((j) => j.job.name)).toEqual(['Now', 'Next'])
    expect(today.beside.map((j) => j.name)).toEqual(['Much later'])
    expect(today.toOrder.map((one) => one.kind === 'part' && one.part.name)).toEqual(['Plugs'])
  })
})

describe('money', () => {
  const part = (more: object) => ({
    ...newPart({ id: newId(), stageId, name: 'P', system: 'engine', order: 0, ...more }),
    version: 1,
  })
  it('is spent, ordered or still to find, with what it may be off by', () => {
    const document: BuildDocument = {
      ...bare,
      parts: [
        part({ price: 100, state: 'fitted' }),
        part({ price: 10, quantity: 48, came: 40, state: 'arrived' }),
        part({ price: 50, state: 'ordered' }),
        part({ price: 200, state: 'wanted' }),
        part({ price: 30, state: 'returned' }),
      ],
      waits: [
        {
          ...newWait({
            id: newId(),
            stageId,
            name: 'Paint',
            kind: 'shop',
            order: 0,
            cost: 900,
            givenOn: '2026-01-01',
          }),
          version: 1,
        },
      ],
      outings: [{ ...sampleOuting(stageId, newId(), { cost: 90, planned: false }), version: 1 }],
      budgets: [{ id: newId(), stageId, system: 'engine', amount: 800, note: '', version: 1 }],
    }
    const rows = moneyOfStages(document)
    const all = sumOfMoney(rows)
    expect(all).toMatchObject({ spent: 100 + 400 + 90, ordered: 50 + 900, toFind: 200 })
    expect(all.sigma).toBeCloseTo(40)
    expect(budgetsOf(document, rows)[0]!.money.spent).toBe(500)
  })

  it('counts a swap by its own figure or by its parts, not twice, and takes off what was sold', () => {
    const swap = { ...sampleSwap(stageId, newId()), version: 1, cost: 500 }
    const line = {
      ...newLine({
        id: newId(),
        swapId: swap.id,
        kind: 'on',
        name: 'Wheel',
        system: 'wheels',
        mass: 8,
        grade: 'claim',
        order: 0,
      }),
      version: 1,
      fitted: true,
    }
    const old = {
      ...line,
      id: newId(),
      kind: 'off' as const,
      fate: 'sold' as const,
      soldFor: 60,
      quantity: 4,
    }
    const document = { ...bare, swaps: [swap], lines: [line, old] }
    expect(sumOfMoney(moneyOfStages(document)).spent).toBe(500)
    const listed = { ...document, parts: [part({ price: 450, state: 'fitted', lineId: line.id })] }
    expect(sumOfMoney(moneyOfStages(listed)).spent).toBe(450 - 240)
  })
})

describe('first guesses', () => {
  it('stand beside what came out from their stage on', () => {
    const guess = (of: 'hours' | 'mass', value: number) => ({
      id: newId(),
      stageId,
      of,
      who: 'Ines',
      value,
      date: DAY,
      note: '',
      version: 1,
    })
    const worked = job('Done', 2, {
      state: 'done',
      spells: [{ who: 'Ines', on: DAY, from: null, time: 5 * HOUR }],
    })
    const kept = guessesOf(
      { ...bare, jobs: [worked], firstGuesses: [guess('hours', HOUR), guess('mass', 900)] },
      () => 950,
    )
    expect(kept.map((k) => [k.came, k.isFinal])).toEqual([
      [5 * HOUR, true],
      [950, true],
    ])
    expect(guessesOf({ ...bare, firstGuesses: [guess('mass', 900)] }, () => null)[0]!.came).toBeNull()
  })
})

describe('the store', () => {
  it('offers what is called like what is wanted, of the same system', () => {
    const line = (name: string, system: 'cooling' | 'wheels') =>
      newLine({
        id: newId(),
        swapId: newId(),
        kind: 'off',
        name,
        system,
        mass: 3,
        grade: 'measured',
        order: 0,
      })
    const library = [
      {
        buildId: newId(),
        build: 'Ember',
        stages: [],
        jobs: [],
        waits: [],
        parts: [],
        stored: [
          line('Old radiators', 'cooling'),
          line('Radiator cap', 'wheels'),
          line('Front hose', 'cooling'),
        ],
      },
    ]
    const wanted = newPart({ id: newId(), stageId, name: 'Front radiator', system: 'cooling', order: 0 })
    expect(storedFor([wanted], library).map((s) => s.stored.name)).toEqual(['Old radiators'])
    expect(storedFor([{ ...wanted, state: 'ordered' }], library)).toEqual([])
  })
})

describe('partsPlanned', () => {
  it('lists what planned swaps need, once, and not what is on already', () => {
    const swap = { ...sampleSwap(stageId, newId()), version: 1 }
    const on = (name: string, more: object = {}) => ({
      ...newLine({
        id: newId(),
        swapId: swap.id,
        kind: 'on',
        name,
        system: 'aero',
        mass: 2,
        grade: 'guess',
        order: 0,
        ...more,
      }),
      version: 1,
    })
    const lines = [on('Wing'), on('Splitter', { quantity: 2 }), on('Fitted', { fitted: true })]
    const document = { ...bare, swaps: [swap], lines, components: [], optionSets: [] }
    const planned = partsPlanned(document, stageId)
    expect(planned.map(({ part }) => [part.name, part.quantity])).toEqual([
      ['Wing', 1],
      ['Splitter', 2],
    ])
    const listed = {
      ...newPart({ id: newId(), stageId, name: 'A wing', system: 'aero', order: 0, lineId: lines[0]!.id }),
      version: 1,
    }
    expect(partsPlanned({ ...document, parts: [listed] }, stageId).map(({ part }) => part.name)).toEqual([
      'Splitter',
    ])
  })
})

describe('the day that is reckoned from', () => {
  it('is today, or the last day that was noted where a build has slept', () => {
    const slept = { ...bare, jobs: [job('Done', 1, { state: 'done', doneOn: '2026-09-01' })] }
    expect(lastNoted(slept, DAY)).toBe('2026-09-01')
    expect(reckonedDay(slept, DAY)).toBe('2026-09-01')
    expect(reckonedDay(slept, '2026-09-20')).toBe('2026-09-20')
    expect(reckonedDay(bare, DAY)).toBe(DAY)
  })
})
