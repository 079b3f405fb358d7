import type { Measure } from '@bold-ballast/core'
import { blankLap, type BuildDocument, type Limit, type Run } from '@bold-ballast/contract'
import {
  documentFrom,
  sampleCourse,
  sampleOuting,
  sampleRun,
  sampleSetup,
} from '@bold-ballast/contract/sampleBuild'
import { describe, expect, it } from 'vitest'
import { carAt } from '../car/carAt'
import { markFigures } from '../marks/markFigures'
import { lapsBeside } from '../measures/lapPace'
import { askedFor, wholeCar } from '../testing/wholeCar'
import { carOnSheet } from './carOnSheet'
import { countedLaps } from './countedLaps'
import { didItHelp } from './didItHelp'
import { driverDays } from './driverDays'
import { lapEvidence } from './lapEvidence'
import { logHealth } from './logHealth'
import { limitAt, runHealth } from './runHealth'
import { runReminders } from './runReminders'
import { seasonDays } from './seasonDays'
import { stintOf } from './stintOf'
import { shakedown } from './shakedown'
import { isOn, timedOutings } from './timedOutings'
import { tyreSets } from './tyreSets'
import { whatWorked } from './whatWorked'

const newId = () => crypto.randomUUID()
/** Laps of one driver who learns, with what a change is worth from the seventh to the twelfth. */
const pace = (from: number, count: number, worth = 0) =>
  Array.from({ length: count }, (_, i) => {
    const n = from + i
    return 90 + 1.5 * Math.exp(-n / 4) - 0.014 * n + 0.2 * Math.sin(n * 2.3) - worth
  })

function document(
  more: (add: { stageId: string; day: string; run: (r: Omit<Run, 'version'>) => void }) => void,
) {
  const { file, stageId } = wholeCar()
  const course = sampleCourse(newId(), { name: 'Loop' })
  file.courses.push(course)
  const day = sampleOuting(stageId, newId(), { name: 'Test day', courseId: course.id })
  file.outings.push(day)
  file.setups.push(sampleSetup(stageId, newId(), 1), sampleSetup(stageId, newId(), 2))
  const [a, b] = [file.setups[0]!.id, file.setups[1]!.id]
  more({ stageId, day: day.id, run: (run) => file.runs.push(run) })
  return { file, built: documentFrom(file), stageId, a, b, course, day }
}
const threeRuns = (worth: number, sessions = ['one', 'one', 'one']) => {
  const made = document(() => undefined)
  const { file, day, a, b } = made
  file.runs.push(
    sampleRun(day.id, newId(), pace(1, 6), { order: 1, setupId: a, session: sessions[0]! }),
    sampleRun(day.id, newId(), pace(7, 6, worth), { order: 2, setupId: b, session: sessions[1]! }),
    sampleRun(day.id, newId(), pace(13, 6), { order: 3, setupId: a, session: sessions[2]! }),
  )
  return { ...made, built: documentFrom(file) }
}
const limit = (more: Partial<Limit>): Limit => ({
  id: newId(),
  version: 1,
  order: 0,
  name: 'Oil temperature',
  quantity: 'temperature',
  by: 'nothing',
  low: [],
  high: [{ at: 0, value: 398.15 }],
  look: 0.05,
  note: '',
  ...more,
})
const reading = (value: number, more: Partial<Run['readings'][number]> = {}): Run['readings'][number] => ({
  name: 'oil temperature ',
  quantity: 'temperature',
  value,
  at: null,
  by: 'nothing',
  ...more,
})

describe('didItHelp', () => {
  it('shows a change that is worth a second, and doesn’t show one that is worth nothing', () => {
    const real = threeRuns(1)
    const [helped] = didItHelp(real.built, real.built.outings, 0)
    expect(helped!.driver).toBe('Ines')
    expect(helped!.effects.changes[0]).toMatchObject({ on: 'Sheet 2', verdict: 'quicker' })
    expect(helped!.effects.changes[0]!.seconds).toBeCloseTo(-1, 0)
    expect(helped!.next).toBeNull()
    const none = threeRuns(0)
    const [not] = didItHelp(none.built, none.built.outings, 0)
    expect(not!.effects.changes[0]!.verdict).toBe('notShown')
    // The run that would tell the most makes the error smaller.
    expect(not!.next!.error.then).toBeLessThan(not!.next!.error.now)
  })
  it('can’t tell a change from the session that it was driven in, and says what it would be were they alike', () => {
    const { built } = threeRuns(1, ['morning', 'noon', 'morning'])
    const [helped] = didItHelp(built, built.outings, 0)
    expect(helped!.effects.changes[0]).toMatchObject({ verdict: 'confounded', with: 'session' })
    expect(helped!.alike!.changes[0]!.verdict).toBe('quicker')
  })
  it.each([
    ['no sheets at all', null, null, null],
    ['a sheet for the base', 'a', null, null],
    ['a sheet each', 'a', 'b', 'a'],
  ])('makes one comparison of a change and back, with %s', (_, ...sheets) => {
    const { file, day, a, b } = document(() => undefined)
    const on = (place: number) => ({ a, b })[sheets[place] ?? ''] ?? null
    const runs = [
      { purpose: 'baseLine', setupId: on(0) },
      { purpose: 'change', setupId: on(1), change: 'rear bar off' },
      { purpose: 'check', setupId: on(2), change: 'and back' },
    ] as const
    for (const [i, run] of runs.entries())
      file.runs.push(
        sampleRun(day.id, newId(), pace(1 + 6 * i, 6, i === 1 ? 1 : 0), { order: i + 1, ...run }),
      )
    const built = documentFrom(file)
    const [helped] = didItHelp(built, built.outings, 0)
    expect(helped!.effects.changes).toHaveLength(1)
    expect(new Set(helped!.laps.filter((_lap, i) => i < 6 || i > 11).map((lap) => lap.on)).size).toBe(1)
  })
  it('counts marked laps as driven and compares none of them; keeps drivers and wet laps apart', () => {
    const { file, day, a } = document(() => undefined)
    file.runs.push(
      sampleRun(day.id, newId(), [91, 90, 95], {
        order: 1,
        setupId: a,
        laps: [
          { ...blankLap(99), is: 'out' },
          blankLap(90),
          { ...blankLap(95), is: 'traffic' },
          blankLap(null),
        ],
      }),
      sampleRun(day.id, newId(), [89.5], { order: 2, setupId: a }),
      sampleRun(day.id, newId(), [101], { order: 3, setupId: a, track: 'wet' }),
      sampleRun(day.id, newId(), [88], { order: 4, setupId: a, driver: 'Bea' }),
      sampleRun(day.id, newId(), [80], { order: 5, setupId: a, planned: true }),
    )
    const built = documentFrom(file)
    const laps = countedLaps(built, built.outings, { driver: 'Ines', track: 'dry', fuelPerLap: 0.001 })
    expect(laps.map(({ time, number }) => [time, number])).toEqual([
      [90, 2],
      [89.5, 5],
    ])
  })
})

describe('timedOutings', () => {
  it('takes the best lap that counts where it is quicker than what was typed, and the marks see it', () => {
    const { file, day, stageId, course } = document(() => undefined)
    file.outings[0]!.bestLap = 91
    file.runs.push(
      sampleRun(day.id, newId(), [90.5, 90.2, 90.9, 92], {
        laps: [90.5, 90.2, 90.9, 92].map(blankLap).concat({ ...blankLap(70), is: 'error' }),
      }),
    )
    const built = documentFrom(file)
    expect(timedOutings(built)[0]!.bestLap).toBe(90.2)
    expect(isOn(built.outings[0]!, course)).toBe(true)
    expect(isOn({ courseId: null, name: 'Loop, May' }, course)).toBe(true)
    expect(isOn({ courseId: newId(), name: 'Loop, May' }, course)).toBe(false)
    const car = carAt(built, stageId)
    const asked = (measure: 'lapTime' | 'lapBestThree' | 'lapMedian') =>
      markFigures(car, askedFor(measure, { place: measure === 'lapTime' ? 'Test' : 'Loop' })).value?.value
    expect(asked('lapTime')).toBe(90.2)
    // By the course that it names, too.
    expect(markFigures(car, askedFor('lapTime', { place: 'Loop' })).value?.value).toBe(90.2)
    expect(asked('lapBestThree')).toBeCloseTo((90.2 + 90.5 + 90.9) / 3, 9)
    expect(asked('lapMedian')).toBeCloseTo(90.7, 9)
  })
})

describe('marks on what runs show', () => {
  const { file, day, stageId } = document(() => undefined)
  const run = (times: readonly number[], more: object) =>
    file.runs.push(sampleRun(day.id, newId(), [...times], more))
  run([90.5, 90.2], {
    laps: [
      { ...blankLap(90.5), sectors: [30, 31, 29.5] },
      { ...blankLap(90.2), sectors: [30.4, 30.2, 29.6] },
      { ...blankLap(80), sectors: [20, 30, 30], is: 'traffic' },
    ],
    corners: [{ name: 'Pump House', least: 19.8 }],
    readings: [
      { name: 'Oil', quantity: 'temperature', value: 390, at: null, by: 'nothing' },
      { name: 'Oil', quantity: 'pressure', value: 3.2e5, at: null, by: 'nothing' },
    ],
    hot: { frontLeft: 2.05e5, frontRight: 1.9e5, rearLeft: 1.98e5, rearRight: null },
  })
  run([91], {
    track: 'wet',
    laps: [{ ...blankLap(70), sectors: [1, 1, 1] }],
    corners: [{ name: 'pump house', least: 20.1 }],
    readings: [{ name: 'oil ', quantity: 'temperature', value: 401, at: null, by: 'nothing' }],
  })
  const car = carAt(documentFrom(file), stageId)
  const read = (measure: Measure, more: object) => markFigures(car, askedFor(measure, more))
  it('a sector is the best of laps that count, on a dry track', () => {
    expect(read('sectorTime', { part: '2' }).value?.value).toBe(30.2)
    expect(read('sectorTime', { part: '1' }).value?.value).toBe(30)
    expect(read('sectorTime', { part: '4' }).value).toBeNull()
  })
  it('a corner is the highest of its least speeds, whoever wrote its name', () => {
    const figures = read('cornerSpeed', { part: 'Pump House' })
    expect(figures.value).toMatchObject({ value: 20.1, grade: 'measured' })
    expect(figures.evidence).toBe(true)
    expect(read('cornerSpeed', { part: 'Elsewhere' }).value).toBeNull()
  })
  it('of readings the one counts that is farthest out', () => {
    expect(read('temperatureRead', { part: 'Oil', comparator: 'atMost', value: 400 }).value?.value).toBe(401)
    expect(read('temperatureRead', { part: 'Oil', comparator: 'atLeast', value: 400 }).value?.value).toBe(390)
    expect(read('pressureRead', { part: 'OIL', comparator: 'atLeast', value: 3e5 }).value?.value).toBe(3.2e5)
    const hot = (value: number) => read('hotPressure', { comparator: 'within', value }).value?.value
    expect(hot(2e5)).toBe(1.9e5)
    expect(hot(1.92e5)).toBe(2.05e5)
  })
  it('says beside a lap how often it was reached', () => {
    expect(lapsBeside(car, 'Loop')).toMatchObject({ count: 2, best: 90.2, reached: 2 })
    expect(lapsBeside(car, 'nowhere')).toBeNull()
  })
})

describe('whatWorked', () => {
  it('puts the quickest sheet of each course and weather first, by laps that count', () => {
    const { file, day, a, b, course } = document(() => undefined)
    const drove = (times: readonly number[], more: Partial<Run>) =>
      file.runs.push(sampleRun(day.id, newId(), [...times], { order: file.runs.length + 1, ...more }))
    drove([62, 61.8, 61.9], { setupId: a, tyres: 'Set 1' })
    drove([61.2, 61, 61.1], { setupId: b, tyres: 'Set 1' })
    drove([61.4, 61.3, 61.2], { setupId: b, tyres: 'Set 2' })
    drove([70, 71, 72], { setupId: a, track: 'wet' })
    drove([50], { setupId: a, tyres: 'Set 3' })
    const found = whatWorked(documentFrom(file))
    expect(found.map((one) => [one.track, one.on, one.tyres, one.isBest])).toEqual([
      ['dry', 'Sheet 2', 'Set 1', true],
      ['dry', 'Sheet 2', 'Set 2', false],
      ['dry', 'Sheet 1', 'Set 1', false],
      ['wet', 'Sheet 1', 'Set 1', true],
    ])
    expect(found.every((one) => one.courseId === course.id)).toBe(true)
    expect(found[0]!.evidence.bestThree).toBeCloseTo(61.1, 9)
  })
})

describe('driverDays', () => {
  it('says how alike a driver’s laps are, whatever was changed between them, and of how many', () => {
    const { built } = threeRuns(0.8)
    const [one, ...others] = driverDays(built)
    expect(others).toEqual([])
    expect(one).toMatchObject({ driver: 'Ines', laps: 18 })
    // Noise alone: 0.2 · sin has a spread of 0.14 s; with what the change is worth in it, it would be 0.4 s and more.
    expect(one!.scatter * one!.median).toBeGreaterThan(0.08)
    expect(one!.scatter * one!.median).toBeLessThan(0.25)
  })
  it('says nothing of four laps, a planned day or a wet track', () => {
    const { file, day } = document(() => undefined)
    file.runs.push(sampleRun(day.id, newId(), [60, 61, 60, 61]))
    file.runs.push(sampleRun(day.id, newId(), [60, 61, 60, 61, 60, 61], { track: 'wet' }))
    expect(driverDays(documentFrom(file))).toEqual([])
  })
})

describe('runReminders', () => {
  const ran = (minutes: number, more: Partial<Run> = {}): Run => ({
    ...sampleRun(
      newId(),
      newId(),
      Array.from({ length: minutes }, () => 60),
    ),
    version: 1,
    ...more,
  })
  const due = (...runs: readonly Run[]) => runReminders(runs).map((one) => one.check)
  it('wants nuts after the first run and each hour, levels each half hour, cooling after each', () => {
    expect(due(ran(12))).toEqual(['cooledDown', 'nuts'])
    const first = ran(12, { checks: ['cooledDown', 'nuts'] })
    expect(due(first)).toEqual([])
    expect(due(first, ran(20))).toEqual(['cooledDown', 'levels'])
    expect(due(first, ran(40, { checks: ['levels'] }), ran(25))).toEqual(['cooledDown', 'nuts'])
    expect(due(first, ran(61))).toEqual(['cooledDown', 'nuts', 'levels'])
    // Not done after the first run, it stays due.
    expect(due(ran(12), ran(3))).toEqual(['nuts'])
  })
  it('wants what was undone for a change, and nothing cooled that stood', () => {
    expect(due(ran(2, { change: 'rear bar off', checks: ['nuts'] }))).toEqual(['touched'])
    expect(due(ran(0, { lasts: 1200, checks: ['nuts'] }))).toEqual(['cooledDown'])
  })
})

describe('stintOf', () => {
  const stint = (laps: readonly number[], fuel: number | null) =>
    stintOf({ ...sampleRun(newId(), newId(), [...laps]), fuel }, 0.002)
  it('says pace, fade, and for how many laps the fuel goes', () => {
    const found = stint([60, 60.1, 60.2, 60.3, 60.4, 60.5], 0.03)
    expect(found.fade).toBeCloseTo(0.1, 9)
    expect(found.pace).toBe(60.3)
    expect(found.fuel!.left).toBeCloseTo(0.018, 12)
    expect(found.fuel!.laps).toBe(9)
  })
  it('says nothing of what nobody knows', () => {
    expect(stint([60, 61], null)).toMatchObject({ fade: null, fuel: null, laps: 2 })
    expect(stintOf({ laps: [], planned: false, fuel: 0.03 }, null)).toMatchObject({ pace: null, fuel: null })
  })
})

describe('lapEvidence', () => {
  it('says how often the best was reached, and adds up sectors that nobody drove in one lap', () => {
    const found = lapEvidence([
      { time: 60, sectors: [30, 30] },
      { time: 60.2, sectors: [29, 31.2] },
      { time: 62, sectors: [31, 31] },
    ])!
    expect(found).toMatchObject({ count: 3, best: 60, reached: 2, bestSectors: 59 })
    expect(found.median).toBe(60.2)
    expect(lapEvidence([])).toBeNull()
    expect(lapEvidence([{ time: 60, sectors: [] }])).toMatchObject({
      bestThree: null,
      scatter: null,
      bestSectors: null,
    })
  })
})

describe('runHealth', () => {
  const { file, day } = document(() => undefined)
  file.runs.push(sampleRun(day.id, newId(), []))
  const run = documentFrom(file).runs[0]!
  it('goes on within the limits, looks first close to them, and stops beyond', () => {
    const of = (celsius: number) =>
      runHealth({ ...run, readings: [reading(celsius + 273.15)] }, [limit({})]).health
    expect([of(100), of(120), of(126)]).toEqual(['go', 'look', 'stop'])
    expect(runHealth({ ...run, fault: 'a hose' }, []).health).toBe('look')
  })
  it('holds oil pressure to what it must have at that engine speed', () => {
    const oil = limit({
      name: 'Oil pressure',
      quantity: 'pressure',
      by: 'engineSpeed',
      high: [],
      low: [
        { at: 100, value: 1e5 },
        { at: 600, value: 4e5 },
      ],
    })
    expect(limitAt(oil.low, 350)).toBeCloseTo(2.5e5, 6)
    expect(limitAt(oil.low, 50)).toBe(1e5)
    expect(limitAt(oil.low, 900)).toBe(4e5)
    const of = (value: number, at: number) =>
      runHealth(
        {
          ...run,
          readings: [reading(value, { name: 'Oil pressure', quantity: 'pressure', at, by: 'engineSpeed' })],
        },
        [oil],
      ).health
    expect(of(3e5, 350)).toBe('go')
    expect(of(2e5, 350)).toBe('stop')
    expect(of(2e5, 100)).toBe('go')
  })
  it('names limits of which nothing was read, and offers no next step of a shakedown with a reading beyond', () => {
    expect(runHealth(run, [limit({})]).unread).toEqual(['Oil temperature'])
    const at80 = (celsius: number) =>
      shakedown([{ ...run, purpose: 'shake80', readings: [reading(celsius + 273.15)] }], [limit({})])
    expect(at80(100)).toMatchObject({ next: 'shake100', isRefused: false })
    expect(at80(130)).toMatchObject({ next: 'shake80', isRefused: true, health: 'stop' })
    expect(shakedown([{ ...run, purpose: 'shake100' }], [])).toMatchObject({ next: null })
    expect(shakedown([run], [])).toBeNull()
  })
})

describe('logHealth', () => {
  const time = Float32Array.from({ length: 100 }, (_, i) => i / 10)
  const logOf = (name: string, values: (i: number) => number) => ({
    name: 'run',
    origin: null,
    time,
    channels: [
      { name, role: null, values: Float32Array.from(time, (_, i) => values(i)) },
      {
        name: 'rpm',
        role: 'engineSpeed' as const,
        values: Float32Array.from(time, (_, i) => (i < 50 ? 0 : 400)),
      },
    ],
  })
  it('finds what passed its limit, at its worst and for how long, in the unit that the title says', () => {
    const [hot] = logHealth(
      logOf('Oil temperature (°C)', (i) => (i >= 80 ? 130 : 110)),
      [limit({})],
    )
    expect(hot).toMatchObject({ side: 'high', channel: 'Oil temperature (°C)' })
    expect(hot!.value).toBeCloseTo(403.15, 3)
    expect(hot!.at).toBeCloseTo(8, 5)
    expect(hot!.lasted).toBeCloseTo(2, 1)
    expect(
      logHealth(
        logOf('Oil temperature (°C)', () => 110),
        [limit({})],
      ),
    ).toEqual([])
    expect(
      logHealth(
        logOf('Coolant (°C)', () => 190),
        [limit({})],
      ),
    ).toEqual([])
  })
  it('holds oil pressure to nothing while the engine stands', () => {
    const oil = limit({
      name: 'Oil pressure',
      quantity: 'pressure',
      by: 'engineSpeed',
      high: [],
      low: [{ at: 100, value: 2e5 }],
    })
    expect(
      logHealth(
        logOf('Oil pressure (bar)', (i) => (i < 50 ? 0 : 3)),
        [oil],
      ),
    ).toEqual([])
    const [low] = logHealth(
      logOf('Oil pressure (bar)', () => 1),
      [oil],
    )
    expect(low!.at).toBeCloseTo(5, 5)
    expect(low!.value).toBeCloseTo(1e5, 0)
  })
})

describe('the season', () => {
  it('adds up laps, cost and points, and follows sets of tyres through it', () => {
    const { file, day } = document(() => undefined)
    Object.assign(file.outings[0]!, {
      cost: 150,
      fuelCost: 60,
      tyreCost: 40,
      result: { place: 3, of: 20, points: 25 },
    })
    file.runs.push(
      sampleRun(day.id, newId(), [91, 90, 92], { order: 1, tyreLaps: 4 }),
      sampleRun(day.id, newId(), [90.5, 90.1, 91], { order: 2, tyreLaps: null }),
    )
    const built: BuildDocument = documentFrom(file)
    expect(seasonDays(built)[0]).toMatchObject({ laps: 6, best: 90, cost: 250, points: 25 })
    const [set] = tyreSets(built)
    expect(set).toMatchObject({ name: 'Set 1', laps: 10, cycles: 2 })
    expect(set!.runs.map((r) => r.before)).toEqual([4, 7])
  })
})

describe('carOnSheet', () => {
  it('is the car on the sheet that it was driven on, though another has been written since', () => {
    const { built, stageId, a } = document(() => undefined)
    expect(carAt(built, stageId).setup!.value.order).toBe(2)
    expect(carOnSheet(built, stageId, a).setup!.value.order).toBe(1)
  })
})
