import type { SealedFigures } from '@bold-ballast/contract'
import { fromSi, preferredUnit, type Unit, type UnitPreferences, itemAt } from '@bold-ballast/core'
import { useMemo } from 'react'
import { Chart, type Series } from '../ui/Chart'

function seriesOf(curve: SealedFigures['curve'], power: Unit, torque: Unit, rpm: Unit): Series[] {
  const x = curve.map((p) => Number(fromSi(p.speed, rpm).toFixed(0)))
  const line = (name: string, values: readonly number[], colour: string, { symbol }: Unit): Series => {
    const y = values.map((v) => Number(v.toFixed(1)))
    return {
      name: `${name} (${symbol})`,
      x,
      y,
      colour,
      says: y.map((v, i) => `${name}: ${v} ${symbol} at ${x[i]} ${rpm.symbol}`),
    }
  }
  return [
    line(
      'Power',
      curve.map((p) => fromSi(p.torque * p.speed, power)),
      '--oxide',
      power,
    ),
    line(
      'Torque',
      curve.map((p) => fromSi(p.torque, torque)),
      '--blued',
      torque,
    ),
  ]
}

/** The curve that a stage stands on. */
export function ProofCurve({
  curve,
  dyno,
  units,
  filename,
}: Pick<SealedFigures, 'curve' | 'dyno'> & { units: UnitPreferences; filename: string }) {
  const [power, torque, rpm] = useMemo(
    () => [
      preferredUnit('power', units),
      preferredUnit('torque', units),
      preferredUnit('engineSpeed', units),
    ],
    [units],
  )
  const series = useMemo(() => seriesOf(curve, power, torque, rpm), [curve, power, torque, rpm])
  return (
    <div className="break-inside-avoid">
      <Chart
        title="Wheel power and torque"
        summary={`Power and torque over engine speed, on ${dyno}.`}
        xTitle={`Engine speed (${rpm.symbol})`}
        yTitle={`${power.symbol}, ${torque.symbol}`}
        series={series}
        table={{
          header: [rpm.symbol, ...series.map((s) => s.name)],
          rows: itemAt(series, 0).x.map((v, i) => [v, ...series.map((s) => s.y[i] ?? null)]),
        }}
        filename={filename}
        height={230}
      />
    </div>
  )
}
