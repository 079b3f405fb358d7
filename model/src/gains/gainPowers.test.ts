import { describe, expect, it } from 'vitest'
import { stageNamed, type BuildFile } from '@bold-ballast/contract'
import {
  sampleDynoDay,
  sampleInstrument,
  sampleLine,
  samplePull,
  sampleSwap,
} from '@bold-ballast/contract/sampleBuild'
import { gainChanges } from './gainChanges'
import { isSameDyno } from './dynosBetween'
import { gainPowers } from './gainPowers'
import { carsOf } from '../car/carAt'
import { figuresOf, wholeCar } from '../testing/wholeCar'

const newId = () => crypto.randomUUID()

/** Two stages, the second pulled on another day with a tenth more. */
function twoStages(secondDyno = 'Sample hubs') {
  const { file } = wholeCar()
  const second = stageNamed('Second', 1, newId())
  const day = { ...sampleDynoDay(second.id, newId()), date: '2026-06-02', dyno: secondDyno }
  file.stages.push(second)
  file.dynoDays.push(day)
  const [pull] = file.pulls
  const points = pull!.points!.map((p) => ({ ...p, torque: 1.1 * p.torque }))
  file.pulls.push({ ...pull!, id: newId(), dynoDayId: day.id, points })
  return { file, second, day }
}
const found = (file: BuildFile) => {
  const { document, summaries } = figuresOf(file)
  const [before, after] = carsOf(document)
  const powers = gainPowers(before!, after!)
  return { powers, changes: gainChanges(before!, after!), before: before!, after: after!, summaries }
}

describe('gainPowers', () => {
  it('subtracts on one dyno, and leaves its own error out of the difference', () => {
    const { powers, summaries } = found(twoStages().file)
    if (powers.kind !== 'found') throw new Error(powers.kind)
    expect(powers.powers.ratio).toBe(1)
    expect(powers.powers.after.value / powers.powers.before.value).toBeCloseTo(1.1, 6)
    const own = { ...sampleInstrument(newId()), name: 'Sample hubs', kind: 'dyno' as const, ownError: 0.2 }
    const { file } = twoStages()
    file.instruments.push({ ...own, betweenDays: 0.01 })
    const doubtful = found(file)
    if (doubtful.powers.kind !== 'found') throw new Error(doubtful.powers.kind)
    expect(doubtful.summaries[1]!.measuredPower!.power.sigma).toBeGreaterThan(
      2 * summaries[1]!.measuredPower!.power.sigma,
    )
    // All but a fifth of the tenth that it gained.
    const gained = powers.powers.difference.value
    const withOwn = (kept: number) => Math.hypot(kept, 0.2 * gained)
    const plain = Math.sqrt(powers.powers.difference.sigma ** 2 - (0.03 * gained) ** 2)
    expect(doubtful.powers.powers.difference.sigma).toBeCloseTo(withOwn(plain), 6)
  })
  it('takes a dyno for the same however its name is written', () => {
    expect(isSameDyno({ dyno: 'Yard hubs', kind: 'hub' }, { dyno: ' yard HUBS', kind: 'hub' })).toBe(true)
    expect(isSameDyno({ dyno: 'Yard hubs', kind: 'hub' }, { dyno: 'Yard hubs', kind: 'rollerLoaded' })).toBe(
      false,
    )
  })
  it('refuses figures of two dynos that nobody bridged, and says which', () => {
    const { powers, changes } = found(twoStages('Other rollers').file)
    expect(powers).toMatchObject({
      kind: 'twoDynos',
      dynos: [{ dyno: 'Sample hubs' }, { dyno: 'Other rollers' }],
    })
    expect(changes).toBeNull()
  })
  it('brings the earlier figure to the later dyno over a bridge', () => {
    const { file, day } = twoStages('Other rollers')
    // The same car on both: the rollers read a twentieth less.
    const [first] = file.dynoDays
    const third = { ...sampleDynoDay(file.stages[0]!.id, newId()), date: '2026-05-03', dyno: day.dyno }
    file.dynoDays.push(third)
    const peak = { ...samplePull(third.id, newId()), configuration: 'as bridged', peakPower: 95e3 }
    file.pulls.push(peak, { ...peak, id: newId(), dynoDayId: first!.id, peakPower: 100e3 })
    const configuration = 'as bridged'
    file.build.bridges.push({
      id: newId(),
      firstDayId: first!.id,
      secondDayId: third.id,
      note: '',
      firstConfiguration: configuration,
      secondConfiguration: configuration,
    })
    const { powers, changes } = found(file)
    if (powers.kind !== 'found') throw new Error(powers.kind)
    expect(powers.powers.ratio).toBeCloseTo(0.95, 6)
    expect(changes!.before.power).toBeCloseTo(powers.powers.before.value, 9)
    // The curve that runs are driven on crosses the same bridge.
    const known = found(twoStages().file).changes!.before.run!.curve
    expect(changes!.before.run!.curve[3]!.torque).toBeCloseTo(0.95 * known[3]!.torque, 6)
  })
  it('knows no gain where a power is missing', () => {
    const { file } = twoStages()
    file.pulls = []
    expect(found(file).powers.kind).toBe('noPower')
  })
  it('splits the car that stands where both were pulled, and the finished one when asked', () => {
    const { file, second } = twoStages()
    const swap = sampleSwap(second.id, newId(), 1)
    const part = { ...sampleLine(swap.id, newId(), 1), kind: 'on' as const, mass: 8 }
    file.swaps.push(swap)
    file.lines.push(part, { ...part, id: newId(), order: 3, mass: 30, fitted: false })
    const { changes, before, after } = found(file)
    const massOf = (all: typeof changes) => all!.changes.find((c) => c.id === swap.id)!.mass
    expect(massOf(changes)).toBe(8)
    expect(massOf(gainChanges(before, after, null, 'finished'))).toBe(38)
  })
})
