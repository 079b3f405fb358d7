import { type DynoDay, type Pull } from '@bold-ballast/contract'
import { configurationOf, isSameDyno } from '@bold-ballast/model'
import {
  CORRECTION_NAMES,
  CORRECTIONS,
  formatNumber,
  fromSi,
  peaksOf,
  powerAt,
  preferredUnit,
  CHANNEL_QUANTITY,
  PULL_CHANNELS,
  smoothCurve,
  type Correction,
  type PullChannel,
  type Quantity,
  type Unit,
  itemAt,
} from '@bold-ballast/core'
import { useMemo, useState } from 'react'
import { useBuild } from '../../../store/useBuild'
import { Choice } from '../../../ui/Choice'
import { Chart, type Series } from '../../../ui/Chart'
import { CHANNEL } from '@bold-ballast/words'

import { curveUnder } from '@bold-ballast/model'

const COLOURS = ['--blued', '--oxide', '--zinc', '--ochre', '--ink', '--edge']
type What = 'power' | 'torque' | PullChannel
const WORDS: Record<What, string> = { power: 'Power', torque: 'Torque', ...CHANNEL }
const quantityOf = (what: What): Quantity =>
  what === 'power' || what === 'torque' ? what : CHANNEL_QUANTITY[what]
/** Half the window, rpm. */
const SMOOTHING = [
  ['0', 'As measured'],
  ['100', '±100 rpm'],
  ['250', '±250 rpm'],
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
  const { view, ledger, units, unit } = useBuild()
  const [air, setAir] = useState<'observed' | 'corrected'>('observed')
  const [what, setWhat] = useState<What>('power')
  const [smoothing, setSmoothing] = useState<(typeof SMOOTHING)[number][0]>('0')
  const [withOthers, setWithOthers] = useState(false)
  const wanted = air === 'observed' ? 'observed' : correction
  const shown = useMemo(
    () => (what === 'power' || what === 'torque' ? unit(what) : preferredUnit(quantityOf(what), units)),
    [what, unit, units],
  )
  const logged = PULL_CHANNELS.filter((c) => pulls.some((p) => p.channels?.[c]))
  const isCurve = what === 'power' || what === 'torque'

  // Another day on the same dyno may be laid over; another dyno may not.
  const sameDyno = useMemo(
    () => view.dynoDays.filter((d) => d.id !== day.id && isSameDyno(d, day)),
    [view.dynoDays, day],
  )
  const otherDyno = view.dynoDays.filter((d) => !isSameDyno(d, day))
  const drawn = useMemo(() => {
    const earlier = withOthers
      ? view.pulls.flatMap((pull) =>
          sameDyno.filter((d) => d.id === pull.dynoDayId).map((d) => ({ pull, from: d })),
        )
      : []
    return [...pulls.map((pull) => ({ pull, from: day })), ...earlier].flatMap(({ pull, from }) => {
      const raw = curveUnder(pull, from, wanted)
      const curve = raw && smoothCurve(raw, (Number(smoothing) * Math.PI) / 30)
      const stage = ledger.stages.findIndex((s) => s.id === from.stageId) + 1
      if (!curve || !raw) return []
      const group = from.id === day.id ? configurationOf(pull) : `${configurationOf(pull)}, stage ${stage}`
      const name = from.id === day.id ? pull.name : `${pull.name}, stage ${stage}`
      if (what === 'power' || what === 'torque') {
        const value = (p: { speed: number; torque: number }) => (what === 'power' ? powerAt(p) : p.torque)
        return [{ name, group, raw, curve, values: curve.map(value) as (number | null)[] }]
      }
      const values = pull.channels?.[what]
      return values ? [{ name, group, raw, curve, values }] : []
    })
  }, [pulls, day, wanted, withOthers, view.pulls, sameDyno, ledger.stages, smoothing, what])
  const lost = drawn.map(({ name, raw, curve }) => ({
    name,
    by: peaksOf(raw).power.value - peaksOf(curve).power.value,
  }))
  const most = lost.reduce((a, b) => (b.by > a.by ? b : a), { name: '', by: -Infinity })
  const withCurve = pulls.filter((p) => p.points).length

  const series = useMemo<Series[]>(() => {
    // One colour a configuration: its repeats are one bundle, and one of them carries its name.
    const groups = [...new Set(drawn.map((d) => d.group))]
    return drawn.map(({ name, group, curve, values }, i) => {
      const at = groups.indexOf(group)
      const y = values.map((v) => (v === null ? null : figure(v, shown)))
      const x = curve.map((p) => rpm(p.speed))
      return {
        name,
        x,
        y,
        colour: itemAt(COLOURS, at % COLOURS.length),
        dash: at >= COLOURS.length ? 'dash' : 'solid',
        label: drawn.findIndex((d) => d.group === group) === i ? group : null,
        says: y.map(
          (v, k) =>
            `${name}: ${v ?? 'nothing'} ${shown.symbol} at ${itemAt(x, k).toLocaleString('en-GB')} rpm`,
        ),
      }
    })
  }, [drawn, shown])
  const table = useMemo(() => {
    const speeds = [
      ...new Set(drawn.flatMap((d) => d.curve.map((p) => Math.round(rpm(p.speed) / 250) * 250))),
    ].sort((a, b) => a - b)
    const near = ({ curve, values }: (typeof drawn)[number], speed: number) => {
      const found = values.filter(
        (v, i) => v !== null && Math.abs(rpm(itemAt(curve, i).speed) - speed) <= 60,
      ) as number[]
      return found.length ? figure(found.reduce((sum, v) => sum + v, 0) / found.length, shown) : null
    }
    return {
      header: ['rpm', ...drawn.map((d) => `${d.name} (${shown.symbol})`)],
      rows: speeds.map((s) => [s, ...drawn.map((d) => near(d, s))]),
    }
  }, [drawn, shown])

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
        <Choice
          label="Curve"
          value={what}
          options={(['power', 'torque', ...logged] as const).map((w) => [w, WORDS[w]] as const)}
          onChange={setWhat}
        />
        {isCurve && (
          <Choice label="Smoothing" value={smoothing} options={SMOOTHING} onChange={setSmoothing} />
        )}
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
      {smoothing !== '0' && isCurve && drawn.length > 0 && (
        <p className="mt-2 text-[13px] text-ochre" data-testid="smoothing">
          Smoothed over ±{smoothing} rpm: this takes up to{' '}
          {formatNumber(Math.max(0, figure(most.by, unit('power'))), 1)} {unit('power').symbol} off a peak (
          {most.name}). The table below and all comparisons use what was measured.
        </p>
      )}
      {withCurve > 0 && (
        <Chart
          title={isCurve ? `${WORDS[what]}, ${air_words}` : WORDS[what]}
          summary={`${WORDS[what]} in ${shown.symbol} against engine speed${isCurve ? `, ${air_words}` : ''}. Peaks: ${peaks}.`}
          xTitle="Engine speed (rpm)"
          yTitle={
            isCurve
              ? `${WORDS[what]} (${shown.symbol}), ${day.kind === 'engine' ? 'crank' : 'wheels'}`
              : `${WORDS[what]} (${shown.symbol})`
          }
          series={series}
          table={table}
          filename={`${view.build.name} ${day.date} ${what} ${air}`}
          height={300}
        />
      )}
      {otherDyno.length > 0 && (
        <p className="text-[13px] text-muted">
          Pulls of {[...new Set(otherDyno.map((d) => d.dyno))].join(' and ')} are not laid over these: two
          dynos must not be compared, unless a bridge joins them (under Compare).
        </p>
      )}
    </section>
  )
}
