import {
  sampleBrakes,
  sampleCourse,
  sampleOuting,
  sampleSetup,
  sampleSuspension,
  documentFrom,
} from '@bold-ballast/contract/sampleBuild'
import { blankLapBasis, type BuildFile } from '@bold-ballast/contract'
import { axleCarOf, lapTime, type AxleCar } from '@bold-ballast/core'
import { describe, expect, it } from 'vitest'
import { carAt } from '../car/carAt'
import { lapAssumes, lapFacts } from '../car/lapFacts'
import { wholeCar } from '../testing/wholeCar'
import { courseDrawn } from './courseDrawn'
import { fitLap } from './fitLap'
import { lapDoubts } from './lapDoubts'
import { lapOf } from './lapOf'
import { lapsDriven } from './lapsDriven'
import { plannedChanges } from './plannedChanges'
import { downforceShareLine, finalDriveLine, shiftTimeLine, kilosFor, massLine, powerLine } from './tradeCars'

const newId = () => crypto.randomUUID()
const loop = sampleCourse(newId())
/** The car of a build that some more was said of. */
function carWith(more: (file: BuildFile, stageId: string) => void = () => undefined) {
  const { file, stageId } = wholeCar()
  more(file, stageId)
  return carAt(documentFrom(file), stageId)
}
const lapTimeOf = (more?: (file: BuildFile, stageId: string) => void) =>
  lapOf(carWith(more).geared!.run, loop).time

describe('what a lap is worked out from', () => {
  it('says what it takes for granted, and less of it the more is said', () => {
    expect(lapAssumes(carWith())).toEqual(['sensitivity', 'differential', 'driver', 'springs', 'brakes'])
    const said = carWith((file, stageId) => {
      file.suspensions.push(sampleSuspension(stageId, newId()))
      file.brakes.push({ ...sampleBrakes(stageId, newId()), grip: 1.1 })
      file.lapBases.push(blankLapBasis(stageId, newId()))
    })
    expect(lapAssumes(said)).toEqual([])
    expect(said.geared!.run.brakeFront).toBeCloseTo(said.braking!.share, 9)
    expect(said.geared!.run.brakeUsed).toBe(0.95)
  })
  it('reads springs and bars: more roll stiffness in front takes more of the transfer there', () => {
    const share = (rate: number) =>
      carWith((file, stageId) => {
        file.suspensions.push(sampleSuspension(stageId, newId()))
        const sheet = sampleSetup(stageId, newId(), 1)
        file.setups.push({
          ...sheet,
          springs: { ...sheet.springs, front: { ...sheet.springs.front, main: rate } },
        })
      }).geared!.run.transferShare
    expect(share(160_000)).toBeGreaterThan(share(60_000))
  })
  it('takes the tyres of the set-up sheet, each axle its own', () => {
    const car = carWith((file, stageId) => {
      const sheet = sampleSetup(stageId, newId(), 1)
      const { front, rear } = sheet.tyres
      file.setups.push({ ...sheet, tyres: { front: { ...front, grip: 1.2 }, rear: { ...rear, grip: 1 } } })
    })
    expect(lapFacts(car, 1).frontOverRear).toBeCloseTo(1.2, 9)
  })
  it('counts what was fitted, in laps and nowhere else', () => {
    const fitted = (value: number) => (file: BuildFile, stageId: string) =>
      void file.lapBases.push({ ...blankLapBasis(stageId, newId()), gripFactor: { value, doubt: 0.02 } })
    expect(lapTimeOf(fitted(1.1))).toBeLessThan(lapTimeOf(fitted(1)))
    expect(carWith(fitted(1.1)).geared!.run.grip).toBe(carWith().geared!.run.grip)
    expect(lapDoubts(carWith(fitted(1.1))).grip).toBe(0.02)
  })
})

describe('a course that is drawn', () => {
  const points = Array.from({ length: 60 }, (_, i) => ({
    x: 80 * Math.cos((i * Math.PI) / 30),
    y: 80 * Math.sin((i * Math.PI) / 30),
    z: null,
  }))
  const circle = sampleCourse(newId(), {
    sections: [],
    line: { from: 'drawn', points, origin: null, closingError: null },
  })
  it('is the same lap as one that is typed, and its coarse line near to it', () => {
    const typed = sampleCourse(newId(), { sections: [{ length: 160 * Math.PI, radius: 80 }] })
    const { run } = carWith().geared!
    const [drawn, byHand] = [lapOf(run, circle), lapOf(run, typed)]
    // Points eight metres apart draw a circle whose bend wavers by a hundredth.
    expect(Math.abs(drawn.time / byHand.time - 1)).toBeLessThan(0.006)
    // Coarse pieces cut the arc short: laps by them are only compared with each other.
    expect(Math.abs(lapOf(run, circle, true).time / drawn.time - 1)).toBeLessThan(0.01)
  })
  it('is worked out once for a record, and cut into sectors that cover it', () => {
    const cut = { ...loop, sectors: [500, 200, 99_999] }
    expect(courseDrawn(cut)).toBe(courseDrawn(cut))
    const { sectors, length } = courseDrawn(cut)
    expect(sectors.map(([from, to]) => [Math.round(from), Math.round(to)])).toEqual([
      [0, 200],
      [200, 500],
      [500, Math.round(length)],
    ])
  })
  it('is the same drawing for the same line read anew, and another for another', () => {
    const again = structuredClone(loop)
    expect(courseDrawn(again)).toBe(courseDrawn(loop))
    expect(courseDrawn({ ...again, closed: !loop.closed })).not.toBe(courseDrawn(loop))
    // However many others were asked for meanwhile, it is drawn alike.
    const before = courseDrawn(loop)
    for (let i = 1; i <= 40; i += 1) courseDrawn({ ...loop, sectors: [i] })
    expect(courseDrawn(structuredClone(loop))).toEqual(before)
  })
  it('is driven once by the same car, finely and coarsely apart', () => {
    const { run } = carWith().geared!
    expect(lapOf(run, loop)).toBe(lapOf(run, loop))
    expect(lapOf(run, loop, true)).not.toBe(lapOf(run, loop))
    expect(lapOf({ ...run }, loop)).toEqual(lapOf(run, loop))
  })
  it('names a corner by what was put near to it, and counts the others', () => {
    const { corners } = courseDrawn({ ...loop, corners: [{ name: 'Crane', at: 420 }] })
    expect(corners.map((c) => c.name)).toEqual(['Crane', 'Corner 2'])
  })
  it('is slower where a stretch grips less', () => {
    const wet = { ...loop, stretches: [{ from: 380, to: 620, gradient: null, banking: 0, grip: 0.6 }] }
    const { run } = carWith().geared!
    expect(lapOf(run, wet).time).toBeGreaterThan(lapOf(run, loop).time + 1)
  })
})

describe('a lap that was driven', () => {
  it('belongs to its course by name, the quickest first, planned days left out', () => {
    const { stageId } = wholeCar()
    const day = (name: string, bestLap: number | null, planned = false) => sampleOuting(stageId, newId(), { name, bestLap, planned }) // prettier-ignore
    const outings = [
      day('LOOP, May', 41),
      day('Elsewhere', 30),
      day('Loop', 40),
      day('Loop, to come', 39, true),
    ]
    expect(lapsDriven(outings as never, loop).map((o) => o.bestLap)).toEqual([40, 41])
  })
  it('is met by the factor that is found for it, and by nothing where it is beyond reach', () => {
    const { run } = carWith().geared!
    const made = lapOf({ ...run, fittedGrip: 0.93 }, loop)
    expect(fitLap(run, loop, { lap: made.time, topSpeed: null })!.grip.value).toBeCloseTo(0.93, 3)
    const stronger = lapOf({ ...run, fittedGrip: 0.93, fittedPower: 1.08 }, loop)
    const both = fitLap(run, loop, { lap: stronger.time, topSpeed: stronger.fastest })!
    expect(both.grip.value).toBeCloseTo(0.93, 2)
    expect(both.power!.value).toBeCloseTo(1.08, 2)
    expect(fitLap(run, loop, { lap: 5, topSpeed: null })).toBeNull()
  })
})

describe('what is planned and traded', () => {
  it('is each open swap with its kilos where they sit, and nothing that is fitted', () => {
    const { file, stageId } = wholeCar()
    const car = carAt(documentFrom(file), stageId)
    const planned = plannedChanges(car, [])
    for (const change of planned) {
      const axles = axleCarOf(car.geared!.run)
      expect(change.made(axles).mass - axles.mass).toBeCloseTo(change.mass, 9)
    }
    for (const line of file.lines) line.fitted = true
    expect(plannedChanges(carAt(documentFrom(file), stageId), [])).toEqual([])
  })
  it('turns one thing only, the car as it is among them', () => {
    const axles: AxleCar = { ...axleCarOf(carWith().geared!.run), downforce: { front: 0.3, rear: 0.6 } }
    const final = finalDriveLine(axles)!
    expect(final.values[20]).toBeCloseTo(axles.drive.kind === 'gears' ? axles.drive.finalDrive : 0, 9)
    const shifts = shiftTimeLine(axles)!
    expect(shifts.values[0]).toBeLessThan(0.05)
    for (const [i, one] of shifts.cars.entries())
      expect(one).toEqual({ ...axles, drive: { ...axles.drive, shiftTime: shifts.values[i] } })
    expect(shiftTimeLine({ ...axles, drive: { kind: 'power', power: 1e5 } })).toBeNull()
    const share = downforceShareLine(axles)!
    for (const car of share.cars) expect(car.downforce.front + car.downforce.rear).toBeCloseTo(0.9, 9)
    const { lap } = courseDrawn(loop)
    const time = (car: AxleCar) => lapTime(car, lap).time
    const laps = powerLine(axles).cars.map(time)
    expect(laps.at(-1)!).toBeLessThan(laps[0]!)
    const masses = massLine(axles)
    const kilos = kilosFor(laps, { values: masses.values, laps: masses.cars.map(time) })
    expect(kilos[0]).toBe(0)
    expect(kilos[1]!).toBeGreaterThan(0)
  })
})
