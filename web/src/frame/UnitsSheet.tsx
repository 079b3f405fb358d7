import { METRIC, QUANTITIES, unitsOf, US, type Quantity } from '@bold-ballast/core'
import { putEdit, type BuildDocument } from '@bold-ballast/contract'
import { useBuild } from '../store/useBuild'
import { Button } from '../ui/Button'
import { SideSheet } from '../ui/SideSheet'

const NAMES: Partial<Record<Quantity, string>> = {
  mass: 'Mass',
  length: 'Length',
  power: 'Power',
  torque: 'Torque',
  pressure: 'Pressure',
  temperature: 'Temperature',
  volume: 'Volume',
  powerToWeight: 'Power to weight',
  stiffness: 'Spring rate',
  velocity: 'Speed',
  massFlow: 'Mass flow',
  fuelUse: 'Fuel use',
}

/** The unit each quantity is shown in. Any unit can be typed into any field, whatever is chosen here. */
export function UnitsSheet({ open, onClose }: { open: boolean; onClose: () => void }) {
  const { view, units, save, unit } = useBuild()
  const choose = (chosen: BuildDocument['build']['units']) =>
    save('Choose units', [putEdit(view, 'build', { ...view.build, units: chosen })])
  return (
    <SideSheet open={open} onClose={onClose} title="Units">
      <p className="mb-3 text-muted">
        What {view.build.name} is shown in. Any unit can be typed into any field.
      </p>
      <p className="mb-4 flex gap-2">
        <Button onClick={() => choose(METRIC as BuildDocument['build']['units'])}>All metric</Button>
        <Button onClick={() => choose(US as BuildDocument['build']['units'])}>All US</Button>
      </p>
      <div className="grid grid-cols-2 gap-3">
        {(Object.keys(QUANTITIES) as Quantity[])
          .filter((q) => NAMES[q])
          .map((quantity) => (
            <label key={quantity} className="flex flex-col gap-1 text-[13px] text-muted">
              {NAMES[quantity]}
              <select
                className="rounded-[3px] border border-edge bg-panel px-2 py-1 text-[14px] text-ink"
                value={unit(quantity).symbol}
                onChange={(e) =>
                  choose({ ...units, [quantity]: e.target.value } as BuildDocument['build']['units'])
                }
              >
                {unitsOf(quantity).map((u) => (
                  <option key={u.symbol}>{u.symbol}</option>
                ))}
              </select>
            </label>
          ))}
      </div>
    </SideSheet>
  )
}
