import { sampleDynoDay, sampleLine, samplePull } from '@bold-ballast/contract/sampleBuild'
import { doubtName } from '@bold-ballast/core'
import { describe, expect, it } from 'vitest'
import { describeDoubt } from './describeDoubt'

describe('describeDoubt', () => {
  const day = { ...sampleDynoDay('s', 'd'), version: 1, dyno: 'Yard Hubs', date: '2026-05-02' }
  const pull = { ...samplePull('d', 'p'), version: 1, name: 'Sheet 3' }
  const document = { dynoDays: [day], pulls: [pull] }
  it('says the dyno as it was written, its day and its pulls', () => {
    expect(describeDoubt(doubtName.dyno(day), document)).toBe('what Yard Hubs is off by itself')
    expect(describeDoubt(doubtName.day(day), document)).toBe('the day on Yard Hubs, 2 May 2026')
    expect(describeDoubt(doubtName.pull('p'), document)).toBe('the pull “Sheet 3”')
  })
  it('says what a mass is in doubt by', () => {
    const line = { ...sampleLine('w', 'l'), version: 1, name: 'Bonnet', grade: 'guess' as const }
    const of = { ...document, lines: [line], loads: [] }
    expect(describeDoubt(doubtName.line('l'), of)).toBe('“Bonnet”, guess')
    expect(describeDoubt(doubtName.line('gone'), of)).toBe('a line of the ledger')
    expect(describeDoubt(doubtName.bought, of)).toBe('the car as bought')
    expect(describeDoubt(doubtName.shared('all that is a guess'), of)).toBe(
      'what all guesses lean by together',
    )
    expect(describeDoubt(doubtName.shared('scale bench'), of)).toBe('what the scale “bench” is off by itself')
    expect(describeDoubt(doubtName.shared('together 7'), of)).toBe('one weighing that was shared out')
    expect(['fuel', 'seat', 'x'].map((what) => describeDoubt(doubtName.aboard(what), of))).toEqual([
      'the fuel aboard',
      'whoever sits in it',
      '“a load” aboard',
    ])
  })
  it('says a weighing by its day, and scales that nobody named', () => {
    const of = { ...document, weighIns: [{ id: 'w', date: '2026-05-02' }] }
    expect(describeDoubt(doubtName.weighing('w'), of)).toBe('the weighing of 2 May 2026')
    expect(describeDoubt(doubtName.weighing('gone'), of)).toBe('a weighing')
    expect(describeDoubt(doubtName.scale(' Pads A'), of)).toBe('what the scale “pads a” is off by itself')
    expect(describeDoubt(doubtName.scale(''), of)).toContain('taken for one set')
  })
  it('says what a run or a lap is in doubt by', () => {
    expect(describeDoubt(doubtName.figure('grip'), document)).toBe('the grip of its tyres')
    expect(describeDoubt(doubtName.model('run'), document)).toContain('driven ones')
    expect(describeDoubt(doubtName.typed('drag'), document)).toBe('the drag area as it was typed')
    expect(describeDoubt(doubtName.element('gone'), document)).toBe('what was typed of a wing or panel')
  })
  it('says what it can of what is gone', () => {
    const none = { dynoDays: [], pulls: [] }
    expect(describeDoubt(doubtName.dyno(day), none)).toBe('what yard hubs is off by itself')
    expect(describeDoubt(doubtName.pull('p'), none)).toBe('a pull')
  })
})
