import { memo } from 'react'
import {
  formatNumber,
  formatQuantity,
  STANDARD_GRAVITY,
  type GripLimits,
  type LoggedTrace,
} from '@bold-ballast/core'
import { useBuild } from '../../../store/useBuild'
import { Chart, type Series } from '../../../ui/Chart'
import type { GripUse } from './gripUseOf'

const g = (acceleration: number) => Number((acceleration / STANDARD_GRAVITY).toFixed(3))
const TURN = Array.from({ length: 73 }, (_, i) => (i * Math.PI) / 36)
const percent = (share: number) => `${formatNumber(share * 100, 0)} %`

/** Sideways over lengthways of two laps, inside of what the tyres have at the middle speed of this one's corners. */
export const FrictionChart = memo(function FrictionChart({
  a,
  limits,
  use,
}: {
  a: LoggedTrace
  limits: GripLimits
  use: { readonly a: GripUse | null; readonly b: GripUse | null } | null
}) {
  const velocity = useBuild().unit('velocity')
  if (!use?.a) return null
  const own = use.a
  const speeds = (a.channels.get('speed') ?? [])
    .filter((_, i) => (own.used[i] ?? 0) > 0.4)
    .sort((x, y) => x - y)
  const middle = speeds[Math.floor(speeds.length / 2)]
  if (middle === undefined) return null
  const lap = (name: string, { sideways, forward, used, step }: GripUse, look: Partial<Series>): Series => ({
    name,
    x: sideways.map(g),
    y: forward.map(g),
    colour: '--blued',
    mode: 'markers',
    // Named at the line's end they would lie over the dots; the sentence below says which is which.
    label: null,
    says: used.map(
      (share, i) =>
        `${name}, ${i * step} m: ${formatNumber(g(sideways[i] ?? 0), 2)} g sideways, ${formatNumber(g(forward[i] ?? 0), 2)} g along, ${percent(share)} of the grip`,
    ),
    ...look,
  })
  const [side, brake] = [g(limits.sideways(middle)), g(limits.braking(middle))]
  // Forward the engine is the limit as often: only the half under braking is drawn.
  const rim = TURN.filter((at) => Math.sin(at) <= 1e-9)
  const series: Series[] = [
    lap('this', own, { symbol: 'circle' }),
    ...(use.b ? [lap('the other', use.b, { colour: '--oxide', symbol: 'diamond', hollow: true })] : []),
    {
      name: 'what the tyres have',
      x: rim.map((at) => Number((side * Math.cos(at)).toFixed(3))),
      y: rim.map((at) => Number((brake * Math.sin(at)).toFixed(3))),
      colour: '--ink',
      dash: 'dot',
      says: rim.map(
        () =>
          `What the tyres have at ${formatQuantity(middle, velocity, 0)}: ${formatNumber(side, 2)} g sideways, ${formatNumber(brake, 2)} g on the brakes`,
      ),
    },
  ]
  const means = [own.mean, use.b?.mean ?? null]
  const says = means.map((mean) => (mean === null ? 'nothing' : percent(mean)))
  return (
    <div>
      <Chart
        title="Grip used"
        summary={`Acceleration along over sideways. Cornering and braking, this lap uses ${says[0]} of what the tyres have, the other ${says[1]}.`}
        xTitle="Sideways, left (g)"
        yTitle="Along (g)"
        series={series}
        table={{
          header: ['Lap', 'Grip used cornering and braking'],
          rows: [
            ['this', says[0] ?? null],
            ['the other', says[1] ?? null],
          ],
        }}
        filename="grip-used"
        height={300}
      />
      <p className="text-[14px]" data-testid="grip-used">
        Filled is this lap, hollow the other. Cornering and braking, this one uses{' '}
        <b className="font-medium">{says[0]}</b> of what the tyres have by Course’s figures, the other{' '}
        {says[1]}.
      </p>
    </div>
  )
})
