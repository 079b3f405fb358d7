import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { shaftDemand, SHAFTS, SHOCK, weakLinks, type DrivelineLoad, type RatedComponent } from './weakLinks'

const load: DrivelineLoad = {
  power: 250e3,
  torque: 400,
  ratios: [3.3, 1.9, 1],
  between: 1,
  finalDrive: 4.1,
  rollingRadius: 0.31,
  shock: 1,
  lockedDifferential: false,
  axles: { rear: { share: 1, tyreForces: [1e9, 1e9, 1e9] } },
}
const held = (force: number) => ({ rear: { share: 1, tyreForces: [force, force, force] } })
const part = (more: Partial<RatedComponent>): RatedComponent => ({
  id: 'x',
  name: 'x',
  kind: 'torque',
  shaft: 'gearbox',
  axle: null,
  rating: 500,
  ratingSigma: 35,
  demand: null,
  ...more,
})

describe('shaftDemand', () => {
  it('is torque times the ratio to the shaft, worked by hand', () => {
    const at = (shaft: (typeof SHAFTS)[number], more: Partial<DrivelineLoad> = {}) =>
      shaftDemand(shaft, { ...load, ...more }).torque
    expect(at('engine')).toBe(400)
    expect(at('gearbox')).toBe(400)
    expect(at('propshaft')).toBeCloseTo(1320)
    expect(at('finalDrive')).toBeCloseTo(5412)
    expect(at('halfshaft')).toBeCloseTo(2706)
    expect(at('halfshaft', { lockedDifferential: true })).toBeCloseTo(5412)
  })
  it('gives each axle of an all-wheel drive its share, and the gearbox all of it', () => {
    const all: DrivelineLoad = {
      ...load,
      axles: {
        front: { share: 0.4, tyreForces: [1e9, 1e9, 1e9] },
        rear: { share: 0.6, tyreForces: [1e9, 1e9, 1e9] },
      },
    }
    expect(shaftDemand('gearbox', all).torque).toBeCloseTo(400)
    expect(shaftDemand('propshaft', all).torque).toBeCloseTo(1320 * 0.6)
    expect(shaftDemand('propshaft', all, 'front').torque).toBeCloseTo(1320 * 0.4)
    expect(shaftDemand('halfshaft', all, 'front').torque).toBeCloseTo(2706 * 0.4)
  })
  it('lets downforce in a tall gear load a shaft further', () => {
    const at = (third: number) =>
      shaftDemand('finalDrive', {
        ...load,
        torque: 2000,
        axles: { rear: { share: 1, tyreForces: [7000, 7000, third] } },
      }).torque
    expect(at(7000)).toBeCloseTo(7000 * 0.31)
    expect(at(9000)).toBeCloseTo(9000 * 0.31)
  })
  it('needs a driven axle', () =>
    expect(() => shaftDemand('propshaft', { ...load, axles: {} })).toThrow('axle'))
  it('takes the axle that is driven where another was named', () => {
    expect(shaftDemand('propshaft', load, 'front').torque).toBeCloseTo(1320)
  })
  it('is multiplied by a shock behind the clutch, not at the engine', () => {
    expect(shaftDemand('engine', { ...load, shock: SHOCK.clutchKick }).torque).toBe(400)
    expect(shaftDemand('gearbox', { ...load, shock: SHOCK.clutchKick }).torque).toBe(1000)
  })
  it('never exceeds what the tyres react times the shock, however much torque', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 50, max: 2000, noNaN: true }),
        fc.double({ min: 1, max: 3, noNaN: true }),
        (torque, shock) => {
          const { torque: at, tyreLimited } = shaftDemand('finalDrive', {
            ...load,
            torque,
            shock,
            axles: held(7000),
          })
          expect(at).toBeLessThanOrEqual(7000 * 0.31 * shock + 1e-6)
          expect(tyreLimited).toBe(torque * 3.3 * 4.1 > 7000 * 0.31)
        },
      ),
    )
  })
  it('loads the gearbox with all of the torque in a gear that the tyres can react', () => {
    // First is capped at 2,170 N·m on the ring gear; in third only 1,640 N·m arrive there.
    expect(shaftDemand('gearbox', { ...load, axles: held(7000) })).toEqual({
      torque: 400,
      tyreLimited: false,
    })
    expect(shaftDemand('propshaft', { ...load, axles: held(7000) }).torque).toBeCloseTo((7000 * 0.31) / 4.1)
  })
  it('needs a driveline', () =>
    expect(() => shaftDemand('gearbox', { ...load, ratios: [] })).toThrow('ratios'))
})

describe('weakLinks', () => {
  it('sorts by margin and says the power at which each breaks', () => {
    const links = weakLinks(
      [
        part({ id: 'box', rating: 500 }),
        part({ id: 'shaft', shaft: 'propshaft', rating: 1200 }),
        part({ id: 'turbo', kind: 'power', shaft: null, rating: 300e3 }),
        part({ id: 'wire', kind: 'current', shaft: null, rating: 20, demand: 16 }),
        part({ id: 'unasked', kind: 'temperature', shaft: null, rating: 400, demand: null }),
      ],
      load,
    )
    expect(links.map((l) => l.component.id)).toEqual(['shaft', 'turbo', 'box', 'wire'])
    expect(links[0]!.margin).toBeCloseTo(1200 / 1320)
    expect(links[0]!.breaksAt).toBeCloseTo((250e3 * 1200) / 1320, -1)
    expect(links[1]!.breaksAt).toBe(300e3)
    expect(links[3]).toMatchObject({ margin: 1.25, breaksAt: null })
  })
  it('says that the tyres save a link: more power brings it no more load', () => {
    const [link] = weakLinks([part({ shaft: 'finalDrive', rating: 4000 })], {
      ...load,
      axles: held(9000),
    })
    expect(link).toMatchObject({ tyreLimited: true, breaksAt: null })
    expect(link!.margin).toBeCloseTo(4000 / 2790)
  })
  it('breaks at exactly the power that it says', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 100, max: 6000, noNaN: true }),
        fc.constantFrom(...SHAFTS),
        (rating, shaft) => {
          const [link] = weakLinks([part({ shaft, rating })], load)
          const by = link!.breaksAt! / load.power
          expect(shaftDemand(shaft, { ...load, torque: load.torque * by }).torque).toBeCloseTo(rating, 3)
        },
      ),
    )
  })
})
