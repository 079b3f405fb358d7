import { sumKnown, type Known } from '../evidence/known'
import { describe, expect, it } from 'vitest'
import { QUARTER_MILE, straightLine, type StraightLineCar } from './straightLine'
import { WORTH_MEASURES, worthOfPower, type WorthDoubts } from './worthOfPower'

const rpm = (n: number) => (n * Math.PI) / 30
const street = (more: Partial<StraightLineCar> = {}): StraightLineCar => ({
  curve: [1500, 2500, 3500, 4500, 5500, 6500, 7000].map((n, i) => ({
    speed: rpm(n),
    torque: [190, 225, 245, 250, 240, 215, 195][i]!,
  })),
  ratios: [3.3, 2.05, 1.45, 1.1, 0.87],
  finalDrive: 4.1,
  rollingRadius: 0.31,
  shiftSpeed: rpm(6900),
  shiftTime: 0.35,
  launchSpeed: rpm(3500),
  mass: 1200,
  driven: 'rear',
  frontShare: 0.52,
  wheelbase: 2.5,
  massHeight: 0.5,
  grip: 1.1,
  dragArea: 0.7,
  rollingResistance: 0.012,
  airDensity: 1.225,
  wheelInertia: 4,
  engineInertia: 0.12,
  ...more,
})
const stronger = (share: number) =>
  street({ curve: street().curve.map((p) => ({ ...p, torque: p.torque * (1 + share) })) })
const sure: WorthDoubts = { power: {}, mass: 0, grip: 0, drag: 0, model: 0 }
const usual: WorthDoubts = {
  power: { pulls: 0.01, dyno: 0.03 },
  mass: 10,
  grip: 0.07,
  drag: 0.05,
  model: 0.06,
}
const rollOn = { gear: 3, from: 80 / 3.6, to: 120 / 3.6 }

describe('worthOfPower', () => {
  const worth = worthOfPower(street(), usual, [rollOn])
  it('gives every figure with an uncertainty, as a guess, and never surer than its model', () => {
    for (const figure of [...Object.values(worth.figures), ...worth.rollOns]) {
      expect(figure!.value).toBeGreaterThan(1)
      expect(figure!.sigma).toBeGreaterThan(0.06 * figure!.value)
      expect(figure!.grade).toBe('guess')
    }
  })
  it('is off by what one run more or less with an input moved says, and by nothing else', () => {
    const time = (car: StraightLineCar) =>
      straightLine(car, { speeds: [], distances: [QUARTER_MILE] }).toDistance[0]!.time
    const moved = time(street({ dragArea: 0.75 })) - time(street())
    const alone = worthOfPower(street(), { ...sure, drag: 0.05 }, [])
    expect(alone.figures.quarterMile!.sigma).toBeCloseTo(moved, 9)
    expect(worthOfPower(street(), sure, []).figures.quarterMile!.sigma).toBe(0)
  })
  it('shares out what power is in doubt by: 3 and 4 make 5', () => {
    const both = worthOfPower(street(), { ...sure, power: { pulls: 0.003, dyno: 0.004 } }, [])
    const one = worthOfPower(street(), { ...sure, power: { pulls: 0.005 } }, [])
    expect(both.figures.quarterMile!.sigma).toBeCloseTo(one.figures.quarterMile!.sigma, 9)
    const { pulls, dyno } = both.figures.quarterMile!.doubts!
    expect(pulls! / dyno!).toBeCloseTo(0.75, 9)
  })
  it('is quicker with power', () => {
    const more = worthOfPower(stronger(0.1), usual, [rollOn])
    expect(more.figures.hundredToTwoHundred!.value).toBeLessThan(worth.figures.hundredToTwoHundred!.value)
    expect(more.rollOns[0]!.value).toBeLessThan(worth.rollOns[0]!.value)
    expect(more.figures.trapSpeed!.value).toBeGreaterThan(worth.figures.trapSpeed!.value)
  })
})

describe('what one run is worth over another', () => {
  const less = (to: Known | null, from: Known | null) =>
    sumKnown([
      { known: to!, times: 1 },
      { known: from!, times: -1 },
    ])
  const at = (car: StraightLineCar, pulls: string, dyno = 'dyno') =>
    worthOfPower(car, { ...usual, power: { [pulls]: 0.01, [dyno]: 0.03 } }, [rollOn])
  it('is exactly nothing between a run and itself, and as much as pulls scatter between pulls of one curve', () => {
    const [one, again] = [at(street(), 'first'), at(street(), 'second')]
    for (const measure of WORTH_MEASURES) {
      const figure = one.figures[measure]!
      expect(less(figure, figure)).toMatchObject({ value: 0, sigma: 0 })
      expect(less(again.figures[measure], figure).sigma).toBeCloseTo(
        Math.SQRT2 * Math.abs(figure.doubts!.first!),
        12,
      )
    }
    expect(less(again.rollOns[0]!, one.rollOns[0]!).value).toBe(0)
  })
  it('is surer on one dyno than on two, and much surer than either time', () => {
    const one = at(street(), 'first').figures.quarterMile
    const same = less(at(stronger(0.1), 'second').figures.quarterMile, one)
    const two = less(at(stronger(0.1), 'second', 'other').figures.quarterMile, one)
    expect(same.value).toBe(two.value)
    expect(same.value).toBeLessThan(0)
    expect(same.grade).toBe('guess')
    expect(same.sigma).toBeLessThan(two.sigma)
    expect(same.sigma).toBeLessThan(one!.sigma / 3)
    expect(same.sigma).toBeGreaterThan(0.06 * Math.abs(same.value))
  })
  it('is not known where one of the two never gets there', () =>
    expect(at(stronger(-0.8), 'first').figures.hundredToTwoHundred).toBeNull())
})
