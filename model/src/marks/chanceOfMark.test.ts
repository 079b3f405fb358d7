import { documentFrom, sampleBuild } from '@bold-ballast/contract/sampleBuild'
import { chanceMet, COMPARATORS, forecastMass, judgeFigures, type Known } from '@bold-ballast/core'
import { describe, expect, it } from 'vitest'
import { carAt } from '../car/carAt'
import { forecastInputs } from '../ledger/forecastOf'
import { sampleMark } from '../testing/wholeCar'
import { chanceOfMark } from './chanceOfMark'
import { readMark } from './markFigures'

const newId = () => crypto.randomUUID()
const mark = { conditionId: null, gear: null, speed: null, place: '', part: '', tolerance: 4 }

function carOf(fitted: boolean) {
  const file = sampleBuild(newId, { swaps: 3, linesEach: 4 })
  file.lines = file.lines.map((line) => ({ ...line, grade: 'guess', weighing: null, sigma: null, fitted }))
  Object.assign(file.stages[0]!, { plannedWheelPower: 200e3, plannedPowerGrade: 'claim' })
  const document = documentFrom(file)
  return { document, car: carAt(document, document.stages[0]!.id) }
}

describe('chanceOfMark', () => {
  it('is the forecast’s own while parts are still to come: there is one chance and not two', () => {
    const { document, car } = carOf(false)
    const { mass, frontShare } = car.forecast!
    for (const comparator of COMPARATORS)
      for (const [measure, at, tolerance] of [
        ['mass', mass.p50, 4],
        ['powerToWeight', 200e3 / mass.p50, 2],
        ['frontShare', frontShare.p50, frontShare.sigma],
      ] as const) {
        const target = { comparator, value: at, tolerance }
        const inputs = { ...forecastInputs(document, car), marks: [{ id: 'm', measure, target }] }
        const drawn = forecastMass(inputs).probability['m']!

        const asked = { ...sampleMark(car.stage.id, measure, target), version: 1 }
        const reading = readMark(car, asked)
        expect(reading.because).toBe('stillPlanned')
        expect(chanceOfMark(car, asked, reading)).toBeCloseTo(drawn, 2)
      }
  })
  it('is by the figure’s own doubt once nothing is open, and none without a figure', () => {
    const { car } = carOf(true)
    const value: Known = { value: 1000, sigma: 10, grade: 'guess' }
    const target = { comparator: 'atMost' as const, value: 1012, tolerance: 0 }
    const asked = { ...mark, ...target, measure: 'mass' as const }
    const of = (known: Known | null) =>
      chanceOfMark(car, asked, judgeFigures({ value: known, planned: known, evidence: true }, target))
    expect(of(value)).toBe(chanceMet(value, target))
    expect(of(null)).toBeNull()
  })
})
