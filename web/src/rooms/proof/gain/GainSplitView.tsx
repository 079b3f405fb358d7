import type { GainChanges } from '@bold-ballast/model'
import { formatNumber, fromSi, spreadFromSi, type GainMeasure, type Unit, itemAt } from '@bold-ballast/core'
import { csvOf } from '@bold-ballast/words'
import { useCar } from '../../../store/useCar'
import { useWhy } from '../../../store/useWhy'
import { Button } from '../../../ui/Button'
import { download } from '../../../ui/download'
import { ShowWorking } from '../../../ui/ShowWorking'
import { TableHead } from '../../../ui/TableHead'
import { useGainSplit } from './useGainSplit'

/** On a phone the step stands below its name and figure. */
const ROW = 'border-b border-line @max-2xl:grid @max-2xl:grid-cols-[1fr_auto]'
const BAR = '@max-2xl:order-last @max-2xl:col-span-2'

/** The split as steps from the earlier figure to the later one. */
export function GainSplitView({
  found,
  measure,
  unit,
  stages: [first, last],
  nameOf,
  filename,
}: {
  found: GainChanges
  measure: GainMeasure
  unit: Unit
  stages: readonly [string, string]
  nameOf: (id: string) => string
  filename: string
}) {
  const why = useWhy()
  const state = useGainSplit(found, measure, useCar().modelDoubt)
  if ('problem' in state)
    return (
      <p role="alert" className="mt-3 text-oxide">
        {state.problem.replace(/^./, (c) => c.toUpperCase())}.
      </p>
    )
  if ('progress' in state)
    return (
      <p role="status" className="mt-3 text-muted">
        Trying every set of the changes: {formatNumber(state.progress * 100, 0)} %
      </p>
    )
  const { from, to, shares, largest } = state.split
  const isTime = measure !== 'powerToWeight'
  const decimals = isTime ? 3 : 2
  const say = (si: number) => formatNumber(fromSi(si, unit), decimals === 3 ? 2 : 1)
  // A unit that runs the other way has no steps that add up: its own figures are shown at the ends only.
  const step = (si: number) => {
    const v = unit.reciprocal ? si : spreadFromSi(si, unit, 0)
    return `${v >= 0 ? '+' : '−'}${formatNumber(Math.abs(v), decimals)}`
  }
  const ends = shares.reduce<number[]>((all, s) => [...all, itemAt(all, -1) + s.value], [from])
  const [low, high] = [Math.min(...ends, to), Math.max(...ends, to)]
  const room = (high - low) * 0.08 || 1
  const at = (v: number) => `${(((v - low + room) / (high - low + 2 * room)) * 100).toFixed(2)}%`
  const isGain = (v: number) => (isTime ? v < 0 : v > 0)
  const bar = (a: number, b: number, colour: string) => (
    <svg className="block h-[22px] w-full" aria-hidden>
      <rect
        x={at(Math.min(a, b))}
        y="4"
        height="14"
        width={`${Math.max(0.3, (Math.abs(b - a) / (high - low + 2 * room)) * 100)}%`}
        fill={colour}
      />
      <line x1={at(b)} x2={at(b)} y1="0" y2="22" stroke="var(--edge)" />
    </svg>
  )
  const whole = (name: string, value: number) => (
    <tr className={`${ROW} bg-bench`}>
      <th scope="row" className="py-1.5 pl-1 text-left font-medium">
        {name}
      </th>
      <td className={BAR}>{bar(low - room, value, 'var(--muted)')}</td>
      <td className="figure pr-1 text-right text-[19px]">
        {say(value)} <span className="unit">{unit.symbol}</span>
      </td>
    </tr>
  )
  const saveCsv = () =>
    download(
      `${filename}.csv`,
      csvOf(
        ['change', 'share (SI)', 'standard uncertainty (SI)'],
        [[first, from, 0], ...shares.map((s) => [nameOf(s.id), s.value, s.sigma]), [last, to, 0]],
      ),
      'text/csv',
    )
  return (
    <div className="mt-3">
      <p className="text-[17px]" data-testid="gain-says">
        <span className="figure text-[26px]">{say(from)}</span> →{' '}
        <span className="figure text-[26px]">{say(to)}</span> <span className="unit">{unit.symbol}</span>:{' '}
        {largest ? (
          <>
            the largest change{' '}
            {shares.some((s) => Math.abs(s.value) > Math.abs(largest.value)) && 'that is shown '}is “
            {nameOf(largest.id)}”, {step(largest.value)} {unit.reciprocal ? 'in SI' : unit.symbol}
            {!isGain(largest.value) && ', and it works against the gain'}.
          </>
        ) : shares.length === 0 ? (
          'nothing changed it.'
        ) : (
          'no change by itself stands out of its own ±.'
        )}{' '}
        <ShowWorking
          working={{
            title: 'Gain split',
            formula: 'share = Σ |S|!(n − |S| − 1)!/n! · (v(S with it) − v(S))',
            inputs: [
              ['Changes', String(found.changes.length)],
              [
                'Sets tried',
                shares.some((s) => s.drawn > 0) ? 'drawn orders' : String(2 ** found.changes.length),
              ],
            ],
            result: `${say(from)} to ${say(to)} ${unit.symbol}`,
            source:
              'each share’s doubt is its change’s own, by JCGM 100:2008; Shapley 1953: the mean over all orders in which the changes could have been made',
          }}
        />
      </p>
      <table className="mt-2 w-full max-w-[980px]" data-testid="gain-split">
        <TableHead
          folds
          columns={[
            { says: 'Change', className: 'w-[230px]' },
            { says: 'Step', unseen: true },
            {
              says: `Share (${unit.reciprocal ? 'SI' : unit.symbol})`,
              figures: true,
              className: 'w-[150px]',
            },
          ]}
        />
        <tbody>
          {whole(first, from)}
          {shares.map((s, i) => (
            <tr key={s.id} className={ROW}>
              <th scope="row" className="py-1 pl-1 text-left font-medium">
                {nameOf(s.id)}
              </th>
              <td className={BAR}>
                {bar(itemAt(ends, i), itemAt(ends, i + 1), isGain(s.value) ? 'var(--zinc)' : 'var(--oxide)')}
              </td>
              <td className="figure pr-1 text-right text-[17px]">
                {step(s.value)}
                {s.sigma > 0 && (
                  <>
                    <span className="unit"> ±{formatNumber(spreadFromSi(s.sigma, unit, 0), decimals)}</span>{' '}
                    <ShowWorking
                      working={{
                        title: `${nameOf(s.id)}, its share`,
                        formula: 'the mean over all orders in which the changes could have been made',
                        inputs: [['Drawing orders leaves', s.drawn > 0 ? `±${step(s.drawn)}` : 'nothing']],
                        result: `${step(s.value)} ${unit.reciprocal ? 'in SI' : unit.symbol}`,
                        source: 'Shapley 1953; its doubt by JCGM 100:2008, 5.1.2',
                        why: why({ ...s, grade: 'measured' }, unit, 'what a change of its kind is off by'),
                      }}
                    />
                  </>
                )}
              </td>
            </tr>
          ))}
          {whole(last, to)}
        </tbody>
      </table>
      <Button look="quiet" className="no-print !px-0" onClick={saveCsv}>
        CSV
      </Button>
    </div>
  )
}
