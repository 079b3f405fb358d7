import { describe, expect, it } from 'vitest'
import { sampleInstrument, sampleLine } from '@bold-ballast/contract/sampleBuild'
import { countedLines } from './countedLines'
import { dynoErrors, instrumentNamed } from './instrumentNamed'
import { massWithDriver } from '../car/massWithDriver'
import { readTypedWeighIn } from './readTypedWeighIn'
import { figuresOf, wholeCar } from '../testing/wholeCar'

const newId = () => crypto.randomUUID()
const instrument = (more: object = {}) => ({ ...sampleInstrument(newId()), version: 1, ...more })

describe('instrumentNamed', () => {
  const pads = instrument({ name: 'Yard pads' })
  const hubs = instrument({ name: 'Yard hubs', kind: 'dyno', ownError: 0.03, betweenDays: null })
  it('finds it by its name, whatever the capitals and blanks, among its kinds', () => {
    expect(instrumentNamed([pads, hubs], ' yard PADS ', ['pads', 'weighbridge'])).toBe(pads)
    expect(instrumentNamed([pads, hubs], 'Yard pads', ['dyno'])).toBeNull()
    expect(instrumentNamed([pads, hubs], '', ['pads'])).toBeNull()
  })
  it('takes what is usual for what nobody noted of a dyno', () => {
    const usual = dynoErrors([], { dyno: 'Yard hubs' })
    expect(dynoErrors([hubs], { dyno: 'Yard hubs' })).toEqual({ ...usual, ownError: 0.03 })
    expect(usual.ownError).toBeGreaterThan(0)
  })
})

describe('an instrument with an error of its own', () => {
  const corners = { frontLeft: 310, frontRight: 300, rearLeft: 290, rearRight: 300 }
  const weighed = (ownError: number | null, times = 1) => {
    const { file, stageId } = wholeCar()
    if (ownError !== null) file.instruments.push({ ...sampleInstrument(newId()), ownError })
    const weighIn = {
      stageId,
      date: '2026-05-01',
      readings: { method: 'fourPads' as const, corners },
      scale: 'Sample pads',
      resolution: 0.5,
      accuracy: 0.003,
      condition: file.build.reference,
      checklist: null,
      tyrePressures: null,
      note: '',
    }
    file.weighIns.push(...Array.from({ length: times }, () => ({ ...weighIn, id: newId() })))
    return figuresOf(file)
  }
  it('stays with every weighing on it: no repeat takes it away', () => {
    const sigma = (own: number) => weighed(own).summaries[0]!.weighIns[0]!.atReference.sigma
    const [exact, off] = [sigma(0), sigma(0.01)]
    expect(off ** 2 - exact ** 2).toBeCloseTo((0.01 * 1200) ** 2, 0)
    expect(weighed(0.01, 40).summaries[0]!.mass.sigma).toBeGreaterThan(0.01 * 1200)
  })
  it('a weighing that is typed is read as it would be once saved', () => {
    const { document, summaries } = weighed(0.01)
    const { version: _, ...typed } = document.weighIns[0]!
    expect(readTypedWeighIn(document, typed)).toEqual(summaries[0]!.weighIns[0])
    const fresh = readTypedWeighIn(document, { ...typed, id: newId() })
    expect(fresh!.atReference.value).toBe(summaries[0]!.weighIns[0]!.atReference.value)
  })
  it('is shared by every part that hung from it, in place of what was typed beside one', () => {
    const weighing = {
      readings: [3],
      tare: 0,
      resolution: 0.01,
      bias: 0.02,
      scale: 'hook',
      pieces: 1,
      together: null,
    }
    const line = { ...sampleLine(newId(), newId()), version: 1, mass: 3, weighing }
    const hook = instrument({ name: 'Hook', kind: 'partScale', ownError: 0.004 })
    expect(countedLines([line], { instruments: [hook] })[0]!.sharing!.relative).toBe(0.004)
    expect(countedLines([line])[0]!.sharing!.relative).toBe(0.02)
  })
})

describe('guesses and claims', () => {
  it('lean together, each grade by its own habit', () => {
    const lines = (kind: 'on' | 'off') =>
      (['guess', 'claim', 'measured'] as const).map((grade, i) => ({
        ...sampleLine(newId(), newId(), i),
        version: 1,
        kind,
        grade,
      }))
    const shares = (kind: 'on' | 'off', lean: { guess: number; claim: number } | null) =>
      countedLines(lines(kind), { lean }).map((l) => l.sharing?.relative ?? null)
    expect(shares('on', { guess: 0.2, claim: 0 })).toEqual([0.2, null, null])
    expect(shares('on', null)).toEqual([0.1, 0.03, null])
    // What comes off is lighter where what goes on is heavier: both leave the car heavier.
    expect(shares('off', null)).toEqual([-0.1, -0.03, null])
  })
})

describe('massWithDriver', () => {
  const mass = { value: 1100, sigma: 3, grade: 'measured' as const }
  it('puts the driver in whom the condition leaves out, and not twice', () => {
    const reference = { fuel: 0.02, driver: 0, amounts: {} }
    expect(massWithDriver({ driverMass: 84, reference }, mass)).toEqual({ ...mass, value: 1184 })
    expect(massWithDriver({ driverMass: 84, reference: { ...reference, driver: 84 } }, mass).value).toBe(1100)
  })
})
