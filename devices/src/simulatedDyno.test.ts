import { resamplePull } from '@bold-ballast/core'
import { describe, expect, it } from 'vitest'
import { SimulatedDyno, type DynoSample } from './simulatedDyno'

const RPM = Math.PI / 30
/** A dyno on a clock of its own, read twenty times a second. */
function bench() {
  let now = 0
  const dyno = new SimulatedDyno(() => now)
  const run = (seconds: number) => {
    const samples: DynoSample[] = []
    for (let i = 0; i < seconds * 20; i += 1) {
      now += 50
      const sample = dyno.read()
      if (sample) samples.push(sample)
    }
    return samples
  }
  const pull = () => {
    dyno.order({ pull: true })
    return run(14).filter((s) => s.running)
  }
  return { dyno, run, pull }
}
const peak = (samples: readonly DynoSample[]) =>
  resamplePull(
    {
      speed: Float64Array.from(samples, (s) => s.speed),
      torque: Float64Array.from(samples, (s) => s.torque),
      channels: {},
    },
    100 * RPM,
  ).points.reduce((most, p) => Math.max(most, p.speed * p.torque), 0)

describe('the simulated dyno', () => {
  it('idles without torque until a pull is ordered, climbs to the limiter, and idles again', () => {
    const { dyno, run, pull } = bench()
    expect(run(1).every((s) => !s.running && s.torque === 0)).toBe(true)
    dyno.order({ engine: 'roadster' })
    const samples = pull()
    expect(samples.length).toBeGreaterThan(200)
    expect(samples[0]!.speed / RPM).toBeLessThan(2200)
    expect(samples.at(-1)!.speed / RPM).toBeGreaterThan(7100)
    expect(samples.every((s) => s.boost === null)).toBe(true)
    expect(run(1).every((s) => !s.running)).toBe(true)
  })
  it('makes a roadster’s power, and pulls that lie about one per cent apart, never the same twice', () => {
    const { dyno, pull } = bench()
    dyno.order({ engine: 'roadster' })
    const peaks = [pull(), pull(), pull(), pull()].map(peak)
    expect(peaks[0]! / 1000).toBeGreaterThan(70)
    expect(peaks[0]! / 1000).toBeLessThan(110)
    const spread = (Math.max(...peaks) - Math.min(...peaks)) / peaks[0]!
    expect(spread).toBeGreaterThan(0.001)
    expect(spread).toBeLessThan(0.06)
  })
  it('brings boost with speed, and warms the coolant from pull to pull', () => {
    const { dyno, pull } = bench()
    dyno.order({ engine: 'saloon' })
    const first = pull()
    expect(first[0]!.boost!).toBeLessThan(20_000)
    expect(first.at(-1)!.boost!).toBeGreaterThan(120_000)
    expect(pull().at(-1)!.coolant!).toBeGreaterThan(first.at(-1)!.coolant!)
  })
  it('stops when told, and gives nothing while the line is cut', () => {
    const { dyno, run } = bench()
    dyno.order({ pull: true })
    expect(run(1).at(-1)!.running).toBe(true)
    dyno.order({ stop: true })
    expect(run(1)[0]!.running).toBe(false)
    dyno.order({ pull: true })
    dyno.order({ connected: false })
    expect(run(1)).toEqual([])
    dyno.order({ connected: true })
    expect(run(1)[0]!.running).toBe(false)
  })
})
