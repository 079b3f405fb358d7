import { formatQuantity, fromSi, itemAt, type Unit } from '@bold-ballast/core'
import { kilosFor, type TradeLine } from '@bold-ballast/model'
import { useMemo } from 'react'
import { Chart, type Series } from '../../../ui/Chart'

/** How many kilos less are as quick as so many kilowatts more. */
export function PowerOrMass({
  power,
  mass,
  lines,
  powerUnit,
  massUnit,
}: {
  power: readonly (number | null)[] | undefined
  mass: readonly (number | null)[] | undefined
  lines: { readonly power: TradeLine; readonly mass: TradeLine } | null
  powerUnit: Unit
  massUnit: Unit
}) {
  const kilos = useMemo(
    () =>
      power && mass && lines && !power.includes(null) && !mass.includes(null)
        ? kilosFor(power as number[], { values: lines.mass.values, laps: mass as number[] })
        : null,
    [power, mass, lines],
  )
  const series = useMemo((): Series[] => {
    if (!kilos || !lines) return []
    return [
      {
        name: 'as quick',
        x: lines.power.values.map((w) => Number(fromSi(w, powerUnit).toFixed(1))),
        y: kilos.map((k) => (k === null ? null : Number(fromSi(k, massUnit).toFixed(1)))),
        colour: '--blued',
        says: kilos.map(
          (k, i) =>
            `${formatQuantity(itemAt(lines.power.values, i), powerUnit, 0)} more or ${k === null ? 'more kilos than were tried' : formatQuantity(k, massUnit, 0)} less`,
        ),
      },
    ]
  }, [kilos, lines, powerUnit, massUnit])
  if (!kilos || !lines) return null
  const at = lines.power.values.findIndex((w) => w >= 20_000 - 1)
  const worth = kilos[at]
  return (
    <div>
      <Chart
        title="Power against mass"
        summary="How much lighter a car is as quick as one with so much more power."
        xTitle={`More power (${powerUnit.symbol})`}
        yTitle={`Less mass (${massUnit.symbol})`}
        series={series}
        table={{
          header: [`More power (${powerUnit.symbol})`, `Less mass (${massUnit.symbol})`],
          rows: lines.power.values.map((w, i) => {
            const kilo = kilos[i] ?? null
            return [
              Number(fromSi(w, powerUnit).toFixed(1)),
              kilo === null ? null : Number(fromSi(kilo, massUnit).toFixed(1)),
            ]
          }),
        }}
        filename="power-against-mass"
        height={250}
      />
      <p className="text-[14px]" data-testid="trade-mass">
        {worth == null
          ? `${formatQuantity(lines.power.values[at] ?? 20_000, powerUnit, 0)} are worth more kilos than were tried.`
          : `${formatQuantity(itemAt(lines.power.values, at), powerUnit, 0)} are worth ${formatQuantity(worth, massUnit, 0)} here.`}
      </p>
    </div>
  )
}
