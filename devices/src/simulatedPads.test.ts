import { CORNERS, padsSettled, type PadReading } from '@bold-ballast/core'
import { describe, expect, it } from 'vitest'
import { SimulatedPads } from './simulatedPads'

const load = { frontLeft: 232, frontRight: 218, rearLeft: 204, rearRight: 226 }
/** Pads on a clock of their own, read ten times a second. */
function bench() {
  let now = 0
  const pads = new SimulatedPads(() => now)
  const readings: PadReading[] = []
  const run = (seconds: number) => {
    for (let i = 0; i < seconds * 10; i += 1) {
      now += 100
      const reading = pads.read()
      if (reading) readings.push(reading)
    }
    return padsSettled(readings, pads.resolution)
  }
  return { pads, run }
}

describe('simulated pads, read as a person would', () => {
  it('are settled on nothing, unsettled while a car bounces on them, and settled on its weight', () => {
    const { pads, run } = bench()
    expect(run(3)).toMatchObject({ settled: true })
    pads.order({ load })
    expect(run(0.5)).toMatchObject({ settled: false, why: 'Still settling.' })
    const now = run(6)
    expect(now.settled).toBe(true)
    expect(now.total).toBeCloseTo(880, 0)
    for (const c of CORNERS) expect(now.corners[c]).toBeCloseTo(load[c], 0)
  })
  it('say which is dead, and give no total then', () => {
    const { pads, run } = bench()
    pads.order({ load, dead: 'rearLeft' })
    const now = run(6)
    expect(now).toMatchObject({ settled: false, total: null, why: 'One pad gives no reading.' })
    expect(now.corners.rearLeft).toBeNull()
    pads.order({ dead: null })
    expect(run(3).settled).toBe(true)
  })
  it('give nothing while the line is cut, and go on when it is back', () => {
    const { pads, run } = bench()
    pads.order({ connected: false })
    expect(pads.read()).toBeNull()
    pads.order({ connected: true })
    expect(run(3).settled).toBe(true)
  })
  it('creep over hours, and stand at zero again once zeroed', () => {
    const { pads, run } = bench()
    run(8 * 3600)
    expect(Math.abs(run(3).corners.rearRight!)).toBeGreaterThan(2)
    pads.order({ zero: true })
    expect(Math.abs(run(3).corners.rearRight!)).toBeLessThan(0.5)
  })
})

describe('padsSettled', () => {
  it('waits for two seconds of readings, and says so', () => {
    const { run } = bench()
    expect(run(0.5)).toMatchObject({ settled: false, why: 'Wait a moment.' })
    expect(padsSettled([], 0.5)).toMatchObject({ settled: false, total: null })
  })
})
