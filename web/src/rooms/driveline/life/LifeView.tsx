import { LIFE_MEASURE } from '@bold-ballast/contract'
import { formatNumber, fromSi, TAKE_A_SPARE, unitOf, type LifeMeasure } from '@bold-ballast/core'
import { csvOf } from '@bold-ballast/words'
import { useBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { download } from '../../../ui/download'
import { EmptyRoom } from '../../../ui/EmptyRoom'
import { PlumbBar, type Verdict } from '../../../ui/PlumbBar'
import { ShowWorking } from '../../../ui/ShowWorking'
import { SeasonLists } from './SeasonLists'
import type { LifeRow } from '@bold-ballast/model'
import { useLife } from './useLife'

const HOUR = unitOf('time', 'h')
const sayWear = (amount: number, measure: LifeMeasure): string =>
  formatNumber(measure === 'hours' ? fromSi(amount, HOUR) : amount, measure === 'hours' || amount % 1 ? 1 : 0)

/** Whether it lasts the next event: by its expected life, and by the chance that it gives out. */
function verdictOf(row: LifeRow): Verdict {
  if (row.runsOut) return 'missed'
  return row.chance >= TAKE_A_SPARE ? 'cantTell' : 'met'
}
const SAYS: Record<Verdict, string> = {
  missed: 'runs out',
  cantTell: 'may give out',
  met: 'lasts',
}
const COLOUR: Record<Verdict, string> = { missed: 'text-oxide', cantTell: 'text-ochre', met: 'text-zinc' }

/** What has been used up, what the next event takes, what to change before it and what to take along. */
export function LifeView({
  onComponent,
  onOuting,
  onService,
  onImport,
}: {
  onComponent: (id: string | null) => void
  onImport: (what: 'components' | 'days') => void
  onOuting: (id: string | null) => void
  onService: (id: string | null, kind: 'service' | 'failure') => void
}) {
  const { view, removeSaying } = useBuild()
  const life = useLife()
  const { rows, next } = life
  if (rows.length === 0 && life.outings.length === 0 && life.services.length === 0)
    return (
      <EmptyRoom
        title="No lives yet"
        action={
          <span className="flex flex-wrap gap-2">
            <Button look="main" onClick={() => onComponent(null)}>
              Add what wears
            </Button>
            <Button onClick={() => onOuting(null)}>Log a day</Button>
          </span>
        }
      >
        A synchro that lasts four track days, pads for six hours, tyres for eighteen heat cycles: each with
        what is expected and how far that is spread. With the days you run you get what will run out before
        the next event, and which spares to take.
      </EmptyRoom>
    )
  const out = rows.filter((r) => r.runsOut)
  const spares = rows.filter((r) => r.chance >= TAKE_A_SPARE)
  const short = spares.filter((r) => r.component.spares < 1)
  const remove = (kind: 'outing' | 'service', id: string, name: string) => {
    removeSaying(kind, id, name)
  }
  const saveCsv = () => {
    const header = [
      'component',
      'counted in',
      'used',
      'expected',
      'spread',
      'next event takes',
      'chance',
      'spares',
    ]
    const lines = rows.map((r) => [
      r.component.name,
      LIFE_MEASURE[r.item.measure],
      sayWear(r.used, r.item.measure),
      sayWear(r.item.expected, r.item.measure),
      r.item.spread,
      sayWear(r.next, r.item.measure),
      r.chance.toFixed(3),
      r.component.spares,
    ])
    download(`${view.build.name} lives.csv`, csvOf(header, lines), 'text/csv')
  }
  return (
    <section aria-label="Life">
      <div className="flex flex-wrap items-baseline justify-between gap-2">
        <p className="min-w-[300px] flex-1 text-[17px]" data-testid="life-says">
          {next ? (
            <>
              Before <b>{next.name}</b> on {next.date}:{' '}
            </>
          ) : (
            'Before a day like those so far: '
          )}
          {out.length === 0
            ? 'nothing runs out.'
            : `${out.map((r) => r.component.name).join(', ')} to be changed.`}{' '}
          {spares.length > 0 && `Take spares of ${spares.map((r) => r.component.name).join(', ')}.`}{' '}
          {short.length > 0 && (
            <span className="text-oxide">
              None on the shelf of {short.map((r) => r.component.name).join(', ')}.
            </span>
          )}
        </p>
        <Button look="quiet" onClick={() => onImport('components')}>
          From a CSV
        </Button>
        <Button look="quiet" onClick={saveCsv}>
          CSV
        </Button>
      </div>
      <div role="list" aria-label="Lives, likeliest to end first" className="mt-2" data-testid="lives">
        {rows.map((row) => {
          const { component, item, used, chance, eventsLeft, learned } = row
          const verdict = verdictOf(row)
          const { measure } = item
          const words = LIFE_MEASURE[measure]
          return (
            <div
              key={component.id}
              role="listitem"
              className="grid items-center gap-x-4 border-b border-line py-2 @2xl:grid-cols-[220px_1fr_230px_150px]"
            >
              <span>
                <span className="font-medium">{component.name}</span>{' '}
                <ShowWorking
                  working={{
                    title: `Life of ${component.name}`,
                    formula: 'chance = 1 − S(used + next) / S(used),  S(t) = exp(−(t/λ)^k)',
                    inputs: [
                      ['Used', `${sayWear(used, measure)} ${words}`],
                      ['Expected', `${sayWear(item.expected, measure)} ${words}`],
                      ['Spread', `${formatNumber(item.spread * 100, 0)} %`],
                      ['Next event takes', `${sayWear(row.next, measure)} ${words}`],
                    ],
                    result: `${formatNumber(chance * 100, 0)} %`,
                    source:
                      'Weibull (1951), shape from the spread; a spare from one in ten on is common practice',
                  }}
                />
                <span className="block text-[12.5px] text-muted">
                  {row.since ? `counted since ${row.since}` : 'counted since the first day'}
                  {learned &&
                    `; ${learned.count === 1 ? 'one failed' : `${learned.count} failed`} at ${sayWear(learned.mean, measure)} ${words}${learned.count > 1 ? ' on average' : ''}`}
                </span>
              </span>
              <PlumbBar
                value={{ value: used, sigma: 0, grade: 'measured' }}
                planned={{ value: used + row.next, sigma: 0, grade: 'guess' }}
                mark={item.expected}
                verdict={verdict}
                domain={[0, Math.max(item.expected * 1.25, used + row.next)]}
                label={`${sayWear(used, measure)} of ${sayWear(item.expected, measure)} ${words} used, ${sayWear(used + row.next, measure)} after the next event`}
              />
              <span className="text-[13.5px]">
                <span className="figure text-[17px]">
                  {sayWear(used, measure)} of {sayWear(item.expected, measure)}
                </span>{' '}
                <span className="unit">{words}</span>
                <span className="block text-[12.5px] text-muted">
                  {eventsLeft === null
                    ? 'the next event takes nothing of it'
                    : eventsLeft === 0
                      ? 'not another event in it'
                      : `${eventsLeft} more ${eventsLeft === 1 ? 'event' : 'events'} like the next`}
                  ; {component.spares} {component.spares === 1 ? 'spare' : 'spares'}
                </span>
              </span>
              <span className="flex items-center justify-end gap-2">
                <span className="text-right">
                  <span className={`figure text-[19px] ${COLOUR[verdict]}`}>
                    {formatNumber(chance * 100, chance < 0.1 ? 1 : 0)} %
                  </span>
                  <span className={`block text-[12.5px] ${COLOUR[verdict]}`}>{SAYS[verdict]}</span>
                </span>
                <Button look="quiet" className="!px-1" onClick={() => onComponent(component.id)}>
                  Change<span className="sr-only"> {component.name}</span>
                </Button>
              </span>
            </div>
          )
        })}
      </div>
      <SeasonLists
        life={life}
        onOuting={onOuting}
        onService={onService}
        onImport={() => onImport('days')}
        onRemove={remove}
      />
    </section>
  )
}
