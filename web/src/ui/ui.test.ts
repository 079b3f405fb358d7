import { csvOf } from '@bold-ballast/words'
import { describe, expect, it } from 'vitest'
import { chartText } from './chartText'
import { domainOf } from './PlumbBar'

describe('csvOf', () => {
  it('quotes what needs it', () =>
    expect(
      csvOf(
        ['a', 'b'],
        [
          ['x, y', 'say "so"'],
          [1.5, null],
        ],
      ),
    ).toBe('a,b\n"x, y","say ""so"""\n1.5,\n'))
  it('makes text of what a spreadsheet would run', () => {
    expect(csvOf(['n'], [['=1+1'], ['@x'], ['-cmd'], [-3]])).toBe("n\n'=1+1\n'@x\n'-cmd\n-3\n")
    for (const sly of ['\r=1', ' =1', '\u00a0+1', '＝1', '＋1', '－1', '＠x', '\ufeff=1', '\t=1'])
      expect(csvOf(['n'], [[sly]]).replace(/"/g, '')).toBe(`n\n'${sly}\n`)
    expect(csvOf(['n'], [['a - b'], ['wing = big']])).toBe('n\na - b\nwing = big\n')
  })
})

describe('domainOf', () => {
  it('shows all figures, cut below the smallest, and never below zero', () => {
    const [low, high] = domainOf([1190, 1236, 1220])
    expect(low).toBeGreaterThan(1000)
    expect(low).toBeLessThan(1190)
    expect(high).toBeGreaterThan(1236)
    expect(domainOf([0.1, 5])[0]).toBe(0)
  })
  it('has room around a single figure', () => {
    const [low, high] = domainOf([100])
    expect(low).toBeLessThan(100)
    expect(high).toBeGreaterThan(100)
  })
  it('is there without figures', () => expect(domainOf([])).toEqual([0, 1]))
})

describe('chartText', () => {
  it('leaves no link, font or break to the chart, and other text as it is', () => {
    expect(chartText('<a href="https://x">Big & wide</a><br>')).not.toMatch(/[<>]/)
    expect(chartText('<b>&lt;')).toBe('&lt;b&gt;&amp;lt;')
    expect(chartText('1.35 bar, “long runners”')).toBe('1.35 bar, “long runners”')
  })
})
