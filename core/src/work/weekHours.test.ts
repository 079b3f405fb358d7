import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { addDays, daysBetween, weekdayOf, weekStretches } from './weekHours'
import { workBetween, workEnd, workingTime, workStart } from './workingTime'
import { zonedDate, zonedMoment, zonedTime } from './zonedMoment'

const BERLIN = 'Europe/Berlin'
const at = (iso: string) => Date.parse(iso) / 1000

describe('the clock of a place', () => {
  // Directive 2000/84/EC, articles 2 and 3: summer time begins and ends at 01:00 in Greenwich, on the last Sundays of March
  // and October.
  it('goes by summer time', () => {
    expect(zonedMoment('2026-07-01', '18:00', BERLIN)).toBe(at('2026-07-01T16:00:00Z'))
    expect(zonedMoment('2026-12-01', '18:00', BERLIN)).toBe(at('2026-12-01T17:00:00Z'))
    expect(zonedMoment('2026-03-29', '03:00', BERLIN)).toBe(at('2026-03-29T01:00:00Z'))
  })

  it('puts off what is left out, and takes the first of what is shown twice', () => {
    expect(zonedMoment('2026-03-29', '02:30', BERLIN)).toBe(at('2026-03-29T01:30:00Z'))
    expect(zonedMoment('2026-10-25', '02:30', BERLIN)).toBe(at('2026-10-25T00:30:00Z'))
  })

  // Where the clock goes by half an hour, or is put on in the other half of the year.
  it('goes anywhere', () => {
    expect(zonedMoment('2026-01-10', '12:00', 'Australia/Adelaide')).toBe(at('2026-01-10T01:30:00Z'))
    expect(zonedMoment('2026-07-10', '24:00', 'America/St_Johns')).toBe(at('2026-07-11T02:30:00Z'))
    expect(() => zonedMoment('soon', '12:00', BERLIN)).toThrow('no date')
  })

  it('shows what it was asked for, whatever the hour', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 3000 }),
        fc.integer({ min: 4, max: 23 }),
        fc.constantFrom(BERLIN, 'America/New_York', 'Asia/Kolkata', 'Pacific/Auckland'),
        (day, hour, zone) => {
          const date = addDays('2024-01-01', day)
          const time = `${String(hour).padStart(2, '0')}:15`
          const moment = zonedMoment(date, time, zone)
          expect([zonedDate(moment, zone), zonedTime(moment, zone)]).toEqual([date, time])
        },
      ),
    )
  })
})

describe('hours of a week', () => {
  const evenings = (['mon', 'tue', 'wed', 'thu', 'fri'] as const).map((day) => ({
    day,
    from: '18:00',
    until: '22:00',
  }))
  const nights = [{ day: 'sun', from: '00:00', until: '06:00' }] as const

  it('are as long as they are over the change of the clock', () => {
    const lengths = (date: string) =>
      weekStretches(nights, [], date, 1, BERLIN).map(([from, until]) => (until - from) / 3600)
    expect(lengths('2026-03-29')).toEqual([5])
    expect(lengths('2026-10-25')).toEqual([7])
    expect(lengths('2026-06-07')).toEqual([6])
  })

  it('begin at the same time of the clock before and after it', () => {
    const [before, after] = weekStretches(
      [{ day: 'mon', from: '18:00', until: '22:00' }],
      [],
      '2026-03-23',
      8,
      BERLIN,
    )
    expect(after![0] - before![0]).toBe(7 * 86_400 - 3600)
  })

  it('leave out the days away, and refuse an end before its beginning', () => {
    const away = [{ from: '2026-11-24', until: '2026-11-25' }]
    expect(weekStretches(evenings, away, '2026-11-23', 7, BERLIN)).toHaveLength(3)
    expect(() =>
      weekStretches([{ day: 'mon', from: '22:00', until: '18:00' }], [], '2026-11-23', 7, BERLIN),
    ).toThrow('before it begins')
  })

  it('count days over the end of a month and of a year', () => {
    expect(addDays('2026-12-31', 1)).toBe('2027-01-01')
    expect(daysBetween('2024-02-28', '2024-03-01')).toBe(2)
    expect(weekdayOf('2026-11-29')).toBe('sun')
  })
})

describe('working time', () => {
  const stretches = fc.array(
    fc
      .tuple(fc.integer({ min: 0, max: 1000 }), fc.integer({ min: 1, max: 60 }))
      .map(([from, long]) => [from, from + long] as const),
    { minLength: 1, maxLength: 12 },
  )

  it('takes as much as it is given, and is later for more', () => {
    fc.assert(
      fc.property(
        stretches,
        fc.integer({ min: 0, max: 1100 }),
        fc.integer({ min: 1, max: 80 }),
        (given, ready, work) => {
          const time = workingTime(given)
          const start = workStart(time, ready)
          const end = workEnd(time, ready, work)
          if (end === Infinity) expect(workBetween(time, ready, 1e6)).toBeLessThan(work)
          else {
            expect(workBetween(time, ready, end)).toBeCloseTo(work, 9)
            expect(end).toBeGreaterThan(start)
            expect(workEnd(time, ready, work / 2)).toBeLessThanOrEqual(end)
          }
        },
      ),
    )
  })
})
