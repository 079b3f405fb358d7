import {
  compareCurves,
  CORRECTION_NAMES,
  CORRECTIONS,
  doubtSource,
  formatNumber,
  fromSi,
  spreadFromSi,
  unitOf,
  type Correction,
  type DoubtSource,
  type Unit,
  itemAt,
  largestDoubt,
} from '@bold-ballast/core'
import { isSameDyno } from '@bold-ballast/model'
import { useMemo, useState } from 'react'
import { useBuild } from '../../../store/useBuild'
import { useDrive } from '../../../store/useDrive'
import { Chart, type Series } from '../../../ui/Chart'
import { EmptyRoom } from '../../../ui/EmptyRoom'
import { ShowWorking } from '../../../ui/ShowWorking'
import { FOLDED, TableHead } from '../../../ui/TableHead'
import { BridgeDynos } from './BridgeDynos'
import {
  bridgeOfSides,
  compareSides,
  comparedBand,
  type ComparedBand,
  bridgeSpread,
  doubtedCurvesOf,
  doubtedPulls,
  likelyPair,
  sidesOf,
  type Compared,
  type ComparedRow,
  type Side,
} from '@bold-ballast/model'
import { PlanPulls } from './PlanPulls'
import { PowerByStage } from './PowerByStage'
import { describeDoubt, whatDiffers } from '@bold-ballast/words'

const RPM = unitOf('engineSpeed', 'rpm')
const STEP = (100 * Math.PI) / 30
const BOX = 'w-full min-w-0 rounded-[3px] border border-edge bg-panel px-2 py-1 text-ink'
const WORDS: Record<Compared, string> = {
  peakPower: 'Peak power',
  peakTorque: 'Peak torque',
  bandPower: 'Mean power over the used band',
  area: 'Area under the curve, as mean power',
  bandWidth: 'Width of the 90 % band',
  arrival: 'Boost or torque arrives at',
}
/** More names than these say little of a ±. */
const MOST_NAMED = 5
const toRpm = (speed: number) => Math.round((speed * 30) / Math.PI)
const sayRpm = (speed: number) => toRpm(speed).toLocaleString('en-GB')

/** What helps where that stands in the way. */
const REMEDY: Partial<Record<DoubtSource['of'], string>> = {
  day: 'Pull both on one day.',
  dyno: 'Pull both on one dyno.',
  pull: 'Bridge the dynos by more pulls.',
}

/** @param sayDoubt words of a doubt, by its name */
const sayNeeded = ({ gain }: ComparedRow, sayDoubt: (name: string) => string): string => {
  if (gain.verdict === 'real') return 'Real.'
  const most = largestDoubt(gain.shared)
  if (gain.isSharedInTheWay && most)
    return `Not shown: ${sayDoubt(most)} stands in the way, and no more pulls there make up for it. ${REMEDY[doubtSource(most).of] ?? ''}`.trim()
  if (gain.moreNeeded === null) return 'Not shown, and no number of pulls would show a difference this small.'
  return `Not shown. ${gain.moreNeeded} more ${gain.moreNeeded === 1 ? 'pull' : 'pulls'} of each would show one of this size.`
}

const sayBand = ({ from, isCut }: ComparedBand) =>
  `${from === 'gears' ? 'from the gears' : 'the 90 % band, as no gears are typed'}${isCut ? ', as far as both were run' : ''}`

/** Configuration against configuration: curves, their difference with its band, and whether a gain is real. */
export function CompareView() {
  const { view, stage, unit } = useBuild()
  const sides = useMemo(() => sidesOf(view), [view])
  const [chosen, setChosen] = useState<readonly [string | null, string | null]>([null, null])
  const [basis, setBasis] = useState<Correction>('observed')
  const find = (key: string | null) => sides.find((s) => s.key === key)
  const likely = likelyPair(sides, stage.id)
  const before = find(chosen[0]) ?? likely[0]
  const after = find(chosen[1]) ?? likely[1]

  if (!before || !after)
    return (
      <>
        <EmptyRoom title="Nothing to compare yet">
          Log pulls of two configurations, three of each if you can: “standard manifold”, then “long runners”.
          You get the difference along the revs with its band, and whether the gain is real or only noise.
        </EmptyRoom>
        <PlanPulls before={before} />
        <PowerByStage />
      </>
    )
  const twoDynos = !isSameDyno(before, after)
  const bridge = twoDynos ? bridgeOfSides(view, before, after, basis) : null
  return (
    <>
      <div className="grid gap-3 @2xl:grid-cols-[1fr_1fr_200px]">
        <SideChoice
          label="Before"
          sides={sides}
          side={before}
          onChange={(key) => setChosen([key, after.key])}
        />
        <SideChoice
          label="After"
          sides={sides}
          side={after}
          onChange={(key) => setChosen([before.key, key])}
        />
        <label className="flex flex-col gap-1 text-[13px] text-muted">
          Figures
          <select className={BOX} value={basis} onChange={(e) => setBasis(e.target.value as Correction)}>
            {CORRECTIONS.map((c) => (
              <option key={c} value={c}>
                {CORRECTION_NAMES[c]}
              </option>
            ))}
          </select>
        </label>
      </div>
      {before.key === after.key ? (
        <p className="mt-4 text-ochre">Choose two different configurations.</p>
      ) : twoDynos && !bridge ? (
        <BridgeDynos key={`${before.key} ${after.key}`} before={before} after={after} />
      ) : (
        <Compared
          before={before}
          after={after}
          basis={basis}
          bridge={bridge}
          power={unit('power')}
          torque={unit('torque')}
        />
      )}
      <PlanPulls before={before} />
      <PowerByStage />
    </>
  )
}

function SideChoice({
  label,
  sides,
  side,
  onChange,
}: {
  label: string
  sides: readonly Side[]
  side: Side
  onChange: (key: string) => void
}) {
  return (
    <label className="flex flex-col gap-1 text-[13px] text-muted">
      {label}
      <select className={BOX} value={side.key} onChange={(e) => onChange(e.target.value)}>
        {sides.map((s) => (
          <option key={s.key} value={s.key}>
            {s.configuration}, {s.dyno} ({s.pulls.length} {s.pulls.length === 1 ? 'pull' : 'pulls'})
          </option>
        ))}
      </select>
    </label>
  )
}

function Compared({
  before,
  after,
  basis,
  bridge,
  power,
  torque,
}: {
  before: Side
  after: Side
  basis: Correction
  bridge: ReturnType<typeof bridgeOfSides>
  power: Unit
  torque: Unit
}) {
  const { view } = useBuild()
  const drivetrain = useDrive()
  const { instruments } = view
  const sayDoubt = (name: string) => describeDoubt(name, view)
  const curves = useMemo(
    () =>
      [
        doubtedCurvesOf(doubtedPulls(before, basis, instruments, bridge), basis),
        doubtedCurvesOf(doubtedPulls(after, basis, instruments, null), basis),
      ] as const,
    [before, after, basis, instruments, bridge],
  )
  const band = useMemo(
    () => comparedBand(before, after, basis, drivetrain),
    [before, after, basis, drivetrain],
  )
  const rows = useMemo(
    () => compareSides(before, after, basis, band?.band ?? null, bridge, instruments),
    [before, after, basis, band, bridge, instruments],
  )
  const along = useMemo(
    () =>
      curves[0].curves.length > 0 && curves[1].curves.length > 0
        ? compareCurves({ ...curves[0], scale: bridge?.value ?? 1 }, curves[1], STEP)
        : null,
    [curves, bridge],
  )
  const names = [before.configuration, after.configuration] as const
  const differs = whatDiffers(before, after, basis)
  const charts = useMemo(() => {
    if (!along || along.speeds.length === 0) return null
    const x = along.speeds.map(toRpm)
    const y = (values: readonly number[]) => values.map((v) => Number(fromSi(v, power).toPrecision(5)))
    const line = (
      name: string,
      values: readonly number[],
      colour: string,
      dash?: Series['dash'],
    ): Series => ({
      name,
      x,
      y: y(values),
      colour,
      ...(dash && { dash }),
      says: y(values).map(
        (v, i) => `${name}: ${v} ${power.symbol} at ${itemAt(x, i).toLocaleString('en-GB')} rpm`,
      ),
    })
    const edge = (sign: 1 | -1) => along.difference.map((d, i) => d + sign * itemAt(along.half, i))
    return {
      overlay: [line(names[0], along.before, '--muted'), line(names[1], along.after, '--blued')],
      difference: [
        line('95 %, upper', edge(1), '--edge', 'dot'),
        line('Difference', along.difference, '--blued'),
        line('95 %, lower', edge(-1), '--edge', 'dot'),
      ],
      rows: x.map((n, i) => [
        n,
        ...[along.before, along.after, along.difference, along.half].map((v) =>
          Number(fromSi(itemAt(v, i), power).toFixed(2)),
        ),
      ]),
    }
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the names are the sides'
  }, [along, power, before, after])

  const isSpeed = (m: Compared) => m === 'bandWidth' || m === 'arrival'
  const unitOf = (m: Compared) => (isSpeed(m) ? RPM : m === 'peakTorque' ? torque : power)
  const show = (m: Compared, si: number) => formatNumber(fromSi(si, unitOf(m)), isSpeed(m) ? 0 : 1)
  const shown = along?.difference.map((d, i) => Math.abs(d) > itemAt(along.half, i))
  const first = shown ? shown.indexOf(true) : -1
  return (
    <>
      {bridge && (
        <p className="mt-3 text-ochre">
          Two dynos, bridged: figures of {before.dyno} × {formatNumber(bridge.value, 3)} ±
          {formatNumber(bridgeSpread(bridge), 3)}. What its days and pulls are off by is in every band below,
          as far as the compared pulls don’t share it.
        </p>
      )}
      {differs.length > 0 && (
        <section aria-label="What else differs" className="mt-3 border-l-4 border-ochre pl-3 text-[13.5px]">
          <p className="font-medium">More than the configuration differs; the gain may be theirs.</p>
          <ul>
            {differs.map((words) => (
              <li key={words}>{words}</li>
            ))}
          </ul>
        </section>
      )}
      <div className="mt-3 overflow-x-auto" role="region" aria-label="Gains">
        <table className="w-full " data-testid="gains">
          <TableHead
            folds
            columns={[
              { says: 'Measure' },
              { says: names[0], figures: true, className: 'pl-3' },
              { says: names[1], figures: true, className: 'pl-3' },
              { says: 'Difference', figures: true, className: 'pl-5' },
              { says: 'Is it real?', className: 'pl-5' },
            ]}
          />
          <tbody>
            {rows.map((row) => (
              <tr
                key={row.measure}
                className="border-b border-line @max-2xl:grid @max-2xl:grid-cols-3 @max-2xl:py-2"
              >
                <th scope="row" className="py-1.5 text-left font-medium @max-2xl:col-span-3">
                  {WORDS[row.measure]}{' '}
                  {row.measure === 'area' && (
                    <span className="block text-[12.5px] font-normal text-muted">
                      over all engine speeds that both cover
                    </span>
                  )}
                  {row.measure === 'bandPower' && band && (
                    <span className="block text-[12.5px] font-normal text-muted">
                      {sayRpm(band.band[0])} to {sayRpm(band.band[1])} rpm, {sayBand(band)}
                    </span>
                  )}
                </th>
                <td className="text-right @2xl:pl-3">
                  <span className={FOLDED}>before</span>
                  <span className="figure text-[17px]">{show(row.measure, row.before)}</span>
                </td>
                <td className="text-right @2xl:pl-3">
                  <span className={FOLDED}>after</span>
                  <span className="figure text-[17px]">{show(row.measure, row.after)}</span>
                </td>
                <td className="text-right whitespace-nowrap @2xl:pl-5">
                  <span className={FOLDED}>difference</span>
                  <span className="figure text-[17px]">
                    {row.gain.difference > 0 ? '+' : ''}
                    {show(row.measure, row.gain.difference)}
                  </span>{' '}
                  <span className="unit">{unitOf(row.measure).symbol}</span>
                  <small
                    className="block text-[12.5px] text-muted"
                    title="Where the difference lies 19 times in 20"
                  >
                    {show(row.measure, row.gain.interval[0])} to {show(row.measure, row.gain.interval[1])}
                  </small>
                </td>
                <td
                  className={`pl-5 text-[13.5px] @max-2xl:col-span-3 @max-2xl:pl-0 ${row.gain.verdict === 'real' ? 'text-zinc' : 'text-ochre'}`}
                >
                  {sayNeeded(row, sayDoubt)}{' '}
                  <ShowWorking
                    working={{
                      title: `Is it real? ${WORDS[row.measure]}`,
                      formula:
                        row.gain.how === 'welch'
                          ? 't = (mean₂ − mean₁) / √(s₁²/n₁ + s₂²/n₂ + shared²), real when p < 0.05'
                          : 'one against one: real beyond 1.96·√2 = 2.77 times the stated repeatability',
                      inputs: [
                        [names[0], `${before.pulls.length} ${before.pulls.length === 1 ? 'pull' : 'pulls'}`],
                        [names[1], `${after.pulls.length} ${after.pulls.length === 1 ? 'pull' : 'pulls'}`],
                        ...Object.entries(row.gain.shared)
                          .sort(([, a], [, b]) => Math.abs(b) - Math.abs(a))
                          .slice(0, MOST_NAMED)
                          .map(
                            ([name, effect]) =>
                              [
                                `No pulls remove: ${sayDoubt(name)}`,
                                `±${formatNumber(spreadFromSi(Math.abs(effect), unitOf(row.measure), row.after), 1)} ${unitOf(row.measure).symbol}`,
                              ] as [string, string],
                          ),
                        ...(row.gain.daysApart > 1
                          ? [
                              [
                                'Days lie further apart than was assumed',
                                `${formatNumber(row.gain.daysApart, 1)} times`,
                              ] as [string, string],
                            ]
                          : []),
                        [
                          'Chance of it without a cause',
                          row.gain.p === null ? 'not known' : formatNumber(row.gain.p, 3),
                        ],
                        [
                          'Lies 95 times of 100 between',
                          `${show(row.measure, row.gain.interval[0])} and ${show(row.measure, row.gain.interval[1])}`,
                        ],
                      ],
                      result: row.gain.verdict === 'real' ? 'real' : 'not shown',
                      source:
                        'Welch, Biometrika 34 (1947), on what the pulls of one day differ by; what days that are not shared are off by comes on top (JCGM 100:2008, 5.2)',
                    }}
                  />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {rows.length > 1 && (
        <p className="mt-1 text-[13px] text-muted">
          {rows.length} measures are looked at at once: by luck alone about one comparison in{' '}
          {formatNumber(1 / (1 - 0.95 ** rows.length), 0)} calls one of them real. Say before you pull which
          one counts, and how many pulls: whoever looks after each pull and stops when it shows is wrong up to
          one time in five.
        </p>
      )}
      {charts ? (
        <>
          <Chart
            title={`Power, ${CORRECTION_NAMES[basis]}`}
            summary={`Mean power of ${names[0]} and ${names[1]} against engine speed.`}
            xTitle="Engine speed (rpm)"
            yTitle={`Power (${power.symbol})`}
            series={charts.overlay}
            table={{
              header: ['rpm', names[0], names[1], 'difference', 'within, 19 in 20'],
              rows: charts.rows,
            }}
            filename={`${view.build.name} ${names[0]} against ${names[1]}`}
            height={260}
          />
          <Chart
            title={`What ${names[1]} changes`}
            summary={`Difference in power with its 95 % band; ${first < 0 ? 'nowhere beyond it' : `beyond it from ${itemAt(charts.overlay, 0).x[first]} rpm`}.`}
            xTitle="Engine speed (rpm)"
            yTitle={`Difference (${power.symbol})`}
            series={charts.difference}
            table={{
              header: ['rpm', names[0], names[1], 'difference', 'within, 19 in 20'],
              rows: charts.rows,
            }}
            filename={`${view.build.name} difference of ${names[1]}`}
            height={220}
          />
          <p className="text-[13px] text-muted">
            The band comes from{' '}
            {along?.from === 'repeats'
              ? 'how far the repeats lie apart'
              : 'the dyno’s stated repeatability, as nothing was repeated'}
            , and holds 95 times of 100 at any one engine speed: somewhere along the revs a difference of
            nothing leaves it more often. Where it holds zero, the difference may be noise.
          </p>
        </>
      ) : (
        <p className="mt-3 text-[13px] text-muted">
          Curves on both sides that share engine speeds would show the difference along the revs.
        </p>
      )}
    </>
  )
}
