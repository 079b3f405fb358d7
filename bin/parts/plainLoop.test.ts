import { describe, expect, it } from 'vitest'
import { inLoops, plainLoop } from './plainLoop.mjs'

const printed = (name: string, figure: string, goal: string) =>
  `  ${name.padEnd(62)} ${figure.padStart(12)}   ${goal}`

describe('a figure of a bench', () => {
  it('is said in plain loops of this machine, too', () => {
    expect(inLoops(printed('A summary', '412.0 ms', 'goal 100 ms'), 40)).toBe(
      `  ${'A summary'.padEnd(62)}     412.0 ms     = 10 loops   goal 100 ms`,
    )
    expect(inLoops(printed('Taken in', '12.0 s', 'goal 15 s'), 40)).toContain('= 300 loops   goal 15 s')
    expect(inLoops(printed('A key', '8.0 ms', ''), 40)).toContain('= 0.20 loops')
    expect(inLoops(printed('Long', '1,470 ms', ''), 49)).toContain('= 30 loops')
  })
  it('stays as it is where it is no time', () => {
    for (const line of [printed('Script', '198.0 kB', 'goal 220 kB'), printed('Ratio', '1.02', ''), ''])
      expect(inLoops(line, 40)).toBe(line)
    expect(inLoops(printed('Builds read', '412/s', 'goal 300/s'), 40)).not.toContain('loops')
  })
  it('has a loop that takes time', () => expect(plainLoop()).toBeGreaterThan(0))
})
