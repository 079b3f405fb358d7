import type { Build } from '@bold-ballast/contract'
import { formatQuantity, type SetupCheck, type Unit, type UnitPreferences } from '@bold-ballast/core'
import { useWatch, type Control } from 'react-hook-form'
import { FormCheck, FormQuantity } from '../../../ui/form'
import type { WeighInForm } from './ReadingsFields'
import { setUpCosts } from '@bold-ballast/model'

const STEPS: readonly (readonly [Exclude<SetupCheck, 'level'>, string])[] = [
  ['pressures', 'Tyres at running pressure'],
  ['barsOff', 'Anti-roll bars disconnected'],
  ['settled', 'Rolled and bounced, settled'],
  ['straight', 'Steering straight'],
  ['driverIn', 'Driver, or his mass, in the seat'],
]

/** The set-up before weighing, with what each step left out could be worth on this car. */
export function ChecklistFields({
  control,
  units,
  build,
  mass,
  unit,
}: {
  control: Control<WeighInForm>
  units: UnitPreferences
  build: Build
  /** kg, as read so far, or what the books say. */
  mass: number
  unit: Unit
}) {
  const level = useWatch({ control, name: 'checklist.level' }) ?? null
  const driver = useWatch({ control, name: 'condition.driver' })
  const steps = driver > 0 ? STEPS.filter(([check]) => check !== 'driverIn') : STEPS
  const costs = setUpCosts(build, {
    mass,
    centre: build.baseCentre,
    level: Number.isNaN(level) ? null : level,
  })
  const worth = (check: SetupCheck) => formatQuantity(costs[check], unit)
  return (
    <fieldset className="col-span-2 grid grid-cols-2 gap-2 rounded-[3px] border border-line p-3">
      <legend className="px-1 text-[13px] text-muted">Set-up, and what leaving it out could be worth</legend>
      <FormQuantity
        control={control}
        name="checklist.level"
        label="Pads level to within"
        quantity="length"
        units={units}
        hint={`${level === null ? 'Not looked at' : 'That'}: ${worth('level')} of cross weight`}
      />
      <span />
      {steps.map(([check, words]) => (
        <div key={check} className="col-span-2 flex items-baseline justify-between gap-2">
          <FormCheck control={control} name={`checklist.${check}`} label={words} />
          <span className="text-[13px] text-muted">{worth(check)}</span>
        </div>
      ))}
    </fieldset>
  )
}
