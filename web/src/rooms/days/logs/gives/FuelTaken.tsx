import { formatQuantity, fuelOfLap, workLogged } from '@bold-ballast/core'
import { useMemo } from 'react'
import { useBuild } from '../../../../store/useBuild'
import { useLiveCar } from '../../../../store/useCar'
import type { LoggedRun } from '../lapsLogged'
import { useRunCar } from '../useGripLimits'
import { Given } from './Given'

/** The fuel of a lap, by what its speeds took. */
export function FuelTaken({ one: { log, run, found } }: { one: LoggedRun }) {
  const { unit } = useBuild()
  const car = useRunCar(run)
  const { ethanol } = useLiveCar()
  const each = useMemo(() => {
    if (!car) return null
    const works = found.laps.flatMap((lap) =>
      lap.torn ? [] : (workLogged(log, car, [lap.from, lap.to]) ?? []),
    )
    if (works.length === 0) return null
    return fuelOfLap(works.reduce((a, b) => a + b, 0) / works.length, ethanol ?? 0)
  }, [log, car, found, ethanol])
  if (each === null) return null
  return (
    <Given name="Fuel a lap, by what its speeds took; good to about a fifth">
      <b className="figure">{formatQuantity(each, unit('volume'), 2)}</b>
    </Given>
  )
}
