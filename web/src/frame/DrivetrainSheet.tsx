import { RECORDS, withoutVersion, type Build } from '@bold-ballast/contract'
import { LAUNCHES, tyreSize, usualLoss } from '@bold-ballast/core'
import { zodResolver } from '@hookform/resolvers/zod'
import { useState } from 'react'
import { useWatch } from 'react-hook-form'
import { put } from '../store/commit'
import { useBuild } from '../store/useBuild'
import { Button } from '../ui/Button'
import { FormCheck, FormQuantities, FormSelect, FormText } from '../ui/form'
import { FormNumber } from '../ui/FormNumber'
import { SheetForm } from '../ui/SheetForm'
import { SideSheet } from '../ui/SideSheet'
import { useKeptForm } from '../ui/useKeptForm'
import { gearName } from '../words/gearName'
import { LAUNCH } from '../words/names'

type BuildForm = Omit<Build, 'version'>
type Drivetrain = NonNullable<Build['drivetrain']>
const NOTHING = undefined as unknown as number
const rpm = (n: number) => (n * Math.PI) / 30

/** A middling car to start from; ratios and tyre are asked for. */
const blank = (): Drivetrain => ({
  ...{ ratios: [NOTHING, NOTHING, NOTHING, NOTHING, NOTHING], finalDrive: NOTHING, rollingRadius: NOTHING },
  ...{ between: 1, tyreSize: '', growth: 0.005, boostThreshold: null, limiter: rpm(7000), shiftSpeed: null },
  ...{ shiftTime: 0.35, launchSpeed: rpm(4000), grip: 1.1, dragArea: 0.7, rollingResistance: 0.014 },
  ...{ wheelInertia: 4, engineInertia: 0.15, propshaftInertia: 0.02, axleDownforce: 0 },
  ...{ lockedDifferential: false, launch: 'brisk', layout: null, loss: null },
})

/** Gears, tyre, grip and drag: what a straight-line run and the used band need to know. */
export function DrivetrainSheet({ onClose }: { onClose: () => void }) {
  const { view, units, save } = useBuild()
  const record = withoutVersion(view.build)
  const { control, handleSubmit, setValue, kept } = useKeptForm<BuildForm>(`drivetrain.${view.build.id}`, {
    resolver: zodResolver(RECORDS.build),
    defaultValues: { ...record, drivetrain: record.drivetrain ?? blank() },
  })
  const drivetrain = useWatch({ control, name: 'drivetrain' })
  const [fault, setFault] = useState<string | null>(null)
  const submit = handleSubmit(({ drivetrain: typed }) => {
    const faults = save('Change gears and grip', [put(view, 'build', { ...record, drivetrain: typed })])
    if (faults) return setFault(faults[0]!.problem)
    kept.forget()
    onClose()
  })
  const ratios = drivetrain?.ratios ?? []
  const size = tyreSize(drivetrain?.tyreSize ?? '')
  // About 3 % less than unloaded, to the millimetre: more would be pretending.
  const sized = 'diameter' in size ? Math.round(size.diameter * 0.97 * 500) / 1000 : null
  return (
    <SideSheet open onClose={onClose} title="Gears and grip">
      <SheetForm onSubmit={submit} kept={kept} fault={fault} says="Save gears and grip">
        <fieldset className="col-span-2 grid grid-cols-3 items-start gap-3">
          <legend className="sr-only">Ratios</legend>
          {ratios.map((_, i) => (
            <FormNumber
              key={`${i} of ${ratios.length}`}
              control={control}
              name={`drivetrain.ratios.${i}`}
              label={gearName(i).replace(/^./, (c) => c.toUpperCase())}
            />
          ))}
          <FormNumber control={control} name="drivetrain.finalDrive" label="Final drive" />
          <FormNumber control={control} name="drivetrain.between" label="Drop or transfer" hint="1 without" />
        </fieldset>
        <p className="col-span-2 flex gap-2">
          <Button
            disabled={ratios.length >= 10}
            onClick={() => setValue('drivetrain.ratios', [...ratios, NOTHING], { shouldDirty: true })}
          >
            One more gear
          </Button>
          <Button
            disabled={ratios.length <= 1}
            onClick={() => setValue('drivetrain.ratios', ratios.slice(0, -1), { shouldDirty: true })}
          >
            One gear less
          </Button>
        </p>
        <div>
          <FormText
            control={control}
            name="drivetrain.tyreSize"
            label="Driven tyre"
            hint="Such as 265/35R18; empty if measured"
          />
          {sized !== null && sized !== drivetrain?.rollingRadius && (
            <Button
              look="quiet"
              className="!px-0"
              onClick={() => setValue('drivetrain.rollingRadius', sized, { shouldDirty: true })}
            >
              Take {(sized * 1000).toFixed(0)} mm from it
            </Button>
          )}
        </div>
        <FormQuantities
          control={control}
          units={units}
          fields={[
            [
              'drivetrain.rollingRadius',
              'Rolling radius, driven',
              'length',
              { hint: 'Wheel centre to ground, loaded' },
            ],
            ['drivetrain.limiter', 'Limiter', 'engineSpeed'],
            ['drivetrain.shiftSpeed', 'Shifted at', 'engineSpeed', { hint: 'Empty: at the limiter' }],
            ['drivetrain.shiftTime', 'A shift takes', 'time', { unitSymbol: 's' }],
            ['drivetrain.launchSpeed', 'Clutch slips at', 'engineSpeed'],
          ]}
        />
        <FormNumber
          control={control}
          name="drivetrain.grip"
          label="Grip of the tyres, μ"
          hint="0.9 road, 1.1 to 1.4 track"
        />
        <FormQuantities
          control={control}
          units={units}
          fields={[['drivetrain.dragArea', 'Drag area', 'area', { hint: '0.6 to 0.9 m² without wings' }]]}
        />
        <FormNumber
          control={control}
          name="drivetrain.rollingResistance"
          label="Rolling resistance"
          hint="0.012 to 0.018"
        />
        <FormQuantities
          control={control}
          units={units}
          fields={[
            ['drivetrain.wheelInertia', 'Wheels, all four', 'inertia', { hint: 'About 1 kg·m² each' }],
            ['drivetrain.engineInertia', 'Engine and clutch', 'inertia', { hint: '0.1 to 0.25 kg·m²' }],
          ]}
        />
        <FormQuantities
          control={control}
          units={units}
          fields={[
            ['drivetrain.propshaftInertia', 'Propeller shaft', 'inertia'],
            ['drivetrain.growth', 'Tyre grows by', 'share', { hint: 'At 200 km/h; 0.5 % is usual' }],
            [
              'drivetrain.boostThreshold',
              'On the boil from',
              'engineSpeed',
              { hint: 'Boost, or torque enough' },
            ],
            [
              'drivetrain.axleDownforce',
              'Downforce, driven axle',
              'area',
              { hint: 'C_L·A; 0 without wings' },
            ],
          ]}
        />
        <FormSelect
          control={control}
          name="drivetrain.launch"
          label="Launched"
          options={LAUNCHES.map((l) => [l, LAUNCH[l]])}
        />
        <div className="self-end pb-1">
          <FormCheck control={control} name="drivetrain.lockedDifferential" label="Locked differential" />
        </div>
        <label className="col-span-2 mt-2 flex items-center gap-2">
          <input
            type="checkbox"
            className="size-4 accent-blued"
            checked={Boolean(drivetrain?.layout)}
            onChange={(e) =>
              setValue('drivetrain.layout', e.target.checked ? { entry: 90 / 3.6, exit: 55 / 3.6 } : null)
            }
          />
          A drift layout with entry and exit speeds
        </label>
        {drivetrain?.layout && (
          <FormQuantities
            control={control}
            units={units}
            fields={[
              ['drivetrain.layout.entry', 'Comes in at', 'velocity'],
              ['drivetrain.layout.exit', 'Goes out at', 'velocity'],
            ]}
          />
        )}
        <label className="col-span-2 mt-2 flex items-center gap-2">
          <input
            type="checkbox"
            className="size-4 accent-blued"
            checked={Boolean(drivetrain?.loss)}
            onChange={(e) => {
              const [least, most] = usualLoss(view.build.layout, 'rollerLoaded')
              setValue('drivetrain.loss', e.target.checked ? { least, most } : null)
            }}
          />
          Own range for what is lost from crank to wheels
        </label>
        {drivetrain?.loss && (
          <FormQuantities
            control={control}
            units={units}
            fields={[
              ['drivetrain.loss.least', 'Lost, at least', 'share'],
              ['drivetrain.loss.most', 'Lost, at most', 'share'],
            ]}
          />
        )}
      </SheetForm>
    </SideSheet>
  )
}
