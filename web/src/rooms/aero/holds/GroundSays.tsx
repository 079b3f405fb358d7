import { AXLE_ENDS, gapUnder, touchesFrom, type Panelled, type Stance } from '@bold-ballast/model'
import { useMemo } from 'react'
import { formatNumber, fromSi, type SupportPlace } from '@bold-ballast/core'
import { useBuild } from '../../../store/useBuild'
import { useLiveCar } from '../../../store/useCar'
import { ShowWorking } from '../../../ui/ShowWorking'
import { SUPPORT } from '@bold-ballast/words'
import { mm } from './safetyTone'

const RATES: Record<Stance['rates'], string> = {
  stated: 'wheel rates as typed',
  suspension: 'springs, rubbers and stops as in Stance',
  springs: 'wheel rates of the springs typed as bought',
  assumed: 'wheel rates assumed for 2 Hz: nobody typed springs',
}

const STOPPED = { rubber: 'on its bump rubbers', metal: 'on metal', droop: 'at full droop' } as const
/** What besides its springs carries the car there. */
const stoppedWords = ({ axles }: Stance): string =>
  AXLE_ENDS.flatMap((end) => {
    const { carriedBy } = axles[end]
    return carriedBy === 'spring' ? [] : [`The ${end} stands ${STOPPED[carriedBy]} there. `]
  }).join('')

/** The gap that a panel keeps to the ground at a speed, and where one more support would help most. */
export function GroundSays({
  element,
  q,
  stance,
  helps,
}: {
  element: Panelled
  /** Dynamic pressure, Pa. */
  q: number
  stance: Stance
  /** Where one more support helps most, and what the panel gives way then. */
  helps: { readonly place: SupportPlace; readonly gives: number } | null
}) {
  const { unit } = useBuild()
  const car = useLiveCar()
  const velocity = unit('velocity')
  const found = gapUnder(car, element, q, stance)
  const from = useMemo(() => touchesFrom(car, element), [car, element])
  const { taken } = found
  const side = (m: number) => `${formatNumber(m * 1000, 1)} mm`
  return (
    <p className="text-[15px]" data-testid="ground-says">
      {found.gap > 0 ? (
        <>
          <span className="figure text-[22px]">{mm(found.gap)}</span> <span className="unit">mm</span> to the
          ground are left
        </>
      ) : (
        <span className="text-oxide">It touches the ground</span>
      )}{' '}
      at its {found.x < element.x ? 'front' : 'rear'} edge
      {from === 0
        ? ', standing still in that pitch and roll already'
        : from !== null && from < 150
          ? `; it touches from ${formatNumber(fromSi(from, velocity), 0)} ${velocity.symbol}`
          : ''}
      .{' '}
      {helps &&
        taken.gives - helps.gives > 0.0005 &&
        `One more support ${SUPPORT[helps.place]} gives ${mm(taken.gives - helps.gives)} mm back. `}
      {stance.pitchFrom === 'nobody' && (
        <span className="text-ochre">Nobody said how it pitches and rolls. </span>
      )}
      {stance.pitchFrom === 'springs' && 'Pitch and roll are what its springs say, anti-dive left out. '}
      {stoppedWords(stance)}
      <ShowWorking
        working={{
          title: `${element.name}, gap`,
          formula: 'gap = z − sink(x) − pitch·(L/2 − x) − roll·b/2 − bump − bending',
          inputs: [
            ['Standing still', side(element.z)],
            ['Springs under the air', side(taken.sink)],
            ['Pitch', side(taken.pitch)],
            ['Roll', side(taken.roll)],
            ['Kerbs and bumps', side(taken.bump)],
            ['It bends', side(taken.gives)],
            ['Rates', RATES[stance.rates]],
          ],
          result: side(found.gap),
          source: 'geometry of small angles; F = 2·k·z at each axle',
        }}
      />
    </p>
  )
}
