import {
  formatFigure,
  formatNumber,
  preferredUnit,
  STANDARD_GRAVITY,
  type LoggedTrace,
  type LogRole,
  type UnitPreferences,
} from '@bold-ballast/core'
import { useMemo } from 'react'
import { useBuild } from '../../../store/useBuild'
import { Chart, type Series } from '../../../ui/Chart'

/** A channel that both laps are drawn with. */
export interface ChannelShown {
  readonly role: LogRole
  readonly title: string
  /** Of a quantity, in the unit of the person; else by what it is multiplied, and its unit. */
  readonly shownIn:
    'velocity' | 'engineSpeed' | 'pressure' | { readonly times: number; readonly symbol: string }
  readonly height: number
}

const G = { times: 1 / STANDARD_GRAVITY, symbol: 'g' } as const

/** Channels of two laps that can be looked at, in the order in which they stand below each other. */
export const CHANNELS: readonly ChannelShown[] = [
  { role: 'speed', title: 'Speed', shownIn: 'velocity', height: 210 },
  { role: 'throttle', title: 'Throttle', shownIn: { times: 100, symbol: '%' }, height: 130 },
  { role: 'brakeFront', title: 'Front brakes', shownIn: 'pressure', height: 130 },
  { role: 'brakeRear', title: 'Rear brakes', shownIn: 'pressure', height: 130 },
  { role: 'gear', title: 'Gear', shownIn: { times: 1, symbol: '' }, height: 130 },
  { role: 'engineSpeed', title: 'Engine speed', shownIn: 'engineSpeed', height: 150 },
  { role: 'sideways', title: 'Sideways', shownIn: G, height: 150 },
  { role: 'forward', title: 'Along', shownIn: G, height: 150 },
]

interface Lap {
  readonly trace: LoggedTrace
  readonly says: string
}

/** One channel of two laps at equal distance. */
export function ChannelChart({
  channel: { role, title, shownIn, height },
  one,
  other,
  at,
  onAt,
}: {
  channel: ChannelShown
  one: Lap
  other: Lap
  at: number
  onAt: (at: number) => void
}) {
  const { units } = useBuild()
  const drawn = useMemo(
    () => drawnOf(role, title, shownIn, one, other, units),
    [role, title, shownIn, one, other, units],
  )
  if (!drawn) return null
  return (
    <Chart
      title={`${title} of both`}
      summary={`${title} of ${drawn.series.length === 2 ? 'both laps' : `${drawn.series[0]?.name} lap alone`} over distance.`}
      xTitle="Along the line (m)"
      // The name stands above it; a low chart has no room for it beside, too.
      yTitle={drawn.symbol || title}
      series={drawn.series}
      table={drawn.table}
      filename={`${title.toLowerCase().replace(/ /g, '-')}-of-both`}
      height={height}
      at={at}
      onAt={onAt}
    />
  )
}

/** What is drawn of a channel; null where neither lap has it. */
function drawnOf(
  role: LogRole,
  title: string,
  shownIn: ChannelShown['shownIn'],
  one: Lap,
  other: Lap,
  units: UnitPreferences,
) {
  const quantity = typeof shownIn === 'string' ? preferredUnit(shownIn, units) : null
  const symbol = quantity?.symbol ?? (typeof shownIn === 'string' ? '' : shownIn.symbol)
  const figure = (value: number): number | null => {
    if (Number.isNaN(value)) return null
    if (quantity) return Number(formatFigure(value, quantity, 1).replace(/,/g, ''))
    return typeof shownIn === 'string' ? value : Number((value * shownIn.times).toFixed(2))
  }
  const laps = [
    { ...one, name: 'this', colour: '--blued', dash: 'solid' as const },
    { ...other, name: 'the other', colour: '--oxide', dash: 'dash' as const },
  ].flatMap(({ trace, ...lap }) => {
    const values = trace.channels.get(role)?.map(figure)
    return values?.some((v) => v !== null) ? [{ ...lap, values, step: trace.step }] : []
  })
  const [first] = laps
  if (!first) return null
  const named = symbol ? `${title} (${symbol})` : title
  return {
    symbol,
    series: laps.map(({ name, colour, dash, values, says, step }): Series => ({
      name,
      x: values.map((_, i) => i * step),
      y: values,
      colour,
      dash,
      says: values.map(
        (v, i) => `${says}, ${i * step} m: ${v === null ? 'nothing' : `${formatNumber(v, 1)} ${symbol}`}`,
      ),
    })),
    table: {
      header: ['Along the line (m)', ...laps.map((lap) => `${named}, ${lap.name}`)],
      rows: first.values.flatMap((_, i) =>
        i % 10 === 0 ? [[i * first.step, ...laps.map((lap) => lap.values[i] ?? null)]] : [],
      ),
    },
  }
}
