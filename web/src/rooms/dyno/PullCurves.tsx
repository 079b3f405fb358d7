import type { DynoDay, Pull } from '@bold-ballast/contract'
import {
  CORRECTION_NAMES,
  CORRECTIONS,
  formatNumber,
  fromSi,
  powerAt,
  type Correction,
  type Unit,
} from '@bold-ballast/core'
import { useMemo, useState } from 'react'
import { useBuild } from '../../store/useBuild'
import { Choice } from '../../ui/Choice'
import { Chart, type Series } from '../../ui/Chart'
import { curveUnder } from './pullFigures'

const COLOURS = ['--blued', '--oxide', '--zinc', '--ochre', '--ink', '--edge']
const CURVES = [
  ['power', 'Power'],
  ['torque', 'Torque'],
] as const
const rpm = (speed: number) => Math.round((speed * 30) / Math.PI)
const figure = (si: number, unit: Unit) => Number(fromSi(si, unit).toPrecision(5))

/** Curves of one dyno laid over each other, all observed or all corrected, never a mixture. */
export function PullCurves({
  pulls,
  day,
  correction,
  onCorrection,
}: {
  pulls: readonly Pull[]
  day: DynoDay
  correction: Correction
  onCorrection: (correction: Correction) => void
}) {
  const { view, ledger, unit } = useBuild()
  const [air, setAir] = useState<'observed' | 'corrected'>('observed')
  const [what, setWhat] = useState<'power' | 'torque'>('power')
  const [withOthers, setWithOthers] = useState(false)
  const wanted = air === 'observed' ? 'observed' : correction
  const shown = unit(what)

  // Another day on the same dyno may be laid over; another dyno may not.
  const sameDyno = useMemo(
    () => view.dynoDays.filter((d) => d.id !== day.id && d.dyno === day.dyno && d.kind === day.kind),
    [view.dynoDays, day],
  )
  const otherDyno = view.dynoDays.filter((d) => d.dyno !== day.dyno || d.kind !== day.kind)
  const drawn = useMemo(() => {
    const earlier = withOthers
      ? view.pulls.flatMap((pull) =>
          sameDyno.filter((d) => d.id === pull.dynoDayId).map((d) => ({ pull, from: d })),
        )
      : []
    return [...pulls.map((pull) => ({ pull, from: day })), ...earlier].flatMap(({ pull, from }) => {
      const curve = curveUnder(pull, from, wanted)
      const stage = ledger.stages.findIndex((s) => s.id === from.stageId) + 1
      return curve ? [{ name: from.id === day.id ? pull.name : `${pull.name}, stage ${stage}`, curve }] : []
    })
  }, [pulls, day, wanted, withOthers, view.pulls, sameDyno, ledger.stages])
  const withCurve = pulls.filter((p) => p.points).length

  const series = useMemo<Series[]>(
    () =>
      drawn.map(({ name, curve }, i) => {
        const y = curve.map((p) => figure(what === 'power' ? powerAt(p) : p.torque, shown))
        const x = curve.map((p) => rpm(p.speed))
        return {
          name,
          x,
          y,
          colour: COLOURS[i % COLOURS.length]!,
          dash: i >= COLOURS.length ? 'dash' : 'solid',
          says: y.map((v, k) => `${name}: ${v} ${shown.symbol} at ${x[k]!.toLocaleString('en-GB')} rpm`),
        }
      }),
    [drawn, what, shown],
  )
  const table = useMemo(() => {
    const speeds = [
      ...new Set(drawn.flatMap((d) => d.curve.map((p) => Math.round(rpm(p.speed) / 250) * 250))),
    ].sort((a, b) => a - b)
    const near = (curve: readonly { speed: number; torque: number }[], speed: number) => {
      const found = curve.filter((p) => Math.abs(rpm(p.speed) - speed) <= 60)
      return found.length
        ? figure(
            found.reduce((s, p) => s + (what === 'power' ? powerAt(p) : p.torque), 0) / found.length,
            shown,
          )
        : null
    }
    return {
      header: ['rpm', ...drawn.map((d) => `${d.name} (${shown.symbol})`)],
      rows: speeds.map((s) => [s, ...drawn.map((d) => near(d.curve, s))]),
    }
  }, [drawn, what, shown])

  const air_words = air === 'observed' ? 'observed' : CORRECTION_NAMES[correction]
  const peaks = series
    .map((s) => `${s.name} ${formatNumber(Math.max(...s.y.map((v) => v ?? 0)), 1)}`)
    .join(', ')
  return (
    <section className="mb-4" aria-label="Curves">
      <div className="no-print flex flex-wrap items-center gap-x-6 gap-y-2">
        <Choice
          label="Air"
          value={air}
          options={[
            ['observed', 'Observed'],
            ['corrected', CORRECTION_NAMES[correction]],
          ]}
          onChange={setAir}
        />
        <Choice label="Curve" value={what} options={CURVES} onChange={setWhat} />
        <label className="no-print inline-flex items-center gap-2 text-[13px] text-muted">
          Correct by
          <select
            value={correction}
            onChange={(e) => onCorrection(e.target.value as Correction)}
            className="rounded-[3px] border border-edge bg-panel px-2 py-1 text-ink"
          >
            {CORRECTIONS.filter((c) => c !== 'observed').map((c) => (
              <option key={c} value={c}>
                {CORRECTION_NAMES[c]}
              </option>
            ))}
          </select>
        </label>
        {sameDyno.length > 0 && (
          <label className="flex items-center gap-2">
            <input
              type="checkbox"
              className="size-4 accent-blued"
              checked={withOthers}
              onChange={(e) => setWithOthers(e.target.checked)}
            />
            Other days on this dyno
          </label>
        )}
      </div>
      {drawn.length < withCurve && (
        <p className="mt-2 text-ochre">
          {withCurve - drawn.length} of the curves can’t be shown {air_words}: the air of the day was not
          written down.
        </p>
      )}
      {withCurve > 0 && (
        <Chart
          title={`${what === 'power' ? 'Power' : 'Torque'}, ${air_words}`}
          summary={`${what === 'power' ? 'Power' : 'Torque'} in ${shown.symbol} against engine speed, ${air_words}. Peaks: ${peaks}.`}
          xTitle="Engine speed (rpm)"
          yTitle={`${what === 'power' ? 'Power' : 'Torque'} (${shown.symbol}), ${day.kind === 'engine' ? 'crank' : 'wheels'}`}
          series={series}
          table={table}
          filename={`${view.build.name} ${day.date} ${what} ${air}`}
          height={300}
        />
      )}
      {otherDyno.length > 0 && (
        <p className="text-[13px] text-muted">
          Pulls of {[...new Set(otherDyno.map((d) => d.dyno))].join(' and ')} are not laid over these: two
          dynos must not be compared.
        </p>
      )}
    </section>
  )
}
