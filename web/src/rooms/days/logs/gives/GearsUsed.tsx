import { formatNumber, formatQuantity, gearsLogged } from '@bold-ballast/core'
import { useMemo } from 'react'
import { useBuild } from '../../../../store/useBuild'
import type { LoggedRun } from '../lapsLogged'
import { useRunCar } from '../useGripLimits'
import { Given } from './Given'

/** Which gears were used, and up to where. */
export function GearsUsed({ one: { log, run } }: { one: LoggedRun }) {
  const speed = useBuild().unit('engineSpeed')
  const car = useRunCar(run)
  const gears = useMemo(
    () =>
      gearsLogged(
        log,
        car && { overalls: car.ratios.map((ratio) => ratio * car.finalDrive), radius: car.rollingRadius },
      ),
    [log, car],
  )
  if (gears.length === 0) return null
  return (
    <Given name="Gears">
      {gears.map(({ gear, share, fastest }) => (
        <span key={gear} className="mr-4 inline-block whitespace-nowrap">
          {gear}: <b className="figure">{formatNumber(share * 100, 0)} %</b>
          {fastest !== null && <span className="text-muted"> up to {formatQuantity(fastest, speed, 0)}</span>}
        </span>
      ))}
    </Given>
  )
}
