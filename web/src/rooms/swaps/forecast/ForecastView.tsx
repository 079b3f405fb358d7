import type { Line } from '@bold-ballast/contract'
import {
  formatFigure,
  formatQuantity,
  fromSi,
  NO_DOUBTS,
  weighNext,
  type WeighCandidate,
} from '@bold-ballast/core'
import { namedMass } from '@bold-ballast/model'
import { comparatorWords } from '@bold-ballast/words'
import { useMemo } from 'react'
import { useBuild } from '../../../store/useBuild'
import { useWhy } from '../../../store/useWhy'
import { Button } from '../../../ui/Button'
import { Chart, type Series } from '../../../ui/Chart'
import { GradeMark } from '../../../ui/grades'
import { ShowWorking } from '../../../ui/ShowWorking'
import { TableHead } from '../../../ui/TableHead'
import { SwingBar } from './SwingBar'
import { useForecast } from './useForecast'

/** Lines that are listed; the rest hardly move the answer. */
const LISTED = 10
const percent = (share: number) => `${Math.round(share * 100)} %`

/** What the finished car will weigh, how likely each mark is, and which lines to weigh next. */
export function ForecastView({
  onOpenLine,
  onGrowth,
}: {
  onOpenLine: (lineId: string) => void
  onGrowth: () => void
}) {
  const { view, stage, unit } = useBuild()
  const { parts, growth, forecast, problem } = useForecast()
  const why = useWhy()
  const mass = unit('mass')
  const share = unit('share')
  const lineOf = useMemo(() => new Map(view.lines.map((l) => [l.id, l])), [view.lines])
  const marks = view.marks.filter((m) => m.stageId === stage.id && forecast?.probability[m.id] !== undefined)
  const massMark = view.marks.find((m) => m.stageId === stage.id && m.measure === 'mass') ?? null
  const next = useMemo(
    () => (forecast ? weighNext(parts, forecast.mass, massMark, growth) : null),
    [forecast, parts, massMark, growth],
  )
  const series = useMemo<Series[]>(() => {
    if (!forecast) return []
    const x = forecast.curve.map((kg) => fromSi(kg, mass))
    const y = forecast.curve.map((_, i) => i)
    const says = x.map((m, i) => `${i} in 100 that it weighs ${m.toFixed(1)} ${mass.symbol} or less`)
    const curve: Series = { name: 'finished car', x, y, says, colour: '--blued' }
    if (!massMark) return [curve]
    const at = fromSi(massMark.value, mass)
    const words = `the mark, ${formatQuantity(massMark.value, mass)}`
    return [
      curve,
      { name: 'the mark', x: [at, at], y: [0, 100], says: [words, words], colour: '--ochre', dash: 'dash' },
    ]
  }, [forecast, mass, massMark])
  const open = parts.flatMap((part) => {
    const line = lineOf.get(part.id)
    return line && !line.fitted ? [line] : []
  })
  if (problem) return <p className="text-oxide">No forecast: {problem}.</p>
  if (!forecast || !next) return <p className="text-muted">Drawing …</p>
  const { p10, p50, p90 } = forecast.mass
  const telling = next.lines.filter((l) => l.share >= 0.002).slice(0, LISTED)
  const widest = Math.max(...telling.flatMap((l) => [-l.low, l.high]), 1e-9)
  return (
    <div className="max-w-[980px]">
      <dl className="flex flex-wrap gap-x-10 gap-y-3 border-y border-line py-3" data-testid="forecast">
        <Headline name={`Finished, at the end of ${stage.name}`}>
          <b className="figure text-[28px]">{formatFigure(p50, mass, 0)}</b>{' '}
          <span className="unit text-[17px]">{mass.symbol}</span>
          <ShowWorking
            working={{
              title: 'Forecast of the finished mass',
              formula: 'Σ weighed lines (normal) + Σ drawn lines (skewed, grown by grade)',
              inputs: [
                ['Draws', forecast.draws.toLocaleString('en-GB')],
                ['Lower tenth', formatQuantity(p10, mass)],
                ['Middle', formatQuantity(p50, mass)],
                ['Upper tenth', formatQuantity(p90, mass)],
                ['Growth of guesses, claims', `${percent(growth.guess)}, ${percent(growth.claim)}`],
              ],
              result: formatQuantity(p50, mass),
              source: 'Monte Carlo, JCGM 101:2008, clause 7; growth as in mass-properties control',
              why: why(
                () => ({
                  value: forecast.mass.mean,
                  sigma: forecast.mass.sigma,
                  grade: 'guess',
                  doubts: namedMass(view, stage.id, 'planned').doubts ?? NO_DOUBTS,
                }),
                mass,
                'that guesses are skewed, and grow',
              ),
            }}
          />
        </Headline>
        <Headline name="Eight times in ten between">
          <b className="figure text-[22px]">
            {formatFigure(p10, mass, 0)} and {formatFigure(p90, mass, 0)}
          </b>{' '}
          <span className="unit text-[15px]">{mass.symbol}</span>
        </Headline>
        <Headline name="Front share">
          <b className="figure text-[22px]">{formatFigure(forecast.frontShare.p50, share, 1)}</b>{' '}
          <span className="unit text-[15px]">
            {formatFigure(forecast.frontShare.p10, share, 1)} to{' '}
            {formatFigure(forecast.frontShare.p90, share, 1)} %
          </span>
        </Headline>
        {marks.map((mark) => {
          const u = unit(mark.measure === 'mass' ? 'mass' : 'powerToWeight')
          return (
            <Headline
              key={mark.id}
              name={`Chance of ${comparatorWords(u)[mark.comparator]} ${formatQuantity(mark.value, u)}`}
            >
              <b className="figure text-[22px]">{percent(forecast.probability[mark.id] ?? 0)}</b>
            </Headline>
          )
        })}
      </dl>
      <p className="mt-3 text-[16px]" data-testid="weigh-next">
        {sayNext(
          next,
          telling,
          lineOf,
          massMark && formatQuantity(massMark.value, mass),
          massMark ? (forecast.probability[massMark.id] ?? null) : null,
        )}
      </p>
      {telling.length > 0 && (
        <table className="mt-3 w-full">
          <caption className="sr-only">Lines to weigh next, most telling first</caption>
          <TableHead
            folds
            columns={[
              { says: 'Weigh next', className: 'w-[230px]' },
              { says: 'Known by', className: 'w-[110px]' },
              { says: `What it may move the finished mass by (${mass.symbol})` },
              { says: 'Known to then', figures: true, className: 'w-[120px]' },
              { says: 'Open', unseen: true, className: 'w-[80px]' },
            ]}
          />
          <tbody>
            {telling.map((candidate, i) => {
              const line = lineOf.get(candidate.id)
              return (
                <tr
                  key={candidate.id}
                  className="border-b border-line @max-2xl:grid @max-2xl:grid-cols-[1fr_auto] @max-2xl:py-2"
                >
                  <th scope="row" className="py-1.5 text-left font-medium">
                    {i + 1} {line?.name ?? 'The car as bought'}
                    {line && line.quantity > 1 && ` × ${line.quantity}`}
                  </th>
                  <td className="@max-2xl:order-2">{line && <GradeMark grade={line.grade} word />}</td>
                  <td className="@max-2xl:order-last @max-2xl:col-span-2">
                    <SwingBar low={candidate.low} high={candidate.high} widest={widest} unit={mass} />
                  </td>
                  <td className="text-right text-muted @max-2xl:order-3">
                    ±{formatFigure(candidate.sigmaAfter, mass, 1)} {mass.symbol}
                  </td>
                  <td className="text-right @max-2xl:order-1">
                    {line && (
                      <Button look="quiet" onClick={() => onOpenLine(line.id)}>
                        Weigh<span className="sr-only"> {line.name}</span>
                      </Button>
                    )}
                  </td>
                </tr>
              )
            })}
          </tbody>
        </table>
      )}
      <Chart
        title="How likely each mass is"
        summary={`One time in ten the finished car weighs less than ${formatQuantity(p10, mass)}, half the time less than ${formatQuantity(p50, mass)}, nine times in ten less than ${formatQuantity(p90, mass)}.`}
        xTitle={`Finished mass (${mass.symbol})`}
        yTitle="Chance of no more (%)"
        series={series}
        table={{
          header: ['chance of no more (%)', `mass (${mass.symbol})`],
          rows: forecast.curve.flatMap((kg, i) =>
            i % 5 === 0 ? [[i, Number(fromSi(kg, mass).toFixed(2))]] : [],
          ),
        }}
        filename={`${view.build.name} ${stage.name} forecast`}
        height={260}
      />
      <StillToFit lines={open} growth={growth} onOpenLine={onOpenLine} onGrowth={onGrowth} />
    </div>
  )
}

function Headline({ name, children }: { name: string; children: React.ReactNode }) {
  return (
    <div>
      <dt className="text-[13px] text-muted">{name}</dt>
      <dd className="flex items-baseline gap-1.5">{children}</dd>
    </div>
  )
}

/** The one sentence that the view is for. */
function sayNext(
  next: ReturnType<typeof weighNext>,
  telling: readonly WeighCandidate[],
  lineOf: ReadonlyMap<string, Line>,
  mark: string | null,
  met: number | null,
): string {
  if (telling.length === 0)
    return 'Everything that matters is weighed. The next step is the whole car on the scales.'
  const names = (count: number) =>
    telling
      .slice(0, count)
      .map((l) => lineOf.get(l.id)?.name ?? 'the car as bought')
      .join(', ')
  if (!mark || met === null)
    return `Weigh ${names(3)} next: they hold most of what is not known. Set a mark on mass, and this says what would settle it.`
  if (next.settles === 0)
    return `The forecast points one way already: the mark of ${mark} ${met > 0.5 ? 'met' : 'missed'}, ${Math.round(100 * Math.max(met, 1 - met))} times in 100. Weighing more parts would only confirm it; the finished car on the scales shows it.`
  if (next.settles === null || next.settles > telling.length)
    return `No weighing of parts is likely to settle the mark of ${mark}: the answer lies too close to it. Weigh ${names(3)} first all the same.`
  const these = next.settles === 1 ? 'this one' : `these ${next.settles}`
  return `Weigh ${these} next: ${names(next.settles)}. Chances are ${Math.round(next.chance * 100)} in 100 that it settles the mark of ${mark}.`
}

function StillToFit({
  lines,
  growth,
  onOpenLine,
  onGrowth,
}: {
  lines: readonly Line[]
  growth: ReturnType<typeof useForecast>['growth']
  onOpenLine: (lineId: string) => void
  onGrowth: () => void
}) {
  const { unit } = useBuild()
  const mass = unit('mass')
  const grown = (line: Line) =>
    line.mass *
    line.quantity *
    (line.kind === 'on' ? 1 + growth[line.grade] : 1) *
    (line.kind === 'off' ? -1 : 1)
  const moving = lines.filter((l) => l.kind !== 'moved')
  const total = moving.reduce((sum, l) => sum + grown(l), 0)
  return (
    <section aria-label="Still to fit" className="mt-6">
      <div className="flex flex-wrap items-baseline gap-4">
        <h2 className="text-[20px]">Still to fit or take off</h2>
        <Button look="quiet" onClick={onGrowth}>
          Growth: guess +{percent(growth.guess)}, claim +{percent(growth.claim)}
        </Button>
      </div>
      {moving.length === 0 ? (
        <p className="text-muted">Nothing: every line up to this stage is done.</p>
      ) : (
        <table className="mt-1 w-full">
          <TableHead
            columns={[
              { says: 'Part' },
              { says: 'Known by', className: 'w-[110px]' },
              { says: `Planned (${mass.symbol})`, figures: true },
              { says: `Expected (${mass.symbol})`, figures: true },
            ]}
          />
          <tbody>
            {moving.map((line) => (
              <tr key={line.id} className="border-b border-line">
                <th scope="row" className="py-1 text-left font-medium">
                  <button className="prints text-left hover:underline" onClick={() => onOpenLine(line.id)}>
                    {line.name}
                  </button>
                </th>
                <td>
                  <GradeMark grade={line.grade} word />
                </td>
                <td className="text-right text-muted">
                  {formatFigure((line.kind === 'off' ? -1 : 1) * line.mass * line.quantity, mass)}
                </td>
                <td className="text-right">{formatFigure(grown(line), mass)}</td>
              </tr>
            ))}
            <tr>
              <th scope="row" className="py-1.5 text-left font-medium">
                Together
              </th>
              <td />
              <td />
              <td className="figure text-right text-[18px]">{formatFigure(total, mass)}</td>
            </tr>
          </tbody>
        </table>
      )}
    </section>
  )
}
