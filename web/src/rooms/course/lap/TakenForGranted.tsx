import type { Course } from '@bold-ballast/contract'
import { formatNumber } from '@bold-ballast/core'
import { assumedWorth, lapAssumes, type LapAssumes } from '@bold-ballast/model'
import { useMemo } from 'react'
import { useLiveCar } from '../../../store/useCar'
import { Button } from '../../../ui/Button'

const ASSUMES: Readonly<Record<LapAssumes, string>> = {
  sensitivity: 'tyres lose 10 % of their grip where their load doubles',
  differential: 'each driven wheel gets what it holds, as a locked axle gives it',
  driver: 'the driver uses all of the braking there is',
  springs: 'both ends ride at 2 Hz, without bars: the balance in corners is a guess',
  brakes: 'brakes are shared so that both axles would lock at once',
}

/** What the lap takes for granted because nobody said it, and how much of the lap hangs on each. */
export function TakenForGranted({ course, onBasis }: { course: Course; onBasis: () => void }) {
  const car = useLiveCar()
  const assumes = useMemo(() => lapAssumes(car), [car])
  const worth = useMemo(
    () => (car.geared ? assumedWorth(car.geared.run, course, assumes) : null),
    [car, course, assumes],
  )
  if (assumes.length === 0) return null
  return (
    <section aria-label="What it takes for granted" className="mt-4 max-w-[820px]">
      <h2 className="text-[19px]">What it takes for granted</h2>
      <ul className="list-disc pl-5 text-[14.5px]" data-testid="lap-assumes">
        {assumes.map((a) => (
          <li key={a}>
            {ASSUMES[a].replace(/^./, (c) => c.toUpperCase())}
            {worth?.has(a) && <> (were it otherwise: {formatNumber(worth.get(a) ?? 0, 2)} s of the lap)</>}.
          </li>
        ))}
      </ul>
      <Button look="quiet" className="!px-0" onClick={onBasis}>
        Say how it is
      </Button>
    </section>
  )
}
