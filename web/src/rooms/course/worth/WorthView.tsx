import { axleCarOf, formatNumber, ratesOf, REACH_95, sigmaOf, type RateKey } from '@bold-ballast/core'
import { lapDoubt, lapDoubts } from '@bold-ballast/model'
import { csvOf } from '@bold-ballast/words'
import { useMemo, useState } from 'react'
import { useLiveCar } from '../../../store/useCar'
import { Button } from '../../../ui/Button'
import { download } from '../../../ui/download'
import { ShowWorking } from '../../../ui/ShowWorking'
import { ChooseCourse } from '../ChooseCourse'
import { drawnOf } from '../drawnOr'
import { lapOfCar } from '../lapOfCar'
import { NoLap, type LapWays } from '../NoLap'
import { sayLap } from '../sayLap'
import { useChosenCourse } from '../useChosenCourse'
import { PlannedWorth } from './PlannedWorth'
import { RATE_WORDS } from './rateWords'
import { useRates, type RateCourse } from './useRates'

/** s a lap, signed, to a thousandth. */
const seconds = (value: number) => `${value < 0 ? '−' : '+'}${formatNumber(Math.abs(value), 3)}`
const tone = (value: number, doubt: number | null) =>
  doubt !== null && Math.abs(value) < doubt ? 'text-ochre' : value < 0 ? 'text-zinc' : 'text-oxide'

/** What each change of the car is worth in seconds a lap, with its doubt, and what is planned by money and hours a tenth. */
export function WorthView(ways: LapWays) {
  const car = useLiveCar()
  const { course } = useChosenCourse()
  const found = useMemo(() => lapOfCar(car, course), [car, course])
  if (!found) return <NoLap {...ways} />
  if ('problem' in found)
    return (
      <section aria-label="What it is worth">
        <ChooseCourse />
        <p role="alert" className="mt-3 text-oxide">
          No lap: {found.problem}.
        </p>
      </section>
    )
  return <Rates key={course?.id} time={found.lap.time} />
}

function Rates({ time }: { time: number }) {
  const car = useLiveCar()
  const { courses, course } = useChosenCourse()
  const [isBySize, setBySize] = useState(false)
  const axles = useMemo(() => (car.geared ? axleCarOf(car.geared.run) : null), [car])
  const doubts = useMemo(() => (car.geared ? lapDoubts(car) : null), [car])
  const lapSigma = useMemo(
    () => (course && car.geared ? sigmaOf(lapDoubt(car, course)) : null),
    [car, course],
  )
  const keys = useMemo(() => (axles ? ratesOf(axles) : []), [axles])
  const asked = useMemo(() => {
    const drawn = drawnOf(courses).map(({ course: { id }, drawn: { lap, coarse } }): RateCourse => ({
      id,
      lap,
      coarse,
    }))
    return [...drawn.filter((c) => c.id === course?.id), ...drawn.filter((c) => c.id !== course?.id)]
  }, [courses, course])
  const { byCourse, progress, problem, isStopped, stop, again } = useRates(axles, doubts, keys, asked)
  const main = course ? byCourse.get(course.id) : undefined
  const others = courses.filter((c) => c.id !== course?.id)
  const rows = keys.map((key, i) => ({
    key,
    i,
    rate: main?.rates[i] ?? null,
    doubt: main?.doubts?.[i] ?? null,
  }))
  const sorted = isBySize ? [...rows].sort((a, b) => Math.abs(b.rate ?? 0) - Math.abs(a.rate ?? 0)) : rows
  const csv = () =>
    csvOf(
      [
        'what',
        `${course?.name} (s a lap)`,
        '± (s)',
        '19 in 20 within (s)',
        ...others.map((c) => `${c.name} (s a lap)`),
      ],
      rows.map(({ key, i, rate, doubt }) => [
        RATE_WORDS[key][0],
        rate,
        doubt === null ? null : doubt / REACH_95,
        doubt,
        ...others.map((c) => byCourse.get(c.id)?.rates[i] ?? null),
      ]),
    )
  return (
    <section aria-label="What it is worth">
      <div className="flex flex-wrap items-end justify-between gap-3">
        <ChooseCourse />
        <span className="no-print flex items-center gap-2">
          <Button look="quiet" aria-pressed={isBySize} onClick={() => setBySize(!isBySize)}>
            {isBySize ? 'In their order' : 'The largest first'}
          </Button>
          {main && (
            <Button look="quiet" onClick={() => download('what-it-is-worth.csv', csv(), 'text/csv')}>
              CSV
            </Button>
          )}
        </span>
      </div>
      <p className="mt-2 max-w-[820px] text-[15px]" data-testid="worth-says">
        On a lap of <b className="figure text-[18px]">{sayLap(time)}</b>
        {lapSigma !== null && ` ±${formatNumber(lapSigma, 2)} s by what the car’s figures are known to`}, each
        of these changes by itself is worth so many seconds. Below nought it is quicker; ochre can’t be told
        from nothing.{' '}
        <ShowWorking
          working={{
            title: 'Exchange rates',
            formula:
              'rate = (lap with so much more − lap with so much less) / (2 · step), for 1 kg, 1 kW, 1 % …',
            inputs: [
              [
                'steps',
                '10 kg, 5 kW, 1 % of grip, 0.1 m², 10 mm, 2 % of balance, 0.05 s, 2.5 % of final drive',
              ],
              [
                'doubt',
                '200 cars drawn from what this one’s figures are known to: 95 of 100 rates lie within 1.96 times it',
              ],
            ],
            result: main ? `${rows.length} rates` : 'being worked out',
            source: 'central differences; exchange rates are common practice',
          }}
        />
      </p>
      {problem && (
        <p role="alert" className="text-oxide">
          No rates: {problem}.
        </p>
      )}
      {progress !== null && !problem && (
        <p
          role="status"
          className="flex items-center gap-3 text-[14px] text-muted"
          data-testid="rates-progress"
        >
          {isStopped ? 'Stopped.' : `Driving laps: ${formatNumber(progress * 100, 0)} %`}
          <Button look="quiet" onClick={isStopped ? again : stop}>
            {isStopped ? 'Go on' : 'Stop'}
          </Button>
        </p>
      )}
      <div className="mt-2 overflow-x-auto">
        <table className="w-full max-w-[980px]" data-testid="rates">
          <caption className="sr-only">Seconds a lap for each change</caption>
          <thead>
            <tr className="border-b border-line text-[12.5px] text-muted">
              <th scope="col" className="py-1 text-left font-normal">
                What
              </th>
              <th scope="col" className="px-2 py-1 text-right font-normal">
                {course?.name}, s a lap
              </th>
              {others.map((c) => (
                <th key={c.id} scope="col" className="px-2 py-1 text-right font-normal">
                  {c.name}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {sorted.map(({ key, i, rate, doubt }) => (
              <RateRow
                key={key}
                rateKey={key}
                rate={rate}
                doubt={doubt}
                others={others.map((c) => byCourse.get(c.id)?.rates[i] ?? null)}
              />
            ))}
          </tbody>
        </table>
      </div>
      {axles && course && <PlannedWorth axles={axles} time={time} />}
    </section>
  )
}

function RateRow({
  rateKey,
  rate,
  doubt,
  others,
}: {
  rateKey: RateKey
  rate: number | null
  doubt: number | null
  others: readonly (number | null)[]
}) {
  const [what, says] = RATE_WORDS[rateKey]
  return (
    <tr className="border-b border-line">
      <th scope="row" className="py-1 text-left font-medium">
        {what} <span className="text-[13px] font-normal text-muted">{says}</span>
      </th>
      <td className="px-2 text-right whitespace-nowrap tabular-nums">
        {rate === null ? (
          '…'
        ) : (
          <>
            <span className={`figure text-[18px] ${tone(rate, doubt)}`}>{seconds(rate)}</span>
            {doubt !== null && (
              <span className="text-[13px] text-muted"> ±{formatNumber(doubt / REACH_95, 3)}</span>
            )}
          </>
        )}
      </td>
      {others.map((other, i) => (
        <td key={i} className="px-2 text-right whitespace-nowrap tabular-nums">
          {other === null ? '…' : seconds(other)}
        </td>
      ))}
    </tr>
  )
}
