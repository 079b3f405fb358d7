import { fileOf, type Build } from '@bold-ballast/contract'
import { formatFigure, formatKnown, formatNumber, formatQuantity } from '@bold-ballast/core'
import { format } from 'date-fns'
import { useBuild } from '../../store/useBuild'
import { Button } from '../../ui/Button'
import { csvOf, download } from '../../ui/download'
import { VERDICT_TEXT } from '../../ui/PlumbBar'
import { sayMark } from '../../words/sayMark'
import { openRisks } from './openRisks'
import { ProofCurve } from './ProofCurve'
import { ProofLists } from './ProofLists'
import { useProof } from './useProof'

const DISCIPLINE: Record<Build['discipline'], string> = {
  track: 'Track',
  drift: 'Drift',
  timeAttack: 'Time attack',
}

/** The printable verdict of a stage: marks, weighing, power, gears, weak links, balance, changes and open risks. */
export function ProofView() {
  const { view, stage, ledger, units, unit } = useBuild()
  const proof = useProof()
  const { summary, marks, car, gears, rungs, aero, changed, className } = proof
  const { build } = view
  const [mass, power, speed] = [unit('mass'), unit('power'), unit('velocity')]
  const at = ledger.stages.indexOf(stage)
  const risks = openRisks(proof)
  const words = { units, currency: build.currency, conditions: view.conditions }
  const said = marks.map(({ mark, reading }) => ({
    reading,
    says: sayMark(mark, reading, summary, words),
    mark,
  }))
  const say = (k: { value: number; sigma: number }, u: typeof mass) => {
    const { figure, spread, unit: symbol } = formatKnown(k.value, k.sigma, u)
    return `${figure} ±${spread} ${symbol}`
  }
  const facts: readonly (readonly [string, string])[] = [
    ['Car', `${build.car || build.name}, ${DISCIPLINE[build.discipline].toLowerCase()}`],
    ['Class', className ?? 'none chosen'],
    [
      'Condition',
      `${build.reference.driver > 0 ? 'driver aboard' : 'no driver'}, ${formatQuantity(build.reference.fuel, unit('volume'))} fuel`,
    ],
    [
      'Mass',
      `${say(summary.mass, mass)}, ${{ scales: 'by the scales', books: 'by the books', plan: 'planned' }[summary.massFrom]}`,
    ],
    ...(summary.weighed
      ? ([
          [
            'Front, left, cross',
            [summary.weighed.result.front, summary.weighed.result.left, summary.weighed.result.cross]
              .map((s) => (s ? `${formatFigure(s.value, unit('share'))} %` : '–'))
              .join(', '),
          ],
        ] as const)
      : []),
    [
      'Wheel power',
      summary.measuredPower
        ? `${say(summary.measuredPower.power, power)}, ${build.powerBasis}, ${summary.measuredPower.pulls} pulls${car ? ` on ${car.curveOf.dyno}` : ''}`
        : summary.plannedPower
          ? `${say(summary.plannedPower, power)}, planned`
          : 'nobody knows',
    ],
    ...(summary.measuredPowerToWeight
      ? ([['Power to weight', say(summary.measuredPowerToWeight, unit('powerToWeight'))]] as const)
      : []),
    ...(aero && aero.balance.frontShare !== null
      ? ([
          [
            'Aero balance',
            `${formatNumber(aero.balance.frontShare * 100, 0)} ±${formatNumber((aero.sigma ?? 0) * 100, 0)} % in front, drag area ${formatNumber(aero.balance.drag, 2)} m²`,
          ],
        ] as const)
      : []),
  ]
  const saveCsv = () =>
    download(
      `${build.name} ${stage.name} proof.csv`,
      csvOf(
        ['what', 'says', 'verdict', 'reason'],
        [
          ...facts.map(([what, says]) => [what, says, '', '']),
          ...said.map(({ says }) => [
            says.measure,
            `${says.headline} (${says.target})`,
            says.verdict,
            says.reason,
          ]),
          ...gears.map((g, i) => [
            `Gear ${i + 1}`,
            `${g.ratio}, ${formatQuantity(g.speed, speed, 0)} at the limiter`,
            '',
            '',
          ]),
          ...rungs.map((r) => [r.part.name, `margin ${formatNumber(r.margin, 2)}`, r.verdict, '']),
          ...risks.map((r) => ['Open', r, '', '']),
        ],
      ),
      'text/csv',
    )
  const saveJson = () =>
    download(
      `${build.name} ${stage.name} proof.json`,
      JSON.stringify(
        {
          ...{ build: build.name, stage: stage.name, stageId: stage.id, printed: new Date().toISOString() },
          facts: Object.fromEntries(facts),
          marks: said.map(({ mark, reading, says }) => ({
            ...{ measure: mark.measure, target: says.target, value: reading.value, verdict: reading.verdict },
            reason: says.reason,
          })),
          ...{ gears, risks },
          links: rungs.map((r) => ({
            name: r.part.name,
            margin: r.margin,
            sigma: r.marginSigma,
            verdict: r.verdict,
          })),
          changed: changed.map(({ entry, mass: kg }) => ({ swap: entry.swap.name, mass: kg })),
          record: fileOf(view),
        },
        null,
        2,
      ),
      'application/json',
    )
  return (
    <section aria-label="Proof sheet">
      <p className="no-print mb-3 flex flex-wrap gap-2">
        <Button look="main" onClick={() => window.print()}>
          Print, or save as PDF
        </Button>
        <Button onClick={saveCsv}>CSV</Button>
        <Button onClick={saveJson}>JSON, with the whole record</Button>
      </p>
      <article
        aria-label={`${build.name}, ${stage.name}`}
        data-testid="proof-sheet"
        className="max-w-[860px] border border-edge bg-panel px-6 py-5 [border-image:repeating-linear-gradient(90deg,var(--edge)_0_6px,transparent_6px_10px)_1] print:border-0 print:p-0"
      >
        <header className="!flex flex-wrap items-baseline justify-between gap-2 border-b border-dashed border-edge pb-2">
          <h2 className="text-[26px]">
            {build.name}, stage {at + 1}: {stage.name}
          </h2>
          <span className="text-muted">{format(new Date(), 'd MMMM yyyy')}</span>
        </header>
        <dl className="mt-3 grid gap-x-6 gap-y-1 @xl:grid-cols-[140px_1fr]">
          {facts.map(([what, says]) => (
            <div key={what} className="contents">
              <dt className="text-[13px] text-muted">{what}</dt>
              <dd className="mb-1">{says}</dd>
            </div>
          ))}
        </dl>
        {said.length > 0 && (
          <section aria-label="Marks" className="mt-4 break-inside-avoid">
            <h3 className="text-[19px]">Marks</h3>
            <ul>
              {said.map(({ says, reading, mark }) => (
                <li
                  key={mark.id}
                  className="grid items-baseline gap-x-4 border-b border-line py-1 @xl:grid-cols-[200px_150px_130px_1fr]"
                >
                  <span className="font-medium">
                    {says.measure} <span className="text-[12.5px] font-normal text-muted">{says.target}</span>
                  </span>
                  <span className="figure text-[17px]">
                    {reading.value ? say(reading.value, says.unit) : '–'}
                  </span>
                  <span className={VERDICT_TEXT[reading.verdict]}>{says.verdict}</span>
                  <span className="text-[12.5px] text-muted">{says.reason}</span>
                </li>
              ))}
            </ul>
          </section>
        )}
        {car && <ProofCurve car={car} />}
        <ProofLists proof={proof} risks={risks} />
        <footer className="mt-4 border-t border-dashed border-edge pt-2 text-[12.5px] text-muted">
          Record {stage.id.slice(0, 8)}. Computed, not certified: the organiser’s scrutineers decide.
        </footer>
      </article>
    </section>
  )
}
