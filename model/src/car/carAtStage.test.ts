import { shapleyExact, worthWith } from '@bold-ballast/core'
import { describe, expect, it } from 'vitest'
import { stageNamed, type BuildFile } from '@bold-ballast/contract'
import {
  sampleDrive,
  sampleElement,
  sampleLine,
  samplePull,
  sampleSwap,
} from '@bold-ballast/contract/sampleBuild'
import { gainChanges } from '../gains/gainChanges'
import { carsOf } from './carAt'
import { standingCurve } from './standingCurve'
import { runningCar } from './runningCar'
import { figuresOf, wholeCar } from '../testing/wholeCar'

const newId = () => crypto.randomUUID()
const COURSE = {
  closed: true,
  sections: [
    { length: 400, radius: null },
    { length: 80, radius: 35 },
    { length: 300, radius: null },
    { length: 90, radius: 60 },
  ],
}
/** A second stage after the whole car's first. */
function twoStages(): { file: BuildFile; first: string; second: string } {
  const { file, stageId } = wholeCar()
  const stage = stageNamed('Second', 1, newId())
  file.stages.push(stage)
  return { file, first: stageId, second: stage.id }
}
const carOf = (file: BuildFile, at = 0) => {
  const { car: whole, summaries } = figuresOf(file, at)
  return { whole, car: whole.geared, missing: whole.lacks, summaries }
}

describe('standingCurve', () => {
  it('is the mean of the pulls that stand, and of all where none does', () => {
    const { file } = wholeCar()
    const [pull] = file.pulls
    const louder = pull!.points!.map((p) => ({ ...p, torque: p.torque + 20 }))
    file.pulls.push({ ...pull!, id: newId(), points: louder, standsForStage: false })
    const torque = (standing: boolean) => {
      file.pulls[0]!.standsForStage = standing
      const { document, summaries } = figuresOf(file)
      return standingCurve(document, summaries)!.curve[5]!.torque
    }
    expect(torque(false) - torque(true)).toBeCloseTo(10, 6)
  })
  it('is of the newest stage before, where a stage has none, and nothing where nobody pulled', () => {
    const { file, first } = twoStages()
    const { document, summaries } = figuresOf(file, 1)
    expect(standingCurve(document, summaries)!.stageId).toBe(first)
    file.pulls = []
    const none = figuresOf(file, 1)
    expect(standingCurve(none.document, none.summaries)).toBeNull()
  })
})

describe('gearedCar', () => {
  it('says what is missing: gears first, then a curve', () => {
    const { file } = wholeCar()
    file.pulls = []
    expect(carOf(file)).toMatchObject({ car: null, missing: 'curve' })
    file.drivetrains = []
    expect(carOf(file)).toMatchObject({ car: null, missing: 'gears' })
  })
  it('keeps a curve’s shape and brings it to the power that a later stage plans', () => {
    const { file } = twoStages()
    const pulled = figuresOf(file).summaries[0]!.measuredPower!.power.value
    file.stages[1]!.plannedWheelPower = pulled * 1.2
    const [before, after] = [carOf(file, 0).car!, carOf(file, 1).car!]
    expect(before.curveOf.planned).toBeNull()
    expect(after.curveOf.planned).toBeCloseTo(pulled * 1.2, 6)
    after.curve.forEach((p, i) => expect(p.torque / before.curve[i]!.torque).toBeCloseTo(1.2, 9))
  })
  it('puts the driver in, and loads the axle that drives', () => {
    const { file } = wholeCar()
    file.build.driverMass = 84
    file.build.reference.driver = 0
    const { car, summaries } = carOf(file)
    expect(car!.load.mass).toBeCloseTo(summaries[0]!.mass.value + 84, 9)
    file.build.layout = 'front'
    // The driver sits in the seat, and shifts the mass there.
    const { mass, centre } = summaries[0]!.asFitted
    const x = (mass.value * centre.x.value + 84 * file.build.seat.x) / (mass.value + 84)
    const share = 1 - x / file.build.wheelbase
    expect(carOf(file).car!.axle.share).toBeCloseTo(share, 9)
    file.build.layout = 'rear'
    expect(carOf(file).car!.axle.share).toBeCloseTo(1 - share, 9)
  })
})

describe('runningCar and the car of a lap', () => {
  it('are the same car, with what the air presses on each axle', () => {
    const { file } = wholeCar()
    const { whole, car } = carOf(file)
    const lap = car!.run
    const run = runningCar(whole, car!.drive, car!.curve, car!.day)
    const { downforceFront, downforceRear } = lap
    expect(lap).toEqual(run)
    // A splitter ahead of the front axle presses the front and lifts the rear a little.
    expect(downforceFront).toBeGreaterThan(0)
    expect(downforceRear).toBeLessThan(0)
  })
  it('take what was typed with the gears where there is no sheet, to the axle it was typed for', () => {
    const { file } = wholeCar()
    file.aeroElements = []
    file.drivetrains[0]!.drive = { ...sampleDrive(), axleDownforce: 0.4 }
    const of = (layout: BuildFile['build']['layout']) => {
      file.build.layout = layout
      const { downforceFront, downforceRear } = carOf(file).car!.run
      return [downforceFront, downforceRear]
    }
    expect(of('rear')).toEqual([0, 0.4])
    expect(of('front')).toEqual([0.4, 0])
    expect(of('all')).toEqual([0.2, 0.2])
  })
  it('are none without gears', () => {
    const { file } = wholeCar()
    file.drivetrains = []
    expect(carOf(file).car).toBeNull()
  })
})

describe('gainChanges', () => {
  /** A second stage: lighter, stronger, other gears, and a wing. */
  const changed = () => {
    const { file, first, second } = twoStages()
    const swap = { ...sampleSwap(second, newId()), name: 'Doors' }
    file.swaps.push(swap)
    file.lines.push({
      ...sampleLine(swap.id, newId()),
      kind: 'off',
      mass: 30,
      fitted: true,
      grade: 'measured',
    })
    const day = { ...file.dynoDays[0]!, id: newId(), stageId: second }
    file.dynoDays.push(day)
    const points = file.pulls[0]!.points!.map((p) => ({ ...p, torque: p.torque * 1.15 }))
    file.pulls.push({ ...samplePull(day.id, newId()), source: 'file', points, standsForStage: true })
    const drive = { ...sampleDrive(), finalDrive: 4.6, grip: 1.3 }
    file.drivetrains.push({ id: newId(), stageId: second, drive, note: '' })
    file.aeroElements.push({ ...sampleElement(second, newId(), 1), x: 2.6, z: 1.1 })
    return { file, first, second, swap }
  }
  const splitOf = (file: BuildFile) => {
    const [before, after] = carsOf(figuresOf(file, 1).document)
    return gainChanges(before!, after!, COURSE)!
  }
  it('names swaps by their ids, and what else changed by what it is', () => {
    const { file, swap } = changed()
    const split = splitOf(file)
    expect(split.runLacks).toBeNull()
    expect(split.changes.map((c) => c.id)).toEqual([
      swap.id,
      'power',
      'gears',
      'grip',
      'drag',
      'downforce',
      'sits',
      'springs',
      'brakes',
    ])
    expect(split.changes[0]!.mass).toBeCloseTo(-30, 9)
  })
  it.each(['powerToWeight', 'quarterMile', 'lap'] as const)(
    'leads from the first car to the second in %s, and is split among them without rest',
    (measure) => {
      const { file } = changed()
      const { before, changes } = splitOf(file)
      const worth = (isIn: boolean) =>
        worthWith(
          before,
          changes,
          changes.map(() => isIn),
          measure,
        )
      const table = Array.from({ length: 2 ** changes.length }, (_, set) =>
        worthWith(
          before,
          changes,
          changes.map((_c, i) => Boolean(set & (1 << i))),
          measure,
        ),
      )
      const shares = shapleyExact(changes.length, table)
      expect(shares.reduce((sum, s) => sum + s, 0)).toBeCloseTo(worth(true) - worth(false), 9)
      if (measure === 'powerToWeight') {
        const { summaries } = figuresOf(file, 1)
        const now = summaries[1]!
        expect(worth(true)).toBeCloseTo(now.measuredPower!.power.value / now.mass.value, 6)
      } else expect(worth(true)).toBeLessThan(worth(false))
    },
  )
  const onScales = (
    file: BuildFile,
    stageId: string,
    mass: number,
    more: Partial<BuildFile['weighIns'][number]> = {},
  ) => {
    const corner = mass / 4
    file.weighIns.push({
      id: newId(),
      stageId,
      date: '2026-05-01',
      resolution: 0.5,
      accuracy: 0.001,
      note: '',
      readings: {
        method: 'fourPads',
        corners: { frontLeft: corner, frontRight: corner, rearLeft: corner, rearRight: corner },
      },
      condition: file.build.reference,
      checklist: null,
      tyrePressures: null,
      scale: '',
      ...more,
    })
  }
  it('gives what scales found beside the books a share of its own', () => {
    const { file, second } = changed()
    const { summaries } = figuresOf(file, 1)
    onScales(file, second, summaries[1]!.mass.value + 8)
    const scales = splitOf(file).changes.find((c) => c.id === 'scales')!
    expect(scales.mass).toBeCloseTo(8, 6)
  })
  it('knows what one scale found between two weighings better than what two scales did', () => {
    const found = (scale: string) => {
      const { file, second } = changed()
      const { summaries } = figuresOf(file, 1)
      onScales(file, file.stages[0]!.id, summaries[0]!.mass.value, { scale: 'Yard pads' })
      onScales(file, second, summaries[1]!.mass.value + 8, { scale })
      const { mass, doubt } = splitOf(file).changes.find((c) => c.id === 'scales')!
      return doubt! * Math.abs(mass)
    }
    const [one, two] = [found('yard pads'), found('Others')]
    expect(one).toBeLessThan(two)
    // A tenth of a per cent of a tonne, twice.
    expect(Math.sqrt(two ** 2 - one ** 2)).toBeGreaterThan(1)
  })
  it('has nothing to split where a stage has no power', () => {
    const { file } = twoStages()
    file.pulls = []
    for (const stage of file.stages) stage.plannedWheelPower = null
    const [before, after] = carsOf(figuresOf(file, 1).document)
    expect(gainChanges(before!, after!)).toBeNull()
  })
})
