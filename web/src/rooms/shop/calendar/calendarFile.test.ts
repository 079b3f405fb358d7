import ical from 'node-ical'
import { describe, expect, it } from 'vitest'
import { readCalendar, writeCalendar } from './calendarFile'

const BERLIN = 'Europe/Berlin'
const dates = [
  {
    id: '1d8f3f4e-0000-4000-8000-000000000001',
    name: 'Round; hill, wet',
    date: '2026-12-06',
    time: '08:00',
    note: 'Line one\nline two, “quoted”',
    calendarId: '',
  },
  {
    id: '1d8f3f4e-0000-4000-8000-000000000002',
    name: 'Paint',
    date: '2027-01-16',
    time: null,
    note: '',
    calendarId: 'from-elsewhere@example.org',
  },
]
const hands = [
  {
    id: '1d8f3f4e-0000-4000-8000-000000000003',
    name: 'Ines',
    week: [
      { day: 'tue' as const, from: '18:00', until: '22:00' },
      { day: 'sat' as const, from: '20:00', until: '24:00' },
    ],
    away: [{ from: '2026-12-24', until: '2027-01-03', why: 'the islands' }],
  },
]
const STAMP = new Date('2026-11-29T12:00:00Z')
const text = writeCalendar(dates, hands, '2026-11-29', STAMP)

describe('a calendar file', () => {
  it('comes back as it went', () => {
    const events = readCalendar(text, BERLIN)
    expect(events.filter((e) => e.is === 'date')).toMatchObject([
      { name: 'Round; hill, wet', date: '2026-12-06', time: '08:00', note: 'Line one\nline two, “quoted”' },
      {
        uid: 'from-elsewhere@example.org',
        name: 'Paint',
        date: '2027-01-16',
        time: null,
        until: '2027-01-16',
      },
    ])
    expect(events.filter((e) => e.is === 'hours').flatMap((e) => e.week)).toEqual([
      { day: 'tue', from: '18:00', until: '22:00' },
      { day: 'sat', from: '20:00', until: '24:00' },
    ])
    expect(events.find((e) => e.is === 'away')).toMatchObject({
      name: 'Ines',
      date: '2026-12-24',
      until: '2027-01-03',
      note: 'the islands',
    })
  })

  // Another reader: node-ical.
  it('is read by another reader', () => {
    const read = Object.values(ical.sync.parseICS(text)).filter((one) => one?.type === 'VEVENT')
    expect(read).toHaveLength(5)
    const named = (summary: string) => read.filter((one) => one?.type === 'VEVENT' && one.summary === summary)
    const [round] = named('Round; hill, wet')
    expect(round?.type === 'VEVENT' && round.description).toBe('Line one\nline two, “quoted”')
    const [paint] = named('Paint')
    expect(paint?.type === 'VEVENT' && paint.datetype).toBe('date')
    expect(named('Ines').filter((one) => one?.type === 'VEVENT' && one.rrule)).toHaveLength(2)
  })

  it('folds no line beyond 75 octets, and ends each as the standard has it (RFC 5545, 3.1)', () => {
    const long = writeCalendar([{ ...dates[0]!, note: 'ä'.repeat(400) }], [], '2026-11-29', STAMP)
    for (const line of long.split('\r\n'))
      expect(new TextEncoder().encode(line).length).toBeLessThanOrEqual(75)
    expect(readCalendar(long, BERLIN)[0]!.note).toBe('ä'.repeat(400))
  })

  it('of another zone is shown by the clock on the wall, summer and winter', () => {
    const event = (start: string) =>
      `BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:x\r\nBEGIN:VEVENT\r\nUID:a\r\nSUMMARY:Dyno\r\n${start}\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n`
    const of = (start: string) => readCalendar(event(start), BERLIN)[0]
    expect(of('DTSTART:20260701T120000Z')).toMatchObject({ date: '2026-07-01', time: '14:00' })
    expect(of('DTSTART:20261201T233000Z')).toMatchObject({ date: '2026-12-02', time: '00:30' })
    expect(of('DTSTART;TZID=America/New_York:20261201T090000')).toMatchObject({
      date: '2026-12-01',
      time: '15:00',
    })
    expect(of('DTSTART;VALUE=DATE:20261201')).toMatchObject({
      date: '2026-12-01',
      time: null,
      until: '2026-12-01',
    })
  })

  it('that is none is refused in words', () => {
    for (const wrong of ['', 'hello', '<html></html>', 'BEGIN:VCARD\r\nEND:VCARD'])
      expect(() => readCalendar(wrong, BERLIN)).toThrow('no calendar file')
  })
})
