import { describe, expect, it } from 'vitest'
import { chanceSettled, doubtName, doubtSource, sigmaOf } from '@bold-ballast/core'
import type { BuildFile } from '@bold-ballast/contract'
import { sampleInstrument, sampleLine, sampleSwap } from '@bold-ballast/contract/sampleBuild'
import { readMark } from '../marks/markFigures'
import { figuresOf, sampleMark, wholeCar } from '../testing/wholeCar'
import { nextSteps } from './nextSteps'
import { namedFigure, whatSettles } from './whatSettles'

const newId = () => crypto.randomUUID()

/** A car as bought whose mass is known to a few kilos, with parts that went on and nobody weighed. */
function guessedParts(masses: readonly number[]) {
  const { file, stageId } = wholeCar()
  const swap = sampleSwap(stageId, newId())
  const lines = masses.map((mass) => ({
    ...sampleLine(swap.id, newId()),
    kind: 'on' as const,
    mass,
    sigma: null,
    grade: 'guess' as const,
    quantity: 1,
    fitted: true,
  }))
  Object.assign(file, { swaps: [swap], lines })
  return { file: file as BuildFile, stageId, lines }
}

describe('whatSettles', () => {
  it('names the parts whose guesses hide a mass, the largest first, and the car whole', () => {
    const { file, stageId, lines } = guessedParts([60, 20, 2])
    const { car } = figuresOf(file)
    const { value } = car.summary.mass
    file.marks.push(sampleMark(stageId, 'mass', { value: value + 3 }))
    const { document } = figuresOf(file)
    const [mark] = document.marks
    const found = whatSettles(car, mark!, car.summary.mass)
    expect(found.filter((f) => f.kind === 'weighPart').map((f) => f.lineId)).toContain(lines[0]!.id)
    expect(found.some((f) => f.lineId === lines[2]!.id)).toBe(false)
    const whole = found.find((f) => f.kind === 'weighCar')!
    expect(whole.then).toBeLessThan(0.002 * value)
    for (const { now, then, chance } of found) {
      expect(now).toBe(car.summary.mass.sigma)
      expect(then).toBeLessThan(now)
      expect(chance).toBe(chanceSettled(car.summary.mass, then, mark!))
    }
    const part = found.find((f) => f.lineId === lines[0]!.id)!
    expect(whole.chance).toBeGreaterThan(part.chance)
    // What is left is what the names say without that line, its lean, and with its weighing.
    const doubts = namedFigure(car, mark!, car.summary.mass).doubts!
    const { [doubtName.line(lines[0]!.id)]: own, ...others } = doubts
    expect(part.then).toBeGreaterThan(0.9 * Math.sqrt(sigmaOf(others) ** 2 - 0.1 * own! ** 2) * 0.8)
    expect(part.then).toBeLessThan(sigmaOf(others) + 0.5)
  })
  it('says that a scale’s own error is what to find out where no repeat removes it', () => {
    const { file, stageId } = wholeCar()
    Object.assign(file, { swaps: [], lines: [] })
    const rough = { ...sampleInstrument(newId()), name: 'Old pads', kind: 'pads' as const, ownError: 0.02 }
    file.instruments.push(rough)
    const { value } = figuresOf(file).car.summary.mass
    const corner = value / 4
    const corners = { frontLeft: corner, frontRight: corner, rearLeft: corner, rearRight: corner }
    file.weighIns = [
      {
        id: newId(),
        stageId,
        date: '2026-06-01',
        readings: { method: 'fourPads', corners },
        scale: 'old PADS',
        checklist: null,
        resolution: 0.1,
        accuracy: 0.0005,
        condition: file.build.reference,
        tyrePressures: null,
        note: '',
      },
    ]
    file.marks.push(sampleMark(stageId, 'mass', { value: value + 10 }))
    const { document, car } = figuresOf(file)
    const reading = readMark(car, document.marks[0]!)
    expect(reading.because).toBe('tooClose')
    const found = whatSettles(car, document.marks[0]!, reading.value!)
    expect(found.map((f) => f.kind)).toEqual(['checkInstrument'])
    expect(doubtSource(found[0]!.source!)).toEqual({ of: 'shared', with: 'scale old pads' })
    expect(found[0]!.chance).toBeGreaterThan(0.8)
    const [step] = nextSteps(document, stageId)
    expect(step).toMatchObject({ kind: 'checkInstrument', certainty: { now: reading.value!.sigma } })
    expect(nextSteps(document, stageId).map((s) => s.kind)).not.toContain('weighCar')
  })
  it('doesn’t send anybody back to a dyno whose own error hides the power, and says what does', () => {
    const { file, stageId } = wholeCar()
    Object.assign(file, { swaps: [], lines: [] })
    const { power } = figuresOf(file).summaries[0]!.measuredPower!
    file.marks.push(sampleMark(stageId, 'wheelPower', { comparator: 'atLeast', value: power.value * 0.99 }))
    const { document, car } = figuresOf(file)
    const kinds = nextSteps(document, stageId).map((s) => s.kind)
    expect(readMark(car, document.marks[0]!).because).toBe('tooClose')
    expect(kinds).toContain('checkInstrument')
    expect(kinds).not.toContain('pull')
  })
})
