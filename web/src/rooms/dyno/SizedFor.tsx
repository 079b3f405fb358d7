import { formatQuantity, type Unit } from '@bold-ballast/core'
import type { Stage } from '@bold-ballast/contract'
import { useBuild } from '../../store/useBuild'
import { QuantityField } from '../../ui/QuantityField'
import type { WantedPower } from './useWantedPower'

const FROM: Record<WantedPower['from'], string> = {
  mark: 'The mark is',
  plan: 'The plan is',
  pulls: 'The pulls stand at',
}
const say = (power: number, unit: Unit) => formatQuantity(power, unit, 0)

/** The crank power that something is sized for: what the mark takes at the most, or whatever is typed. */
export function SizedFor({
  wanted,
  power,
  onPower,
  carriedFrom,
}: {
  wanted: WantedPower | null
  power: number | null
  onPower: (power: number | null) => void
  carriedFrom: Stage | null
}) {
  const { unit } = useBuild()
  return (
    <div className="flex flex-wrap items-end gap-x-6 gap-y-2 border-y border-line py-2">
      <div className="w-[190px]">
        <QuantityField
          label="Sized for, at the crank"
          quantity="power"
          unit={unit('power')}
          value={power}
          onChange={onPower}
        />
      </div>
      <p className="max-w-[620px] text-[13.5px] text-muted">
        {wanted
          ? `${FROM[wanted.from]} ${say(wanted.wheel, unit('power'))} at the wheels; with ${(wanted.loss[0] * 100).toFixed(0)} to ${(wanted.loss[1] * 100).toFixed(0)} % lost on the way that takes ${say(wanted.crank[0], unit('power'))} to ${say(wanted.crank[1], unit('power'))} at the crank. The higher is taken.`
          : 'Set a mark for wheel power on the Board, or type the crank power to size for.'}
        {carriedFrom && ` Carried on from ${carriedFrom.name}.`}
      </p>
    </div>
  )
}
