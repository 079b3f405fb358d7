import { formatFigure, formatNumber, formatQuantity, STANDARD_GRAVITY } from '@bold-ballast/core'
import { useBuild } from '../../../../store/useBuild'
import type { LoggedRun } from '../lapsLogged'
import { useGripLimits } from '../useGripLimits'
import { Given } from './Given'

/** What was held sideways by speed, beside what Course takes for granted. */
export function GripHeld({ one: { look, run } }: { one: LoggedRun }) {
  const velocity = useBuild().unit('velocity')
  const shown = look.grip
  const limits = useGripLimits(run)
  if (shown.length === 0) return null
  const g = (acceleration: number) => formatNumber(acceleration / STANDARD_GRAVITY, 2)
  return (
    <Given name="Held sideways, nineteen samples of twenty; beside it what Course takes for granted">
      {shown.map(({ from, to, sideways }) => (
        <span key={from} className="mr-4 inline-block whitespace-nowrap">
          {formatFigure(from, velocity, 0)} to {formatQuantity(to, velocity, 0)}:{' '}
          <b className="figure">{g(sideways ?? 0)} g</b>
          {limits && <span className="text-muted"> of {g(limits.sideways((from + to) / 2))}</span>}
        </span>
      ))}
    </Given>
  )
}
