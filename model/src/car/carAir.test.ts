import { axleCarOf, QUARTER_MILE, lapTime, straightLine } from '@bold-ballast/core'
import { describe, expect, it } from 'vitest'
import type { BuildFile } from '@bold-ballast/contract'
import { sampleDrive, sampleElement } from '@bold-ballast/contract/sampleBuild'
import { carAir } from './carAir'
import { figuresOf, wholeCar } from '../testing/wholeCar'

const newId = () => crypto.randomUUID()

/** A car that can run, changed as a test wants it. It comes with a splitter of 0.48 m² that drags 0.05. */
function runningCar(change: (file: BuildFile) => void = () => undefined) {
  const { file } = wholeCar()
  change(file)
  const { car } = figuresOf(file)
  const air = (drive = sampleDrive(), build = car.build) => carAir(build, car.aero, drive)
  return { car: car.geared!, air, build: car.build }
}
const bare = (file: BuildFile) => void (file.aeroElements = [])
const quarter = ({ car }: ReturnType<typeof runningCar>) =>
  straightLine(car.run, { speeds: [], distances: [QUARTER_MILE] }).toDistance[0]!

describe('carAir', () => {
  it('takes the typed drag for the car without wings, and adds theirs', () => {
    expect(runningCar(bare).air().dragArea).toBeCloseTo(0.7, 9)
    expect(runningCar().air().dragArea).toBeCloseTo(0.7 + 0.48 * 0.05, 9)
  })
  it('takes a body of the sheet for the whole car, and the typed drag for nothing then', () => {
    const { air } = runningCar((file) =>
      file.aeroElements.push({
        ...sampleElement(file.stages[0]!.id, newId(), 1),
        kind: 'body',
        span: 1,
        chord: 2,
        drag: 0.4,
        lift: 0,
        panel: null,
        mount: null,
      }),
    )
    expect(air().dragArea).toBeCloseTo(0.8 + 0.48 * 0.05, 9)
    expect(air({ ...sampleDrive(), dragArea: 0.1 })).toEqual(air())
  })
  it('puts typed downforce on the driven axle, half on each where all are driven', () => {
    const { air, build } = runningCar(bare)
    const at = (layout: 'front' | 'rear' | 'all') => {
      const { front, rear } = air({ ...sampleDrive(), axleDownforce: 1 }, { ...build, layout })
      return [front, rear]
    }
    expect([at('front'), at('rear'), at('all')]).toEqual([
      [1, 0],
      [0, 1],
      [0.5, 0.5],
    ])
  })
  it('is what runs and laps are driven on: 0.2 m² more of drag slows both', () => {
    const slowed = runningCar((file) => void (file.aeroElements[0]!.drag += 0.2 / 0.48))
    const before = runningCar()
    expect(slowed.car.load.dragArea).toBeCloseTo(before.car.load.dragArea + 0.2, 9)
    expect(quarter(slowed).time).toBeGreaterThan(quarter(before).time)
    expect(quarter(slowed).speed).toBeLessThan(quarter(before).speed)
    const corner = { length: 200, radius: 60 }
    const sections = [{ length: 800, radius: null }, corner]
    const lap = ({ car }: typeof before) => lapTime(axleCarOf(car.run), { sections, closed: true }).time
    expect(lap(slowed)).toBeGreaterThan(lap(before))
  })
})

describe('a car pulled on a roller that measures by inertia', () => {
  const pulledOn = (more: object) => runningCar((file) => void Object.assign(file.dynoDays[0]!, more))
  it('knows the gear it was pulled in, or takes the one nearest to one to one', () => {
    const gear = (more: object) => pulledOn(more).car.run.inertiaPulledIn
    expect(gear({ kind: 'rollerInertia', gear: 3 })).toBe(2)
    expect(gear({ kind: 'rollerInertia', gear: null })).toBe(3)
    expect(gear({ kind: 'rollerInertia', gear: 9 })).toBe(3)
    expect(gear({ kind: 'hub', gear: 3 })).toBeNull()
  })
  it('isn’t taxed for its inertia twice: it is quicker than with the same curve off hubs', () => {
    expect(quarter(pulledOn({ kind: 'rollerInertia' })).time).toBeLessThan(
      quarter(pulledOn({ kind: 'hub' })).time,
    )
  })
})
