import { withoutVersion, type DownforceTest, putEdit } from '@bold-ballast/contract'
import { carPolar, formatNumber, fromSi, unitOf, itemWhere, itemAt } from '@bold-ballast/core'
import { useMemo } from 'react'
import { useBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { Chart, type Series } from '../../../ui/Chart'
import { RowButtons } from '../../../ui/RowButtons'
import { ShowWorking } from '../../../ui/ShowWorking'
import { TableHead } from '../../../ui/TableHead'
import { useAero } from '../useAero'
import { elementByRide, nearestRide, rideResults, ridesLearned } from '@bold-ballast/model'

const DEGREE = unitOf('angle', '°')
const degrees = (angle: number) => formatNumber(fromSi(angle, DEGREE), 1)
const plusMinus = ({ value, sigma }: { value: number; sigma: number }) =>
  `${formatNumber(value, 3)} ±${formatNumber(sigma, 3)}`
const percent = (share: number) => formatNumber(share * 100, 1)

/** One log of held speeds: what each axle really got, beside the sheet, and the sheet put right by it. */
export function OneRide({ test, onChange }: { test: DownforceTest; onChange: () => void }) {
  const { view, stage, ledger, saveSaying, removeSaying, built } = useBuild()
  const { elements, massFront } = useAero()
  const { wheelbase } = built
  const results = useMemo(() => rideResults(test, elements, wheelbase), [test, elements, wheelbase])
  const known = useMemo(() => ('problem' in results ? [] : results), [results])
  // The run that is nearest to how the wing stands now says most about the car as it is.
  const nearest = nearestRide(known, elements)
  const isApplied = elements.some((e) => e.correction !== null && e.from.includes(test.name))
  const changes = useMemo(
    () => (nearest ? ridesLearned(nearest, elements, wheelbase) : []),
    [nearest, elements, wheelbase],
  )
  const wingId = known.find((r) => r.wingId !== null)?.wingId ?? null
  const wing = elements.find((e) => e.id === wingId && e.wing)
  const series = useMemo<Series[]>(() => {
    const turned = known.flatMap(({ angle, measured: { frontShare } }) =>
      angle !== null && frontShare ? [{ angle, frontShare }] : [],
    )
    if (!wing?.wing || turned.length < 2) return []
    const angles = turned.map((r) => r.angle).sort((a, b) => a - b)
    const [from, to] = [itemAt(angles, 0), itemAt(angles, -1)]
    const line = Array.from({ length: 21 }, (_, i) => from + ((to - from) * i) / 20)
    const sheet = carPolar(elements, wing.id, line, wheelbase)
    const x = sheet.map((p) => Number(degrees(p.angle)))
    const y = sheet.map((p) => (p.frontShare === null ? null : Number(percent(p.frontShare))))
    return [
      {
        name: 'Sheet',
        x,
        y,
        colour: '--blued',
        says: x.map((a, i) => `Sheet: ${y[i] ?? '–'} % in front at ${a}°`),
      },
      {
        name: 'Measured',
        colour: '--oxide',
        mode: 'markers' as const,
        x: turned.map((r) => Number(degrees(r.angle))),
        y: turned.map((r) => Number(percent(r.frontShare.value))),
        says: turned.map(
          (r) =>
            `Measured: ${percent(r.frontShare.value)} ±${percent(r.frontShare.sigma)} % in front at ${degrees(r.angle)}°`,
        ),
      },
      {
        name: 'Mass',
        colour: '--ink',
        dash: 'dot' as const,
        x,
        y: x.map(() => Number(percent(massFront))),
        says: x.map(() => `The mass has ${percent(massFront)} % in front`),
      },
    ]
  }, [known, wing, elements, wheelbase, massFront])
  const regrade = () => {
    const from = `Downforce log, ${test.name}, ${test.date}`
    const edits = changes.map(({ element: { id }, ...learned }) => {
      const element = itemWhere(view.aeroElements, (e) => e.id === id)
      return putEdit(view, 'aeroElement', withoutVersion(elementByRide(element, learned, from)))
    })
    const says = `${changes.length} elements of the sheet are put right by it.`
    saveSaying(`Take the downforce measured ${test.date}`, edits, says)
  }
  const remove = () => {
    removeSaying('downforceTest', test.id, `the downforce log ${test.name}`, 'Downforce log removed.')
  }
  return (
    <section aria-label={test.name} className="mb-6" data-testid="ride">
      <div className="flex flex-wrap items-baseline justify-between gap-2">
        <h2 className="text-[19px]">
          {test.name}{' '}
          <span className="text-[13.5px] font-normal text-muted">
            downforce, {test.date}
            {test.stageId !== stage.id && `, at ${ledger.stages.find((s) => s.id === test.stageId)?.name}`}
          </span>
        </h2>
        <span className="flex gap-1">
          <RowButtons name={test.name} recordId={test.id} onChange={onChange} onRemove={remove} />
        </span>
      </div>
      {'problem' in results && (
        <p role="alert" className="text-oxide">
          {results.problem.replace(/^./, (c) => c.toUpperCase())}.
        </p>
      )}
      {nearest?.measured.frontShare && (
        <p className="text-[17px]" data-testid="ride-says">
          <span className="figure text-[26px]">{percent(nearest.measured.frontShare.value)}</span>{' '}
          <span className="unit">±{percent(nearest.measured.frontShare.sigma)} %</span> of the downforce is in
          front{nearest.angle !== null && ` with the wing at ${degrees(nearest.angle)}°`}, the sheet says{' '}
          {nearest.sheet.frontShare === null ? 'none' : `${percent(nearest.sheet.frontShare)} %`}; the mass
          has {percent(massFront)} %.{' '}
          <ShowWorking
            working={{
              title: 'Downforce from held speeds',
              formula: 'F = 2·k·Δz / ratio;  C_L·A = dF/d(½ρv²), each axle by itself',
              inputs: [
                ['Held speeds', String(test.runs.reduce((n, r) => n + r.points.length, 0))],
                [
                  'Wheel rates',
                  `${formatNumber(test.wheelRate.front / 1000, 1)} and ${formatNumber(test.wheelRate.rear / 1000, 1)} N/mm`,
                ],
                ['Logged', test.sensor === 'damper' ? 'damper travel' : 'ride heights'],
                ['Speed of the air', `× ${formatNumber(test.speedFactor, 3)}`],
              ],
              result: `${percent(nearest.measured.frontShare.value)} % in front`,
              source: 'least squares over dynamic pressure; rates known to 4 % (common practice)',
            }}
          />
        </p>
      )}
      {known.length > 0 && (
        <div
          className="relative overflow-x-auto"
          role="region"
          aria-label={`Runs of ${test.name}`}
          tabIndex={0}
        >
          <table
            className="w-full max-w-[760px] whitespace-nowrap [&_td]:pl-4 [&_thead_th]:pl-4 [&_thead_th:first-child]:pl-0"
            data-testid="rides"
          >
            <TableHead
              columns={[
                { says: 'Run' },
                { says: 'Front (m²)', figures: true },
                { says: 'Sheet', figures: true },
                { says: 'Rear (m²)', figures: true },
                { says: 'Sheet', figures: true },
                { says: 'In front (%)', figures: true },
                { says: 'Sheet', figures: true },
              ]}
            />
            <tbody>
              {known.map((r, i) => (
                <tr key={i} className="border-b border-line">
                  <th scope="row" className="py-1 text-left font-medium">
                    {r.angle === null ? `Run ${i + 1}` : `Wing at ${degrees(r.angle)}°`}
                  </th>
                  <td className="figure text-right text-[17px]">{plusMinus(r.measured.front)}</td>
                  <td className="figure text-right text-[17px] text-muted">
                    {formatNumber(r.sheet.front, 3)}
                  </td>
                  <td className="figure text-right text-[17px]">{plusMinus(r.measured.rear)}</td>
                  <td className="figure text-right text-[17px] text-muted">
                    {formatNumber(r.sheet.rear, 3)}
                  </td>
                  <td className="figure text-right text-[17px]">
                    {r.measured.frontShare ? percent(r.measured.frontShare.value) : '–'}
                  </td>
                  <td className="figure text-right text-[17px] text-muted">
                    {r.sheet.frontShare === null ? '–' : percent(r.sheet.frontShare)}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
      {isApplied ? (
        <p className="mt-2 text-zinc">The sheet was put right by this one.</p>
      ) : (
        changes.length > 0 && (
          <div className="mt-2" data-testid="regrade">
            <p className="text-[14px]">By it, each as far as it was in doubt:</p>
            <ul className="max-w-[560px] text-[14px]">
              {changes.map(({ element, lift, liftSpread }) => (
                <li
                  key={element.id}
                  className="flex flex-wrap justify-between gap-x-4 border-b border-line py-1"
                >
                  <span>{element.name}</span>
                  <span>
                    presses {formatNumber(lift, 2)} times as hard, known to{' '}
                    {formatNumber(Math.min(1, liftSpread) * 100, 0)} % instead of{' '}
                    {formatNumber((element.correction?.liftSpread ?? element.spread) * 100, 0)}
                  </span>
                </li>
              ))}
            </ul>
            <Button className="mt-2" onClick={regrade}>
              Put the sheet right by it
            </Button>
          </div>
        )
      )}
      {series.length > 0 && wing && (
        <Chart
          title="Balance over the wing’s angle, measured"
          summary={`Front share of the downforce at ${itemAt(series, 1).x.length} settings of ${wing.name}, measured and by the sheet.`}
          xTitle="Angle (°)"
          yTitle="In front (%)"
          series={series}
          table={{
            header: ['angle (°)', 'sheet or measured', 'front share (%)'],
            rows: series.slice(0, 2).flatMap((s) => s.x.map((a, i) => [a, s.name, s.y[i] ?? null])),
          }}
          filename={`${view.build.name} wing sweep ${test.date}`}
          height={260}
        />
      )}
    </section>
  )
}
