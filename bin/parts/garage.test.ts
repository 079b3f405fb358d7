import { describe, expect, it } from 'vitest'
import { garageWords } from './garage.mjs'

const opened = {
  origins: ['https://192.168.1.7:4611'],
  fingerprint: 'AB:CD',
  hindrance: null,
  pairing: null,
  needsOwner: false,
}

describe('what is said at the start', () => {
  it('is nothing where the local network is not served', async () =>
    expect(await garageWords({ ...opened, origins: [], fingerprint: null }, 4610)).toEqual([]))
  it('is where phones open it and by what they know it, and with a code where one was asked for', async () => {
    const said = (await garageWords(opened, 4610)).join('\n')
    expect(said).toContain('https://192.168.1.7:4611')
    expect(said).toContain('AB:CD')
    expect(said).not.toContain('code')
    const link = 'https://192.168.1.7:4611/join/abc'
    const withCode = await garageWords({ ...opened, pairing: { name: 'Rosa', link } }, 4610)
    expect(withCode.join('\n')).toContain('as Rosa, once')
    expect(withCode.filter((line) => /[█▀▄]/.test(line)).length).toBeGreaterThan(10)
  })
  it('is that an owner is missing, and where one is made', async () =>
    expect((await garageWords({ ...opened, needsOwner: true }, 4700)).join(' ')).toContain(
      'http://localhost:4700/crew',
    ))
  it('is what stands in the way', async () =>
    expect(await garageWords({ ...opened, origins: [], hindrance: 'No network.' }, 4610)).toEqual([
      'No network.',
    ]))
})
