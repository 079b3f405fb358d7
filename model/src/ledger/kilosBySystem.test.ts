import type { Line } from '@bold-ballast/contract'
import { sampleLine } from '@bold-ballast/contract/sampleBuild'
import { kilosOf } from '@bold-ballast/core'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { kilosBySystem } from './kilosBySystem'

const lines = fc
  .array(
    fc.record({
      system: fc.constantFrom('body', 'engine', 'brakes'),
      kind: fc.constantFrom('on', 'off'),
      mass: fc.double({ min: 0, max: 100, noNaN: true }),
    }),
    { minLength: 1, maxLength: 12 },
  )
  .map((all) => all.map((more) => ({ ...sampleLine('s', crypto.randomUUID()), ...more, version: 1 }) as Line))

describe('kilosBySystem', () => {
  it('loses nothing between the systems, and puts what lost most first', () =>
    fc.assert(
      fc.property(lines, (all) => {
        const found = kilosBySystem(all, 0.5)
        expect(found.map((f) => f.system).sort()).toEqual([...new Set(all.map((l) => l.system))].sort())
        const nets = found.map((f) => f.kilos.net.value)
        expect(nets.reduce((a, b) => a + b, 0)).toBeCloseTo(kilosOf(all, 0.5).net.value, 8)
        expect(nets).toEqual(nets.toSorted((a, b) => a - b))
      }),
    ))
})
