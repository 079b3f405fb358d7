import { sampleBuild } from '@bold-ballast/contract/sampleBuild'
import type { Build } from '@bold-ballast/contract'
import { describe, expect, it } from 'vitest'
import { leftOut, setUpCosts } from '@bold-ballast/model'
import { sayTurns } from './perches/sayTurns'

const build = { ...sampleBuild(() => crypto.randomUUID()).build, version: 1 } as Build
const at = { mass: 900, centre: { x: 1.15, y: 0 }, level: null }

describe('sayTurns', () => {
  it.each([
    [0, 'leave'],
    [0.25, '¼ up'],
    [-1.5, '1½ down'],
    [2, '2 up'],
    [-0.2, '0.20 down'],
  ])('%d is "%s"', (turns, words) => expect(sayTurns(turns)).toBe(words))
})

describe('setUpCosts', () => {
  it('counts a floor that nobody looked at as a usual one, and a level one as little', () => {
    const unknown = setUpCosts(build, at).level
    const level = setUpCosts(build, { ...at, level: 0.001 }).level
    expect(unknown).toBeCloseTo(5 * level, 6)
  })
  it('costs nothing to leave the driver out who would sit on the centreline', () => {
    const central = { ...build, seat: { ...build.seat, y: 0 } }
    expect(setUpCosts(central, at).driverIn).toBeCloseTo(0, 6)
    expect(setUpCosts({ ...build, seat: { ...build.seat, x: 2 } }, at).driverIn).toBeGreaterThan(0)
  })
  it('knows stiff springs feel a floor more', () => {
    const axle = { springRate: 200_000, motionRatio: 1, tyreRate: null, threadPitch: 0.002 }
    const stiff = { ...build, springs: { front: axle, rear: axle, turnStep: 0.25 } }
    expect(setUpCosts(stiff, at).level).toBeGreaterThan(setUpCosts(build, at).level)
  })
})

describe('leftOut', () => {
  const all = { level: 0.001, pressures: true, barsOff: true, settled: true, straight: true, driverIn: true }
  it('names what was not done; a levelness that was looked at is not left out', () => {
    expect(leftOut(all, { driver: 0 })).toEqual([])
    expect(leftOut({ ...all, level: null, barsOff: false }, { driver: 0 })).toEqual(['level', 'barsOff'])
  })
})
