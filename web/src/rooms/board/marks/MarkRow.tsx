import { GRADE, type Mark } from '@bold-ballast/contract'
import { formatQuantity, sayKnown } from '@bold-ballast/core'
import { lapsBeside, namedFigure, testOfMark, type LapEvidence } from '@bold-ballast/model'
import { useLiveCar } from '../../../store/useCar'
import { useMarkChance } from '../../../store/useMarkChance'
import { useReadMark } from '../../../store/useReadMark'
import { useWhy } from '../../../store/useWhy'
import { useBuild, useLiveBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { Figure } from '../../../ui/Figure'
import { domainOf, PlumbBar } from '../../../ui/PlumbBar'
import { ShowWorking } from '../../../ui/ShowWorking'
import { isPointing, describeMark, describeMarkTest } from '@bold-ballast/words'

const TONE = { met: 'text-zinc', missed: 'text-oxide', cantTell: 'text-ochre' } as const

/** Of these a best may be luck: how often it was reached stands beside it. */
const REACHED: ReadonlySet<string> = new Set(['lapTime', 'lapBestThree', 'lapMedian'])

const reachedSaid = ({ count, reached }: LapEvidence): string =>
  count === 1
    ? 'One lap that counts was logged.'
    : `Of ${count} laps that count, ${reached === 1 ? 'one alone comes' : `${reached} come`} within half a per cent of the best.`

/** One mark: the bar, the figure, the verdict and the reason in a sentence. */
export function MarkRow({ mark, pending, onOpen }: { mark: Mark; pending: number; onOpen: () => void }) {
  const { units, view } = useBuild()
  const { summary } = useLiveBuild()
  const reading = useReadMark()(mark)
  const chance = useMarkChance()(mark, reading)
  const words = { units, currency: view.build.currency, conditions: view.conditions, chance }
  const said = describeMark(mark, reading, summary, words, pending)
  const { value, planned } = reading
  const car = useLiveCar()
  const why = useWhy()
  const test = testOfMark(view, car, mark, reading)
  const laps = REACHED.has(mark.measure) ? lapsBeside(car, mark.place) : null
  const figures = [
    mark.value,
    ...(value ? [value.value - value.sigma, value.value + value.sigma] : []),
    ...(planned ? [planned.value] : []),
  ]
  return (
    <tr
      className="border-b border-line align-middle @max-2xl:grid @max-2xl:grid-cols-2 @max-2xl:py-2"
      data-testid={`mark-${mark.measure}`}
    >
      <th scope="row" className="py-2 pr-3 text-left font-medium @max-2xl:py-0">
        {said.measure}
        <small className="block text-[12px] font-normal text-muted">{said.target}</small>
      </th>
      <td className="@max-2xl:order-last @max-2xl:col-span-2">
        <PlumbBar
          value={value}
          planned={planned === value ? null : planned}
          mark={mark.value}
          verdict={reading.verdict}
          points={isPointing(reading)}
          domain={domainOf(figures)}
          label={`${said.headline}. ${said.verdict}`}
        />
        <span className="block text-[12.5px] text-muted">
          {said.reason}
          {laps && ` ${reachedSaid(laps)}`}
        </span>
      </td>
      <td className="text-right text-[19px]">
        {value ? (
          <span className="inline-flex items-center gap-1.5">
            <Figure known={value} unit={said.unit} />
            {value.sigma > 0 && (
              <ShowWorking
                working={{
                  title: said.measure,
                  formula: `${said.headline}: ${said.target}`,
                  inputs: [
                    ['Planned', planned ? formatQuantity(planned.value, said.unit) : 'nothing'],
                    ['Known by', GRADE[value.grade].toLowerCase()],
                    ['On the allowed side', said.odds ?? 'can’t be said'],
                    ...(test
                      ? [['What would show it', describeMarkTest(test, mark, said.unit)] as [string, string]]
                      : []),
                  ],
                  result: sayKnown(value, said.unit),
                  source: 'shown from 1.645 of its ± on (JCGM 106:2012, 8.3)',
                  why: why(() => namedFigure(car, mark, value), said.unit),
                }}
              />
            )}
          </span>
        ) : (
          '–'
        )}
      </td>
      <td className={`pl-4 font-medium @max-2xl:pl-0 ${TONE[reading.verdict]}`}>
        {said.verdict}
        {said.odds !== null && (
          <small
            className="block text-[12.5px] font-normal whitespace-nowrap text-muted"
            title="How likely it is to be met once the stage is finished"
            data-testid="odds"
          >
            {said.odds}
          </small>
        )}
      </td>
      <td className="text-right">
        <Button look="quiet" onClick={onOpen}>
          Change<span className="sr-only"> the mark on {said.measure.toLowerCase()}</span>
        </Button>
      </td>
    </tr>
  )
}
