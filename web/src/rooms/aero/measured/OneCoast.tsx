import { bodyByCoast, coastVerdict } from '@bold-ballast/model'
import { withoutVersion, type CoastDown, putEdit } from '@bold-ballast/contract'
import { airDensity, formatNumber, fromSi, type CoastFit, itemAt } from '@bold-ballast/core'
import { useEffect, useMemo, useState } from 'react'
import { useBuild } from '../../../store/useBuild'
import { useDrive } from '../../../store/useDrive'
import { Button } from '../../../ui/Button'
import { Chart, type Series } from '../../../ui/Chart'
import { ShowWorking } from '../../../ui/ShowWorking'
import type { CoastApi } from '../../../workers/coast.worker'
import { useAero } from '../useAero'
import { useRemote } from '../../../store/useRemote'
import { RowButtons } from '../../../ui/RowButtons'

const startWorker = () =>
  new Worker(new URL('../../../workers/coast.worker.ts', import.meta.url), { type: 'module' })

const COLOURS = ['--blued', '--oxide', '--zinc', '--ochre'] as const
const plusMinus = (f: { readonly value: number; readonly sigma: number }, decimals: number) =>
  `${formatNumber(f.value, decimals)} ±${formatNumber(f.sigma, decimals)}`

/** One coast-down: its fit beside what the sheet says, and the body's drag put right by it. */
export function OneCoast({ coast, onChange }: { coast: CoastDown; onChange: () => void }) {
  const { view, stage, ledger, unit, saveSaying, removeSaying } = useBuild()
  const { elements, balance } = useAero()
  const drive = useDrive()
  const velocity = useMemo(() => unit('velocity'), [unit])
  const density = airDensity(coast.air)
  const [fit, setFit] = useState<CoastFit | { problem: string } | null>(null)
  const api = useRemote<CoastApi>(startWorker)
  useEffect(() => {
    let isOld = false
    const { mass, equivalentMass, runs } = coast
    void api()
      .fit(runs, { mass, equivalentMass, airDensity: density })
      .then((answer) => {
        if (!isOld) setFit(answer)
      })
    return () => {
      isOld = true
    }
  }, [api, coast, density])
  const known = fit && !('problem' in fit) ? fit : null
  const series = useMemo<Series[]>(() => {
    if (!known) return []
    return coast.runs.map((run, r): Series => {
      const every = Math.max(1, Math.floor(run.points.length / 120))
      const some = run.points.flatMap((p, i) =>
        i % every === 0 ? [{ p, fit: itemAt(itemAt(known.fitted, r), i) }] : [],
      )
      const x = some.map(({ p }) => Number(p.time.toFixed(1)))
      const shown = (v: number) => Number(fromSi(v, velocity).toFixed(1))
      return {
        name: `Run ${r + 1}, ${run.direction}`,
        x,
        y: some.map(({ p }) => shown(p.speed)),
        colour: itemAt(COLOURS, r % COLOURS.length),
        dash: run.direction === 'out' ? 'solid' : 'dash',
        says: some.map(
          ({ p, fit: at }) =>
            `Run ${r + 1}: ${shown(p.speed)} ${velocity.symbol} after ${p.time.toFixed(1)} s; the fit says ${shown(at)}`,
        ),
      }
    })
  }, [known, coast.runs, velocity])
  const body = view.aeroElements.find((own) => elements.some((e) => e.kind === 'body' && e.id === own.id))
  const verdict = known && coastVerdict(known, balance.drag)
  const regrade = () => {
    if (!verdict || !body) return
    const next = bodyByCoast(body, balance.drag, verdict.dragArea, coast)
    const edits = [putEdit(view, 'aeroElement', withoutVersion(next))]
    const says = `${body.name}: C_D ${formatNumber(body.drag, 3)} → ${formatNumber(next.drag, 3)}, measured.`
    saveSaying(`Take the drag measured ${coast.date}`, edits, says)
  }
  const remove = () => {
    removeSaying('coastDown', coast.id, `the coast-down ${coast.name}`, 'Coast-down removed.')
  }
  return (
    <section aria-label={coast.name} className="mb-6" data-testid="coast">
      <div className="flex flex-wrap items-baseline justify-between gap-2">
        <h2 className="text-[19px]">
          {coast.name}{' '}
          <span className="text-[13.5px] font-normal text-muted">
            {coast.date}
            {coast.stageId !== stage.id && `, at ${ledger.stages.find((s) => s.id === coast.stageId)?.name}`}
          </span>
        </h2>
        <span className="flex gap-1">
          <RowButtons name={coast.name} recordId={coast.id} onChange={onChange} onRemove={remove} />
        </span>
      </div>
      {fit && 'problem' in fit && (
        <p role="alert" className="text-oxide">
          {fit.problem.replace(/^./, (c) => c.toUpperCase())}.
        </p>
      )}
      {known && verdict && (
        <>
          <p className="text-[17px]" data-testid="coast-says">
            Drag area <span className="figure text-[26px]">{formatNumber(known.dragArea.value, 3)}</span>{' '}
            <span className="unit">±{formatNumber(verdict.dragArea.sigma, 3)} m²</span>
            {verdict.off !== null && (
              <>
                , the sheet says {formatNumber(balance.drag, 3)}:{' '}
                <span className={verdict.agrees ? 'text-zinc' : 'text-ochre'}>
                  {verdict.agrees
                    ? 'they agree'
                    : `${verdict.off > 0 ? 'more' : 'less'} by ${formatNumber(Math.abs(verdict.off), 3)} m²`}
                </span>
              </>
            )}
            .{' '}
            {known.windTaken !== null && (
              <span className="text-ochre">
                One way alone can’t tell wind from drag: it is widened by {formatNumber(known.windTaken, 1)}{' '}
                m/s of wind that nobody felt. Roll back the other way to settle it.{' '}
              </span>
            )}
            {known.pushed > 0.5 && (
              <span className="text-ochre">
                Gusts or hills pushed the car about: it is widened by them. More runs both ways, on a still
                day, make it sharper.{' '}
              </span>
            )}
            <ShowWorking
              working={{
                title: 'Coast-down',
                formula: 'v(t) = v₀ − (A·t + C·∫v²dt ± 2Cw·∫v dt) / m',
                inputs: [
                  ['Mass, with what turns', `${formatNumber(coast.mass + coast.equivalentMass, 0)} kg`],
                  ['Air', `${formatNumber(density, 4)} kg/m³`],
                  [
                    'Runs',
                    `${coast.runs.length}, ${coast.runs.reduce((n, r) => n + r.points.length, 0)} points`,
                  ],
                  ['Speeds scatter by', `${formatNumber(known.scatter, 3)} m/s`],
                  ['Pushed by gusts or hills', `${formatNumber(known.pushed * 100, 0)} % likely`],
                  ['Line alone, 90 %', known.dragArea.interval.map((v) => formatNumber(v, 3)).join(' to ')],
                ],
                result: `${plusMinus(verdict.dragArea, 3)} m²`,
                source:
                  'least squares on the speed itself (SAE J1263, from memory), over all that its errors may be: a sensor’s noise, what hangs together, hills, gusts; 3 % more for mass, air and road (common practice)',
              }}
            />
          </p>
          <p className="text-[14px] text-muted" data-testid="coast-rolling">
            Rolling resistance {plusMinus(verdict.rolling, 4)}
            {drive && `, typed ${formatNumber(drive.rollingResistance, 4)}`}.{' '}
            {known.wind === null
              ? 'One way only: wind can’t be told from drag.'
              : `Wind along the road ${formatNumber(Math.abs(fromSi(known.wind, velocity)), 1)} ${velocity.symbol} against the way ${known.wind >= 0 ? 'out' : 'back'}, taken out.`}{' '}
            {coast.note}
          </p>
          {verdict.off !== null && body && body.from.includes(coast.date) && body.grade === 'measured' ? (
            <p className="mt-1 text-zinc">The sheet was put right by this one.</p>
          ) : (
            verdict.off !== null &&
            body && (
              <p className="mt-1">
                <Button onClick={regrade}>Put the body’s drag right by it</Button>
              </p>
            )
          )}
          <Chart
            title="Speed while it rolls out"
            summary={`Speed over time of ${coast.runs.length} runs.`}
            xTitle="Time (s)"
            yTitle={`Speed (${velocity.symbol})`}
            series={series}
            table={{
              header: ['run', 's', velocity.symbol],
              rows: series.flatMap((s) => s.x.map((t, i) => [s.name, t, s.y[i] ?? null])),
            }}
            filename={`${view.build.name} coast-down ${coast.date}`}
            height={250}
          />
        </>
      )}
    </section>
  )
}
