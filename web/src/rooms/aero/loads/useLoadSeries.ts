import { dynamicPressure, formatNumber, fromSi, STANDARD_GRAVITY, type AeroBalance } from '@bold-ballast/core'
import { useMemo } from 'react'
import { useBuild } from '../../../store/useBuild'
import type { Series } from '../../../ui/Chart'

/** Downforce of each axle over speed, now and at the stage before, as lines of a chart. */
export function useLoadSeries(
  balance: AeroBalance,
  before: AeroBalance | null,
  density: number,
): readonly Series[] {
  const { unit } = useBuild()
  const velocity = useMemo(() => unit('velocity'), [unit])
  const mass = useMemo(() => unit('mass'), [unit])
  return useMemo<Series[]>(() => {
    const speeds = Array.from({ length: 29 }, (_, i) => (i * 10) / 3.6)
    const x = speeds.map((v) => Number(fromSi(v, velocity).toFixed(0)))
    const line = (
      name: string,
      of: (b: AeroBalance) => number,
      from: AeroBalance,
      colour: string,
      dash?: 'dot',
    ): Series => {
      const y = speeds.map((v) =>
        Number(fromSi((of(from) * dynamicPressure(density, v)) / STANDARD_GRAVITY, mass).toFixed(1)),
      )
      return {
        name,
        x,
        y,
        colour,
        ...(dash && { dash }),
        says: y.map(
          (kg, i) => `${name}: ${formatNumber(kg, 0)} ${mass.symbol} at ${x[i]} ${velocity.symbol}`,
        ),
      }
    }
    return [
      line('Front', (b) => b.front, balance, '--blued'),
      line('Rear', (b) => b.rear, balance, '--oxide'),
      ...(before
        ? [
            line('Front before', (b) => b.front, before, '--blued', 'dot'),
            line('Rear before', (b) => b.rear, before, '--oxide', 'dot'),
          ]
        : []),
    ]
  }, [balance, before, density, velocity, mass])
}
