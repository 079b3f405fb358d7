import { applyEdits, type BuildDocument, type Edit } from '@bold-ballast/contract'
import {
  documentFrom,
  sampleBrakes,
  sampleElement,
  sampleSetup,
  sampleSuspension,
} from '@bold-ballast/contract/sampleBuild'
import { rideFrequency, STANDARD_GRAVITY } from '@bold-ballast/core'
import { describe, expect, it } from 'vitest'
import { carAt } from '../car/carAt'
import { geometryOf } from '../car/geometryOf'
import { foldBuild } from '../ledger/foldBuild'
import { markFigures } from '../marks/markFigures'
import { askedFor, wholeCar } from '../testing/wholeCar'
import { stageNamed } from '@bold-ballast/contract'
import { balanceChanges } from './balanceChanges'
import { brakeFigures, padsOff, shareCurve, withAlternative } from './brakeFigures'
import { dampingShare } from './carStance'
import { gapsAlong, keepGap, leastGap, stopsFrom } from './gapsAlong'

const newId = () => crypto.randomUUID()
const put = (kind: Edit['kind'], record: object) =>
  ({ op: 'put', kind, record: { ...record, version: 1 } }) as Edit

/** A whole car with two stages. */
function twoStages() {
  const { file, stageId } = wholeCar()
  const second = newId()
  file.stages.push(stageNamed('Second', 1, second))
  return { document: documentFrom(file), stageId, second }
}
const suspended = (document: BuildDocument, stageId: string, more: object = {}) =>
  applyEdits(document, [put('suspension', { ...sampleSuspension(stageId, newId()), ...more })])

describe('geometry by stage', () => {
  const { document, stageId, second } = twoStages()
  const { tank, seat, trackFront, trackRear, wheelbase } = document.build
  const shortened = applyEdits(document, [
    put('geometry', {
      id: newId(),
      stageId: second,
      wheelbase: wheelbase - 0.08,
      trackFront: trackFront + 0.02,
      trackRear,
      tank: { ...tank, x: tank.x - 0.08 },
      seat,
      cut: { at: 1.5, by: 0.08, behind: null },
      note: '',
    }),
  ])
  it('holds from its stage on, and leaves the stages before as they were', () => {
    const [before, after] = [carAt(shortened, stageId), carAt(shortened, second)]
    expect(before.build.wheelbase).toBe(wheelbase)
    expect(after.build.wheelbase).toBeCloseTo(wheelbase - 0.08)
    expect(after.build.trackFront).toBeCloseTo(trackFront + 0.02)
    expect(before.centre.x.value).toBeCloseTo(carAt(document, stageId).centre.x.value, 9)
    expect(before.summary.mass.value).toBe(carAt(document, stageId).summary.mass.value)
  })
  it('brings what sits behind the cut forward, and keeps its mass', () => {
    const at = (file: BuildDocument) => foldBuild(file).summaries[1]!.asFitted
    expect(at(shortened).mass.value).toBeCloseTo(at(document).mass.value, 9)
    expect(at(shortened).centre.x.value).toBeLessThan(at(document).centre.x.value)
    expect(at(shortened).centre.y.value).toBeCloseTo(at(document).centre.y.value, 9)
    const geometry = geometryOf(shortened, foldBuild(shortened).stages)!
    expect(geometry.movedTo(2, stageId, second)).toBeCloseTo(1.92)
    expect(geometry.movedTo(1.4, stageId, second)).toBe(1.4)
    // What was measured after the cut stays where it was measured.
    expect(geometry.movedTo(2, second, second)).toBe(2)
  })
  it('has none where nobody typed any', () => {
    expect(geometryOf(document, foldBuild(document).stages)).toBeNull()
  })
})

describe('a car on its springs', () => {
  const { document, stageId, second } = twoStages()
  const sprung = suspended(document, stageId)
  it('has the rates, ratios and bars of its stage, carried on', () => {
    const { stance } = carAt(sprung, second)
    expect(stance.from).toBe('suspension')
    expect(stance.front.wheel.value).toBeCloseTo(60_000 * 0.8 ** 2)
    expect(stance.front.ride.value).toBeCloseTo(
      rideFrequency(stance.front.wheel.value, stance.front.sprung.value),
      9,
    )
    expect(stance.front.barIs).toBe('on')
    expect(stance.front.bar.value).toBeGreaterThan(0)
    // A guess of the ratio counts twice in the rate.
    expect(stance.front.wheel.sigma / stance.front.wheel.value).toBeGreaterThan(0.09)
  })
  it('stands on its set-up sheet: springs, a bar that is off, packers, tyres, wings', () => {
    const { front, rear, ...rest } = sampleSuspension(stageId, newId())
    const rubber = { gap: 0.02, points: [{ travel: 0.02, force: 3000 }] }
    const damper = { name: 'D', points: [{ clicks: 0, bump: 3000, rebound: 5000 }] }
    const based = applyEdits(document, [
      put('suspension', { ...rest, front: { ...front, rubber, damper }, rear }),
    ])
    const blank = sampleSetup(second, newId(), 1)
    const onSheet = applyEdits(based, [
      put('setup', {
        ...blank,
        springs: { ...blank.springs, front: { main: 90_000, helper: null, preload: null } },
        bars: { front: { isOn: true, setting: '2' }, rear: { isOn: false, setting: '' } },
        packers: { front: 0.006, rear: null },
        dampers: { ...blank.dampers, frontLeft: { ...blank.dampers.frontLeft, bump: 4 } },
        tyres: { front: blank.tyres.front, rear: { ...blank.tyres.rear, grip: 0.9 } },
      }),
    ])
    const [before, after] = [carAt(onSheet, stageId), carAt(onSheet, second)]
    expect(before.setup).toBeNull()
    expect(after.setup?.value.order).toBe(1)
    expect(after.stance.front.spring.value).toBe(90_000)
    expect(after.build.springs?.front.springRate).toBe(90_000)
    expect(after.stance.front.bar.value).toBeGreaterThan(before.stance.front.bar.value)
    expect(after.stance.rear.barIs).toBe('off')
    expect(after.stance.rear.bar.value).toBe(0)
    expect(after.stance.front.corner.rubber?.gap).toBeCloseTo(0.014)
    expect(dampingShare(after.stance.front, 'bump')).toBeGreaterThan(0)
    expect(dampingShare(after.stance.front, 'rebound')).toBeNull()
    // Grip of the driven tyres reaches everything that runs.
    expect(after.gears?.value.grip).toBe(0.9)
    expect(after.geared?.run.grip).toBe(0.9)
  })
  it('takes the height that tilting showed', () => {
    const tilted = applyEdits(sprung, [
      put('tiltTest', {
        id: newId(),
        stageId,
        date: '2026-05-02',
        raised: 'rear',
        mass: 1200,
        radius: 0.3,
        tilts: [{ lift: 0.3, gain: 20 }],
        gainSigma: 0.5,
        liftSigma: 0.002,
        note: '',
      }),
    ])
    const [ledger, tilt] = [carAt(sprung, stageId), carAt(tilted, stageId)]
    expect(ledger.heightFrom).toBe('ledger')
    expect(tilt.heightFrom).toBe('tilt')
    expect(tilt.stance.rollCar.centre.z).not.toBeCloseTo(ledger.stance.rollCar.centre.z, 2)
    expect(tilt.stance.rollSigma.centre.z).toBeLessThan(0.02)
  })
  it('is asked about everything that may be turned, each once', () => {
    const car = carAt(sprung, stageId)
    const asked = balanceChanges(car.stance, car.suspension?.value ?? null)
    expect(new Set(asked.map((a) => a.key)).size).toBe(asked.length)
    expect(asked.map((a) => a.key)).toEqual(expect.arrayContaining(['rear bar off', 'front bar 2', 'height']))
    expect(asked.some((a) => a.key === 'front bar 1')).toBe(false)
  })
})

describe('the gap along speed', () => {
  const { document, stageId } = twoStages()
  const { front, rear, ...rest } = sampleSuspension(stageId, newId())
  const rubber = { gap: 0.03, points: [{ travel: 0.005, force: 1500 }] }
  const low = { ...sampleElement(stageId, newId()), lift: 2.4, z: 0.11 }
  const built = applyEdits(document, [
    put('suspension', { ...rest, front: { ...front, rubber }, rear }),
    put('aeroElement', low),
    put('attitude', {
      id: newId(),
      stageId,
      pitch: 0,
      roll: 0,
      bump: 0,
      braking: 0,
      cornering: 0,
      wheelRate: null,
      note: '',
    }),
  ])
  const car = carAt(built, stageId)
  it('falls with speed, and says from where a rubber carries', () => {
    const gaps = gapsAlong(car, [0, 20, 40, 60, 80])
    for (let i = 1; i < gaps.length; i += 1) expect(gaps[i]!.gap).toBeLessThan(gaps[i - 1]!.gap)
    expect(stopsFrom(gapsAlong(car, [0, 40, 80, 120]), 'front')?.on).toBe('rubber')
    expect(stopsFrom(gaps.slice(0, 2), 'front')).toBeNull()
  })
  it('is kept by the packer or the spring that is named, and hardly by less', () => {
    const speed = 70
    const wanted = leastGap(car, speed)!.gap + 0.004
    const kept = keepGap(car, 'front', wanted, speed)
    const withPacker = (packer: number) => {
      const { corner } = car.stance.standing.front
      const packed = { ...corner, rubber: { ...corner.rubber!, gap: corner.rubber!.gap - packer } }
      const standing = { ...car.stance.standing, front: { ...car.stance.standing.front, corner: packed } }
      return leastGap(
        { ...car, aero: car.aero, airDensity: car.airDensity, stance: { ...car.stance, standing } },
        speed,
      )!.gap
    }
    expect(withPacker(kept.packer!)).toBeCloseTo(wanted, 5)
    expect(withPacker(kept.packer! - 0.001)).toBeLessThan(wanted)
    expect(kept.spring).toBeGreaterThan(car.stance.front.spring.value)
    expect(kept.ride.withSpring).toBeGreaterThan(kept.ride.now)
    expect(keepGap(car, 'front', 0.5, speed)).toMatchObject({ packer: null, spring: null })
  })
  it('is nothing for a car with nothing low', () => {
    const bare = carAt(document, stageId)
    expect(leastGap({ ...bare, aero: { ...bare.aero, elements: [] } } as never, 60)).toBeNull()
  })
})

describe('brakes of a car', () => {
  const { document, stageId } = twoStages()
  const braked = applyEdits(suspended(document, stageId), [put('brakes', sampleBrakes(stageId, newId()))])
  const car = carAt(braked, stageId)
  const brakes = car.brakes!.value
  it('say which axle locks first, how sure, and what bar puts it right', () => {
    const figures = brakeFigures(car, brakes, 0)!
    expect(figures.first).toBe('rear')
    expect(figures.margin).toBeLessThan(0)
    expect(figures.rearFirst).toBeGreaterThan(0.5)
    const right = brakeFigures(
      car,
      { ...brakes, barShare: figures.idealBar, barMost: 0.9, barLeast: 0.1 },
      0,
    )!
    expect(Math.abs(right.margin)).toBeLessThan(0.5)
    expect(right.efficiency).toBeGreaterThan(0.98)
    expect(figures.reaches).toBe(figures.idealBar <= 0.6)
  })
  it('stop harder with the air, and take the set-up sheet’s bar', () => {
    const slow = brakeFigures(car, brakes, 0)!
    const wing = {
      ...sampleElement(stageId, newId(), 3),
      kind: 'spoiler' as const,
      x: 2.6,
      panel: null,
      lift: 4,
      span: 1.5,
      chord: 0.4,
    }
    const winged = carAt(applyEdits(braked, [put('aeroElement', wing)]), stageId)
    const fast = brakeFigures(winged, brakes, 60)!
    expect(fast.locks.front!.deceleration).toBeGreaterThan(slow.locks.front!.deceleration)
    const sheet = { ...sampleSetup(stageId, newId(), 1), brakeBar: 0.58 }
    const barred = carAt(applyEdits(braked, [put('setup', sheet)]), stageId)
    expect(brakeFigures(barred, brakes, 0)!.bar).toBe(0.58)
  })
  it('heat over the lap, and say when a pad is off its window', () => {
    const figures = brakeFigures(car, brakes, 0)!
    expect(figures.discs.front!.settled).toHaveLength(2)
    expect(figures.discs.front!.hottest).toBeGreaterThan(figures.discs.front!.coldest)
    const cold = brakeFigures(car, { ...brakes, front: { ...brakes.front, padFrom: 800 } }, 0)!
    expect(cold.discs.front!.window).toBe('below')
    expect(padsOff(cold)).toBeGreaterThan(0)
    expect(padsOff(brakeFigures(car, { ...brakes, stops: [] }, 0)!)).toBeNull()
  })
  it('stand beside an alternative, and follow a curve that ends at the grip', () => {
    const other = { axle: 'rear' as const, brakes: { ...brakes.rear, pistons: [{ diameter: 0.024 }] } }
    const less = brakeFigures(car, withAlternative(brakes, other), 0)!
    expect(less.share).toBeGreaterThan(brakeFigures(car, brakes, 0)!.share)
    const curve = shareCurve(less)
    expect(curve.at(-1)!.deceleration / STANDARD_GRAVITY).toBeCloseTo(1.2, 6)
    for (let i = 1; i < curve.length; i += 1) expect(curve[i]!.ideal).toBeGreaterThan(curve[i - 1]!.ideal)
  })
  it('have nothing to say where nobody knows the grip', () => {
    expect(
      brakeFigures({ ...car, gears: null, setup: null } as never, { ...brakes, grip: null }, 0),
    ).toBeNull()
  })
  it('give their marks figures that point and never show', () => {
    for (const measure of [
      'transferShare',
      'rideFront',
      'rideRear',
      'brakingEfficiency',
      'lockMargin',
      'padOff',
    ] as const) {
      const { value, evidence } = markFigures(car, askedFor(measure))
      expect(value, measure).not.toBeNull()
      expect(evidence).toBe(false)
      // Without springs and brakes there is none.
      expect(markFigures(carAt(document, stageId), askedFor(measure)).value, measure).toBeNull()
    }
  })
})
