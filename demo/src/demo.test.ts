import { buildFile, buildSummary, sealedFigures, type WorkOfBuild } from '@bold-ballast/contract'
import { sealedFiguresOf } from '@bold-ballast/words'
import {
  courseDrawn,
  fittedAt,
  ledgerIndex,
  namedMass,
  stageInputs,
  summarise,
  withOwnWork,
  workNetworkOf,
} from '@bold-ballast/model'
import { documentFrom } from '@bold-ballast/contract/sampleBuild'
import {
  aeroBalance,
  chanceBy,
  doubtName,
  logFaults,
  logLaps,
  metresFrom,
  peaksOf,
  placedAreas,
  planWork,
  sigmaOf,
  simulateWork,
  stageSummaries,
  unpackLog,
  zonedMoment,
} from '@bold-ballast/core'
import { gunzipSync } from 'node:zlib'
import { describe, expect, it } from 'vitest'
import { demo } from './index'

const files = demo.builds()
const named = (name: string) => files.find((f) => f.build.name === name)!
const rpm = (speed: number) => (speed * 30) / Math.PI

describe.each(files.map((f) => [f.build.name, f] as const))('%s', (name, file) => {
  const summaries = stageSummaries(stageInputs(documentFrom(file)))

  it('passes the check of a person’s import', () =>
    expect(buildFile.safeParse(file).error?.issues ?? []).toEqual([]))
  it('is listed and signed as the contract says, at each stage', () => {
    const document = documentFrom(file)
    expect(buildSummary.safeParse(summarise(document)).error?.issues ?? []).toEqual([])
    for (const { id } of file.stages)
      expect(sealedFigures.safeParse(sealedFiguresOf(document, id)).error?.issues ?? []).toEqual([])
  })
  it('is the same on every machine', () =>
    expect(demo.builds().find((f) => f.build.name === name)).toEqual(file))
  it('has four stages or more, three weigh-ins or more, six pulls or more', () => {
    expect(file.stages.length).toBeGreaterThanOrEqual(4)
    expect(file.weighIns.length).toBeGreaterThanOrEqual(3)
    expect(file.pulls.length).toBeGreaterThanOrEqual(6)
  })
  it('knows each mass by name: the car as bought or its scales, each line, what lines share, what is aboard', () => {
    const document = documentFrom(file)
    for (const { stageId, planned, standing, finished } of summaries) {
      const books = namedMass(document, stageId, 'planned').doubts!
      expect(sigmaOf(books)).toBeCloseTo(planned.mass.sigma, 6)
      expect(books[doubtName.bought]).toBeGreaterThan(0)
      expect(sigmaOf(namedMass(document, stageId, 'standing').doubts!)).toBeCloseTo(standing.mass.sigma, 6)
      expect(sigmaOf(namedMass(document, stageId, 'finished').doubts!)).toBeCloseTo(finished.mass.sigma, 6)
    }
  })
  it('never takes off more than there is', () =>
    expect(summaries.every((s) => !s.planned.impossible)).toBe(true))
  it('reconciles books and scales wherever the story doesn’t say otherwise', () => {
    for (const s of summaries) {
      if (!s.weighed || (name === 'Nightjar' && s === summaries[3])) continue
      expect(s.weighed.balance.verdict, `${name}, stage ${summaries.indexOf(s) + 1}`).toBe('balance')
    }
  })
  it('has marks that are met, missed or open, and not all of one kind', () => {
    const { met, missed, cantTell } = summarise(documentFrom(file)).marks
    expect(met + missed).toBeGreaterThan(0)
    expect(cantTell).toBeGreaterThan(0)
  })
  it('has curves that look like engines: one hump, noise, no jump', () => {
    for (const { points, name: pull } of file.pulls) {
      if (!points) continue
      expect(points.length, pull).toBeGreaterThan(60)
      const { power, torque } = peaksOf(points)
      expect(torque.speed, pull).toBeLessThan(power.speed)
      expect(rpm(power.speed), pull).toBeGreaterThan(4500)
      for (let i = 1; i < points.length; i += 1) {
        expect(Math.abs(points[i]!.torque / points[i - 1]!.torque - 1), pull).toBeLessThan(0.12)
      }
    }
  })
})

describe('the stories', () => {
  const nightjar = stageSummaries(stageInputs(documentFrom(named('Nightjar'))))

  it('Nightjar has 40 to 90 lines and six stages', () => {
    expect(named('Nightjar').stages).toHaveLength(6)
    expect(named('Nightjar').lines.length).toBeGreaterThanOrEqual(40)
    expect(named('Nightjar').lines.length).toBeLessThanOrEqual(90)
  })
  it('Nightjar is about 9 kg heavier than its books in stage 4, and the weight sits at the rear', () => {
    const { balance, result, booksFront } = nightjar[3]!.weighed!
    expect(balance.difference).toBeGreaterThan(7)
    expect(balance.difference).toBeLessThan(11)
    expect(balance.verdict).toBe('off')
    expect(result.front.value).toBeLessThan(booksFront.value)
  })
  it('Nightjar’s missing kilos are placed near the rear axle, since the weighing that balanced', () => {
    const { missing, missingSince } = nightjar[3]!.weighed!
    expect(missingSince).toBe('2026-02-14')
    expect(missing!.canPlace).toBe(true)
    expect(missing!.mass.value).toBeGreaterThan(7)
    expect(missing!.mass.value).toBeLessThan(12)
    // It was left out 2.48 m behind the front axle, of 2.575 m.
    expect(Math.abs(missing!.x.value - 2.48)).toBeLessThan(1.645 * missing!.x.sigma)
    expect(missing!.x.value).toBeGreaterThan(1.8)
  })
  it('Nightjar was on hubs once and on rollers otherwise, and no stage mixes them', () => {
    expect(new Set(named('Nightjar').dynoDays.map((d) => d.kind))).toEqual(new Set(['hub', 'rollerLoaded']))
  })
  it('Nightjar’s big wing shifts the balance of the air forward of the mass, and none was there before', () => {
    const document = documentFrom(named('Nightjar'))
    const { stages } = ledgerIndex(document)
    const share = (at: number) =>
      aeroBalance(placedAreas(fittedAt(document.aeroElements, stages, stages[at]!.id)), 2.575).frontShare
    const massFront = 1 - nightjar[4]!.planned.centre.x.value / 2.575
    expect(share(3)).toBeNull()
    expect(share(4)!).toBeGreaterThan(massFront)
  })
  it('Ember’s boost arrives late and its limiter early: the window is narrow', () => {
    const pull = named('Ember').pulls.find((p) => p.name === 'Large housing, first')!
    const peak = peaksOf(pull.points!).power.value
    const band = pull.points!.filter((p) => p.torque * p.speed > 0.9 * peak).map((p) => rpm(p.speed))
    expect(band[0]!).toBeGreaterThan(4800)
    expect(rpm(pull.points!.at(-1)!.speed)).toBeLessThanOrEqual(7000)
  })
  it('Wren was weighed with two pads in stage 3, and says so', () => {
    const stage = named('Wren').stages[2]!
    const weighIn = named('Wren').weighIns.find((w) => w.stageId === stage.id)!
    expect(weighIn.readings.method).toBe('twoPads')
    expect(weighIn.note).toMatch(/Two pads/)
    expect(weighIn.accuracy).toBeGreaterThan(0.003)
  })
})

it('has a photograph for every picture of a job', () => {
  const pictured = demo.builds().flatMap((file) => demo.picturesOf(file))
  expect(pictured.length).toBeGreaterThan(0)
  // As every JPEG begins.
  for (const { bytes } of pictured) expect([...bytes.subarray(0, 3)]).toEqual([0xff, 0xd8, 0xff])
})

describe('logs of the demo', () => {
  it('are of the runs that they say, and give back the laps that were driven', () => {
    const file = demo.builds().find((b) => b.build.name === 'Nightjar')!
    const logs = demo.logsOf(file)
    expect(logs).toHaveLength(4)
    const day = file.outings.find((o) => o.name === 'Longmere, wing holes')!
    const course = file.courses.find((c) => c.id === day.courseId)!
    const drawn = courseDrawn(course)
    for (const run of file.runs.filter((r) => r.outingId === day.id)) {
      const log = unpackLog(gunzipSync(logs.find((l) => l.runId === run.id)!.bytes))
      const found = logLaps(
        log,
        { ...drawn, sectors: [] },
        metresFrom([log.origin!], course.line!.origin)[0],
      )!
      expect(found.beside).toBeLessThan(2)
      run.laps.forEach((lap, i) => {
        const logged = found.laps[i]!
        expect(Math.abs(logged.to - logged.from - lap.time!)).toBeLessThan(0.1)
      })
    }
    const flat = file.runs.find((r) => r.note.startsWith('The logger recorded nothing'))!
    const empty = unpackLog(gunzipSync(logs.find((l) => l.runId === flat.id)!.bytes))
    expect(logFaults(empty.time, empty.channels).every((f) => f.kind === 'recordedNothing')).toBe(true)
  })
})

describe('Nightjar’s winter', () => {
  it('makes the winter cup a toss-up, with the hours as they are', () => {
    const documents = files.map((file) => documentFrom(file))
    const nightjar = documents.find((d) => d.build.name === 'Nightjar')!
    const library = documents.reduce<WorkOfBuild[]>((all, one) => withOwnWork(all, one), [])
    const from = zonedMoment('2026-11-22', '00:00', 'UTC')
    const { network, targets } = workNetworkOf(nightjar, { from, zone: 'UTC', library })
    const { finishes } = simulateWork(network, { draws: 2000, plan: planWork(network) })
    const cup = targets.findIndex(({ date }) => date?.name === 'Longmere, winter cup')
    const chance = chanceBy(finishes[cup]!, targets[cup]!.by!)
    expect(chance).toBeGreaterThan(0.4)
    expect(chance).toBeLessThan(0.7)
  })
})
