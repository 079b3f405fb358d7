import type { DynoDay, Pull } from '@bold-ballast/contract'
import { sampleDynoDay, samplePull } from '@bold-ballast/contract/sampleBuild'
import { describe, expect, it } from 'vitest'
import type { Side } from '@bold-ballast/model'
import { whatDiffers } from './whatDiffers'

const side = (more: Partial<DynoDay>): Side => {
  const day = { ...sampleDynoDay('s', 'd'), version: 1, ...more } as DynoDay
  const pull = { ...samplePull('d', 'p'), version: 1 } as Pull
  return {
    key: 'k',
    configuration: 'c',
    dyno: day.dyno,
    kind: day.kind,
    repeatability: 0.01,
    pulls: [{ pull, day }],
  }
}
const air = (temperature: number) => [{ time: null, temperature, pressure: 1e5, humidity: 0.5 }]

describe('whatDiffers', () => {
  it('finds nothing where like is compared with like', () => {
    expect(whatDiffers(side({ fuel: '98', gear: 4 }), side({ fuel: '98', gear: 4 }), 'observed')).toEqual([])
  })
  it('names fuel, gear, boost and ethanol', () => {
    const found = whatDiffers(
      side({ fuel: '98 octane', gear: 4, ethanol: 0.05 }),
      side({ fuel: '', gear: null, ethanol: 0.79, boostControl: 'controlled' }),
      'j1349',
    )
    expect(found).toEqual([
      'Fuel: 98 octane before, not stated after.',
      'Gear: fourth gear before, not stated after.',
      'Boost: no boost before, control holds pressure after.',
      'Ethanol: 5 % before, 79 % after.',
    ])
  })
  it('names the air only where observed figures are compared, and only where it was read', () => {
    const [cold, hot] = [side({ air: air(283) }), side({ air: air(303) })]
    expect(whatDiffers(cold, hot, 'observed')[0]).toMatch(/^Air: 7\.\d % thinner after/)
    expect(whatDiffers(cold, hot, 'j1349')).toEqual([])
    expect(whatDiffers(cold, side({}), 'observed')).toEqual([])
  })
})
