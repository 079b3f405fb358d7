import type { Outing, Run } from '@bold-ballast/contract'
import { formatNumber, formatQuantity } from '@bold-ballast/core'
import { stintOf } from '@bold-ballast/model'
import { useBuild } from '../../../store/useBuild'
import { sayTime } from '../sayTime'
import { useCourseLap } from '../useCourseLap'

/** A stint of an endurance race: pace, how it fades, and for how many laps the fuel goes. */
export function StintSays({ run, day }: { run: Run; day: Outing }) {
  const { unit } = useBuild()
  const lap = useCourseLap(day)
  const { laps, drove, pace, fade, fuel } = stintOf(run, lap?.fuel ?? null)
  if (laps === 0) return null
  const parts = [
    `${laps} ${laps === 1 ? 'lap' : 'laps'}, ${formatNumber(drove / 60, 0)} min`,
    pace !== null && `pace ${sayTime(pace)}`,
    fade !== null &&
      (Math.abs(fade) < 0.005
        ? 'it doesn’t fade'
        : `${formatNumber(Math.abs(fade), 2)} s a lap ${fade > 0 ? 'slower' : 'quicker'} as it goes`),
  ].filter(Boolean)
  return (
    <p className="mt-1 text-[15px]" data-testid="stint">
      {parts.join(' · ')}
      {fuel && (
        <>
          {' · '}
          <b className={`font-medium ${fuel.laps < 3 ? 'text-oxide' : ''}`}>
            {formatQuantity(fuel.left, unit('volume'), 0)} left, for {fuel.laps}{' '}
            {fuel.laps === 1 ? 'lap' : 'laps'} more
          </b>{' '}
          <span className="text-[13.5px] text-muted">
            at {formatQuantity(lap?.fuel ?? 0, unit('volume'), 2)} a lap
          </span>
        </>
      )}
    </p>
  )
}
