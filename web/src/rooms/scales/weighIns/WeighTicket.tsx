import { CORNER_WORDS, METHOD, type WeighIn } from '@bold-ballast/contract'
import {
  CORNERS,
  formatFigure,
  sayKnown,
  formatNumber,
  formatQuantity,
  known,
  leftShare,
  type Known,
  type StageSummary,
  type Unit,
  type WeighInReading,
  itemAt,
} from '@bold-ballast/core'
import { format, parseISO } from 'date-fns'
import { toast } from '../../../ui/toast'
import { useBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { Figure } from '../../../ui/Figure'
import { useWhy } from '../../../store/useWhy'
import { ShowWorking } from '../../../ui/ShowWorking'
import { describeBalance, describeFinding } from '@bold-ballast/words'
import { CornerPlan } from './CornerPlan'
import { SetUp } from './SetUp'
import { TableHead } from '../../../ui/TableHead'

const HEAD = [
  { says: 'Figure', unseen: true },
  { says: 'Scales', figures: true },
  { says: 'Books', figures: true },
]

/** The result of a weighing, set like a printed ticket, with the books beside it. */
export function WeighTicket({
  weighIn,
  reading,
  books,
}: {
  weighIn: WeighIn
  reading: WeighInReading
  books: StageSummary
}) {
  const { view, stage, unit, built } = useBuild()
  const mass = unit('mass')
  const why = useWhy()
  const pressures = weighIn.tyrePressures
  const share = unit('share')
  const { result, balance } = reading
  const { corners } = result
  const booksLeft = leftShare(reading.books.centre.y, (built.trackFront + built.trackRear) / 2)
  const { driver, fuel } = weighIn.condition
  const condition = `${driver > 0 ? `driver aboard (${formatQuantity(driver, mass)})` : 'no driver'}, ${formatQuantity(fuel, unit('volume'))} fuel${weighIn.scale && `, on ${weighIn.scale}`}`
  const verdict = describeBalance(balance, mass)
  const { build } = view
  const taken = build.baseSigma === null ? known(build.baseMass, build.baseGrade).sigma : null
  const finding = balance.verdict === 'balance' ? describeFinding(balance, taken, mass) : null
  const toReference = sayKnown(reading.atReference, mass)
  const copy = () => {
    const lines = [
      `${view.build.name}, ${stage.name}, ${weighIn.date}`,
      condition,
      ...(corners ? CORNERS.map((c) => `${CORNER_WORDS[c]} ${formatQuantity(corners[c], mass)}`) : []),
      [
        `Total ${formatQuantity(result.total.value, mass)}, front ${formatQuantity(result.front.value, share)}`,
        result.left && `left ${formatQuantity(result.left.value, share)}`,
        result.cross && `cross ${formatQuantity(result.cross.value, share)}`,
      ]
        .filter(Boolean)
        .join(', '),
      verdict,
    ]
    void navigator.clipboard.writeText(lines.join('\n')).then(() => toast('Ticket copied.'))
  }
  return (
    <article
      aria-label="Weigh ticket"
      className="max-w-[760px] border border-edge bg-panel [border-image:repeating-linear-gradient(90deg,var(--edge)_0_6px,transparent_6px_10px)_1] print:border-0"
    >
      <header className="!flex flex-wrap items-baseline justify-between gap-2 border-b border-dashed border-edge px-5 py-3">
        <h2 className="text-[22px]">
          {view.build.name}, {stage.name}
        </h2>
        <span className="text-muted">
          {format(parseISO(weighIn.date), 'd MMM yyyy')}, {condition}
        </span>
      </header>
      <div className="grid gap-5 px-5 py-4 @lg:grid-cols-[210px_1fr]">
        {corners ? (
          <CornerPlan corners={corners} />
        ) : (
          <p className="self-center text-[13px] text-muted">{METHOD[weighIn.readings.method]}</p>
        )}
        <table data-testid="weigh-results" className="w-full self-start">
          <TableHead columns={HEAD} />
          <tbody>
            <Row name="Total" scales={result.total} books={reading.books.mass} unit={mass} />
            <Row name="Front share" scales={result.front} books={reading.booksFront} unit={share} />
            {result.left && <Row name="Left share" scales={result.left} books={booksLeft} unit={share} />}
            {result.cross && corners && (
              <tr className="border-t border-line">
                <th scope="row" className="py-1.5 text-left font-medium">
                  <span className="inline-flex items-center gap-1.5">
                    Cross share
                    <ShowWorking
                      working={{
                        title: 'Cross share',
                        formula: '(front right + rear left) / total',
                        inputs: CORNERS.map(
                          (c) => [CORNER_WORDS[c], formatQuantity(corners[c], mass)] as const,
                        ),
                        result: `${formatFigure(result.cross.value, share)} %`,
                        source: 'Milliken & Milliken, Race Car Vehicle Dynamics, chapter 18 (from memory)',
                      }}
                    />
                  </span>
                </th>
                <td className="text-right text-[18px]">
                  <Figure known={result.cross} unit={share} />
                </td>
                <td className="text-right text-[12.5px] text-muted">
                  {result.crossIsIndicative ? 'an indication' : 'springs set it'}
                </td>
              </tr>
            )}
          </tbody>
        </table>
      </div>
      {(result.cannot.length > 0 || result.crossIsIndicative || result.repeatability !== null) && (
        <p className="px-5 pb-3 text-[13px] text-muted" data-testid="cannot">
          {METHOD[weighIn.readings.method]}.{' '}
          {result.cannot.length > 0 &&
            `No ${result.cannot.map((c) => c.measure).join(' and no ')} share: ${itemAt(result.cannot, 0).why.toLowerCase()} `}
          {result.crossIsIndicative &&
            'The cross share is only an indication: the springs settled anew between the two halves. '}
          {result.repeatability !== null &&
            `Corners read twice repeat to ${formatQuantity(result.repeatability, mass)}.`}
        </p>
      )}
      <footer className="border-t border-dashed border-edge px-5 py-3">
        <p
          className={`flex flex-wrap items-center gap-2 font-medium ${balance.verdict === 'balance' ? 'text-zinc' : 'text-oxide'}`}
        >
          {verdict}
          <ShowWorking
            working={{
              title: 'Do the books balance?',
              formula: 'z = (scales − books) / √(σ² + σ²); off beyond 1.96',
              inputs: [
                [
                  'Scales',
                  `${formatFigure(result.total.value, mass)} ±${formatFigure(result.total.sigma, mass)} ${mass.symbol}`,
                ],
                [
                  'Books, same condition',
                  `${formatFigure(reading.books.mass.value, mass)} ±${formatFigure(reading.books.mass.sigma, mass)} ${mass.symbol}`,
                ],
                ['Difference', `${formatFigure(balance.difference, mass)} ${mass.symbol}`],
              ],
              result: `z = ${formatNumber(balance.z, 2)}`,
              source: 'JCGM 100:2008; two-sided 95 % test (from memory)',
            }}
          />
        </p>
        {finding && (
          <p
            className={`mt-1 text-[13px] ${taken === null ? 'text-muted' : 'text-ochre'}`}
            data-testid="books-find"
          >
            {finding}
          </p>
        )}
        <p className="mt-1 text-[13px] text-muted">
          In the reference condition it weighs {toReference}.{' '}
          <ShowWorking
            working={{
              title: 'In the reference condition',
              formula: 'what the scales read, less who and what was aboard, and with what is to be',
              inputs: [
                ['Scales', formatQuantity(result.total.value, mass)],
                [
                  'Brought to the reference condition by',
                  formatQuantity(reading.atReference.value - result.total.value, mass),
                ],
              ],
              result: toReference,
              source: 'JCGM 100:2008, 5.2: what a scale is off by itself is in all its readings',
              why: why(reading.atReference, mass),
            }}
          />{' '}
          {reading.books.unplaced > 1 &&
            `${formatQuantity(reading.books.unplaced, mass)} of the ledger has no place stated, which widens the books’ shares. `}
          {books.openLinesSoFar > 0 && `${books.openLinesSoFar} lines are still open and not in these books.`}
        </p>
        {weighIn.checklist && <SetUp weighIn={weighIn} reading={reading} />}
        {pressures && (
          <p className="mt-1 text-[13px] text-muted">
            Tyres {CORNERS.map((c) => formatFigure(pressures[c], unit('pressure'))).join(', ')}{' '}
            {unit('pressure').symbol} (front left, front right, rear left, rear right)
          </p>
        )}
        <p className="no-print mt-2 flex gap-2">
          <Button onClick={copy}>Copy</Button>
          <Button onClick={() => window.print()}>Print</Button>
        </p>
      </footer>
    </article>
  )
}

function Row({ name, scales, books, unit }: { name: string; scales: Known; books: Known; unit: Unit }) {
  return (
    <tr className="border-t border-line">
      <th scope="row" className="py-1.5 text-left font-medium">
        {name}
      </th>
      <td className="text-right text-[18px]">
        <Figure known={scales} unit={unit} />
      </td>
      <td className="text-right text-[16px] text-muted">
        <Figure known={books} unit={unit} />
      </td>
    </tr>
  )
}
