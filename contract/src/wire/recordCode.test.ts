import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { idStart, recordCode } from './recordCode'

describe('recordCode', () => {
  // By hand: 0x0123456789 is 00000 00100 10001 10100 01010 11001 11100 01001 in fives.
  it('is the id’s first forty bits in letters that nobody mixes up', () =>
    expect(recordCode('01234567-89ab-4000-8000-000000000000')).toBe('04HM-ASW9'))
  it('leads back to the beginning of any id, however it is typed', () => {
    fc.assert(
      fc.property(fc.uuid(), (id) => {
        const code = recordCode(id)
        expect(code).toMatch(/^[0-9A-HJKMNP-TV-Z]{4}-[0-9A-HJKMNP-TV-Z]{4}$/)
        const start = id.replaceAll('-', '').slice(0, 10)
        for (const typed of [code, code.toLowerCase(), code.replace('-', ' '), ` ${code.replace('-', '')} `])
          expect(idStart(typed)).toBe(start)
        expect(idStart(code.replaceAll('0', 'o').replaceAll('1', 'l'))).toBe(start)
      }),
    )
  })
  it.each(['', 'board', '04HM-ASW', '04HM-ASW99', '04HM-ASWU', 'ünïcödé!'])(
    'takes “%s” for no code',
    (typed) => expect(idStart(typed)).toBeNull(),
  )
})
