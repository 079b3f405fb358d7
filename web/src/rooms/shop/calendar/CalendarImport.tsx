import { putEdit, withoutVersion, type Edit, type FixedDate, type Hand } from '@bold-ballast/contract'
import { useState } from 'react'
import { useBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { Choose } from '../../../ui/Choose'
import { SideSheet } from '../../../ui/SideSheet'
import { sayDate } from '../../../ui/sayDay'
import { ZONE } from '../../../store/useReckonedFrom'
import { readCalendar, type CalendarEvent } from './calendarFile'

const MOST_BYTES = 2_000_000

/** What an event becomes: a fixed date, hours or days away of somebody, or nothing. */
type Becomes = 'date' | 'none' | `hours ${string}` | `away ${string}`

function firstGuess(event: CalendarEvent, hands: readonly Hand[]): Becomes {
  const hand = hands.find((h) => h.name === event.name)
  if (event.is === 'hours') return hand ? `hours ${hand.id}` : 'none'
  if (event.is === 'away') return hand ? `away ${hand.id}` : 'none'
  return event.week.length > 0 ? 'none' : 'date'
}

/** Events of a calendar file: each is taken as a date, as somebody's hours or days away, or left. */
export function CalendarImport({ onClose }: { onClose: () => void }) {
  const { view, stage, saveSaying } = useBuild()
  const [events, setEvents] = useState<readonly CalendarEvent[]>([])
  const [becomes, setBecomes] = useState<readonly Becomes[]>([])
  const [fault, setFault] = useState<string | null>(null)
  const open = async (file: File) => {
    setFault(null)
    if (file.size > MOST_BYTES) return setFault(`${file.name} has over 2 MB; that is no such calendar.`)
    try {
      const read = readCalendar(await file.text(), ZONE)
      if (read.length === 0) return setFault('No event stands in it.')
      setEvents(read)
      setBecomes(read.map((event) => firstGuess(event, view.hands)))
    } catch (error) {
      setFault((error as Error).message)
    }
  }
  const options: readonly (readonly [Becomes, string])[] = [
    ['date', 'a fixed date'],
    ...view.hands.flatMap((hand) => [
      [`away ${hand.id}`, `${hand.name} is away`] as const,
      [`hours ${hand.id}`, `${hand.name}’s hours of a week`] as const,
    ]),
    ['none', 'left out'],
  ]
  const chosen = becomes.filter((b) => b !== 'none').length
  const take = () => {
    const edits: Edit[] = []
    const hands = new Map<string, Omit<Hand, 'version'>>(
      view.hands.map((hand) => [hand.id, withoutVersion(hand)]),
    )
    const cleared = new Set<string>()
    const changed = new Set<string>()
    events.forEach((event, i) => {
      const as = becomes[i] ?? 'none'
      if (as === 'none') return
      if (as === 'date') {
        const known = view.fixedDates.find(
          (d) => event.uid !== '' && (d.calendarId === event.uid || d.id === event.uid),
        )
        const record: Omit<FixedDate, 'version'> = known
          ? { ...withoutVersion(known), name: event.name || known.name, date: event.date, time: event.time }
          : {
              id: crypto.randomUUID(),
              name: event.name.slice(0, 120) || 'Without a name',
              date: event.date,
              time: event.time,
              kind: 'other',
              stageId: stage.id,
              jobs: [],
              outingId: null,
              calendarId: event.uid.slice(0, 255),
              note: event.note.slice(0, 4000),
            }
        edits.push(putEdit(view, 'fixedDate', record))
        return
      }
      const [what, id = ''] = as.split(' ')
      const hand = hands.get(id)
      if (!hand) return
      changed.add(id)
      if (what === 'away') {
        const away = {
          from: event.date,
          until: event.until < event.date ? event.date : event.until,
          why: (event.note || (event.name === hand.name ? '' : event.name)).slice(0, 120),
        }
        const isKnown = hand.away.some((a) => a.from === away.from && a.until === away.until)
        if (!isKnown) hands.set(id, { ...hand, away: [...hand.away, away] })
      } else {
        // Hours of a file take the place of those that were there.
        const week = cleared.has(id) ? hand.week : []
        cleared.add(id)
        hands.set(id, { ...hand, week: [...week, ...event.week.filter((h) => h.from < h.until)] })
      }
    })
    for (const id of changed) {
      const hand = hands.get(id)
      if (hand) edits.push(putEdit(view, 'hand', hand))
    }
    saveSaying('Read a calendar', edits, `${chosen} taken from the calendar.`)
    onClose()
  }
  return (
    <SideSheet open onClose={onClose} title="Read a calendar" wide>
      <p className="mb-3 text-muted">
        An iCalendar file, as calendars save and share them. Times of another zone are shown as the clock on
        the wall here shows them. A date that was read before is brought up to date, not added again.
      </p>
      <label className="flex flex-col gap-1 text-[13px] text-muted">
        Calendar file
        <input
          type="file"
          accept=".ics,text/calendar"
          className="rounded-[3px] border border-edge bg-panel px-2 py-1 text-ink"
          onChange={(e) => e.target.files?.[0] && void open(e.target.files[0])}
        />
      </label>
      {fault && (
        <p role="alert" className="mt-2 text-oxide">
          {fault}
        </p>
      )}
      {events.length > 0 && (
        <>
          <ul className="my-3 max-h-[420px] overflow-y-auto" data-testid="calendar-events">
            {events.map((event, i) => (
              <li
                key={`${event.uid} ${i}`}
                className="flex flex-wrap items-end justify-between gap-2 border-b border-line py-1"
              >
                <span>
                  {event.name || 'Without a name'}
                  <span className="block text-[13px] text-muted">
                    {event.week.length > 0
                      ? `each week, ${event.week.map((h) => `${h.day} ${h.from} to ${h.until}`).join(', ')}`
                      : `${sayDate(event.date, '')}${event.time === null ? '' : `, ${event.time}`}${event.until > event.date ? ` to ${sayDate(event.until, '')}` : ''}`}
                  </span>
                </span>
                <Choose
                  wide={false}
                  label={`${event.name} is`}
                  value={becomes[i] ?? 'none'}
                  options={options}
                  onChange={(value) =>
                    setBecomes((old) => old.map((b, at) => (at === i ? (value ?? 'none') : b)))
                  }
                />
              </li>
            ))}
          </ul>
          <Button look="main" className="w-full" disabled={chosen === 0} onClick={take}>
            Take {chosen}
          </Button>
        </>
      )}
    </SideSheet>
  )
}
