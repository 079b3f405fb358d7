import { DATE_KIND, JOB_KIND, WEEKDAY, type FixedDate } from '@bold-ballast/contract'
import { formatNumber, WEEKDAYS } from '@bold-ballast/core'
import { useState } from 'react'
import { useBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { download } from '../../../ui/download'
import { EmptyRoom } from '../../../ui/EmptyRoom'
import { MayOnly } from '../../../ui/MayOnly'
import { RowButtons } from '../../../ui/RowButtons'
import { TableHead } from '../../../ui/TableHead'
import { today } from '../../../ui/today'
import { sayDate } from '../../../ui/sayDay'
import { CalendarImport } from './CalendarImport'
import { writeCalendar } from './calendarFile'

const hoursBetween = (from: string, until: string) => {
  const at = (time: string) => Number(time.slice(0, 2)) + Number(time.slice(3)) / 60
  return at(until) - at(from)
}

/** Who works when, and the dates that stand fast; to and from calendar files. */
export function CalendarView({
  onHand,
  onDate,
}: {
  onHand: (id: string | null) => void
  onDate: (id: string | null) => void
}) {
  const { view, ledger, removeSaying } = useBuild()
  const [isReading, setReading] = useState(false)
  const hands = [...view.hands].sort((a, b) => a.order - b.order)
  const dates = [...view.fixedDates].sort((a, b) => a.date.localeCompare(b.date))
  const needsSaid = ({ stageId, jobs }: FixedDate): string =>
    [
      stageId && `all jobs up to ${ledger.stages.find((s) => s.id === stageId)?.name ?? ''}`,
      jobs.length > 0 && `${jobs.length} ${jobs.length === 1 ? 'job' : 'jobs'} by name`,
    ]
      .filter(Boolean)
      .join(', ')
  const save = () =>
    download(`${view.build.name}.ics`, writeCalendar(dates, hands, today(), new Date()), 'text/calendar')
  return (
    <section aria-label="Hands and dates" className="max-w-[980px]">
      <div className="flex flex-wrap items-end justify-between gap-2">
        <h2 className="text-[20px]">Hands</h2>
        <span>
          <MayOnly right="plan">
            <Button look="quiet" onClick={() => setReading(true)}>
              Read a calendar
            </Button>
          </MayOnly>
          <Button look="quiet" disabled={hands.length + dates.length === 0} onClick={save}>
            Save as a calendar
          </Button>
        </span>
      </div>
      {hands.length === 0 ? (
        <EmptyRoom
          title="Nobody’s hours are noted"
          action={
            <Button look="main" onClick={() => onHand(null)}>
              Note somebody’s hours
            </Button>
          }
        >
          Evenings and weekends, days away, and who can do what. Until then one pair of hands is taken, each
          weekday from six to nine and Saturdays from nine to five.
        </EmptyRoom>
      ) : (
        <ul aria-label="Hands">
          {hands.map((hand) => {
            const week = hand.week.reduce((sum, h) => sum + hoursBetween(h.from, h.until), 0)
            const inOrder = [...hand.week].sort(
              (a, b) => WEEKDAYS.indexOf(a.day) - WEEKDAYS.indexOf(b.day) || a.from.localeCompare(b.from),
            )
            return (
              <li key={hand.id} className="flex flex-wrap items-center gap-x-4 border-b border-line py-1.5">
                <span className="min-w-[220px] flex-1">
                  <span className="font-medium">{hand.name}</span>
                  <span className="block text-[13px] text-muted">
                    {inOrder.map((h) => `${WEEKDAY[h.day].slice(0, 3)} ${h.from}–${h.until}`).join(', ') ||
                      'no hours'}
                  </span>
                  {hand.can.length > 0 && (
                    <span className="block text-[13px] text-muted">
                      can: {hand.can.map((k) => JOB_KIND[k]).join(', ')}
                    </span>
                  )}
                  {hand.away.map((a) => (
                    <span key={a.from} className="block text-[13px]">
                      away {sayDate(a.from, '')} to {sayDate(a.until, '')}
                      {a.why && `, ${a.why}`}
                    </span>
                  ))}
                </span>
                <span className="figure text-[17px] whitespace-nowrap">{formatNumber(week, 1)} h a week</span>
                <span className="whitespace-nowrap">
                  <RowButtons
                    name={hand.name}
                    recordId={hand.id}
                    onChange={() => onHand(hand.id)}
                    onRemove={() => removeSaying('hand', hand.id, hand.name)}
                  />
                </span>
              </li>
            )
          })}
        </ul>
      )}
      <div className="mt-5 flex flex-wrap items-end justify-between gap-2">
        <h2 className="text-[20px]">Dates that stand fast</h2>
        <MayOnly right="log">
          <Button onClick={() => onDate(null)}>Fix a date</Button>
        </MayOnly>
      </div>
      {dates.length === 0 ? (
        <p className="text-muted">None: a round, a dyno that is booked, paint, transport.</p>
      ) : (
        <table className="w-full" data-testid="fixed-dates">
          <caption className="sr-only">Dates that stand fast</caption>
          <TableHead
            columns={[
              { says: 'What' },
              { says: 'When', className: 'px-2' },
              { says: 'Needs', className: 'px-2 @max-2xl:hidden' },
              { says: 'Change', unseen: true },
            ]}
          />
          <tbody>
            {dates.map((date) => (
              <tr key={date.id} className={`border-b border-line ${date.date < today() ? 'text-muted' : ''}`}>
                <th scope="row" className="py-1 pr-2 text-left font-medium">
                  {date.name}{' '}
                  <span className="block text-[12.5px] font-normal text-muted">{DATE_KIND[date.kind]}</span>
                  <span className="block text-[12.5px] font-normal text-muted @2xl:hidden">
                    {needsSaid(date)}
                  </span>
                </th>
                <td className="px-2 whitespace-nowrap @max-2xl:whitespace-normal">
                  {sayDate(date.date, '')}
                  {date.time !== null && `, ${date.time}`}
                </td>
                <td className="px-2 text-[14px] @max-2xl:hidden">{needsSaid(date)}</td>
                <td className="text-right whitespace-nowrap @max-2xl:whitespace-normal">
                  <RowButtons
                    name={date.name}
                    recordId={date.id}
                    onChange={() => onDate(date.id)}
                    onRemove={() => removeSaying('fixedDate', date.id, date.name)}
                  />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {isReading && <CalendarImport onClose={() => setReading(false)} />}
    </section>
  )
}
