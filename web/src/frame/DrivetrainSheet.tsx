import { RECORDS, type Drive, type RecordOf, LAUNCH, putEdit } from '@bold-ballast/contract'
import {
  formatNumber,
  LAUNCHES,
  rollingRadius,
  USUAL_SLIP,
  USUAL_SLIP_ANGLE,
  usualLoss,
} from '@bold-ballast/core'
import { zodResolver } from '@hookform/resolvers/zod'
import { useState } from 'react'
import { useWatch } from 'react-hook-form'
import { useBuild } from '../store/useBuild'
import { useCarried } from '../store/useCarried'
import { Button } from '../ui/Button'
import { FormCheck, FormQuantities, FormSelect, FormText } from '../ui/form'
import { FormNumber } from '../ui/FormNumber'
import { CarriedNote } from '../ui/CarriedNote'
import { SheetForm } from '../ui/SheetForm'
import { SideSheet } from '../ui/SideSheet'
import { Tick } from '../ui/Tick'
import { useKeptForm } from '../ui/useKeptForm'
import { gearName } from '../words/gearName'
import { NOTHING } from '../ui/record/nothing'

type DriveForm = RecordOf<'drivetrain'>
const FROM = { rollOut: 'the roll-out', diameter: 'the diameter', size: 'the size' } as const
const rpm = (n: number) => (n * Math.PI) / 30

/** A middling car to start from; ratios and tyre are asked for. */
const blank = (): Drive => ({
  ratios: [NOTHING, NOTHING, NOTHING, NOTHING, NOTHING],
  finalDrive: NOTHING,
  rollingRadius: NOTHING,
  rollOut: null,
  tyreDiameter: null,
  rearSplit: 0.5,
  clutchTorque: null,
  clutchMass: 9,
  between: 1,
  tyreSize: '',
  growth: 0.005,
  boostThreshold: null,
  limiter: rpm(7000),
  shiftSpeed: null,
  shiftTime: 0.35,
  launchSpeed: rpm(4000),
  grip: 1.1,
  dragArea: 0.7,
  rollingResistance: 0.014,
  wheelInertia: 4,
  engineInertia: 0.15,
  propshaftInertia: 0.02,
  axleDownforce: 0,
  lockedDifferential: false,
  launch: 'brisk',
  layout: null,
  slide: null,
  loss: null,
})

/** What a slide usually is, to start from. */
const usualSlide = (): NonNullable<Drive['slide']> => ({
  angle: USUAL_SLIP_ANGLE.value,
  doubt: USUAL_SLIP_ANGLE.sigma,
  least: USUAL_SLIP[0],
  most: USUAL_SLIP[1],
})

/** Gears, tyre, grip and drag: what a straight-line run and the used band need to know. */
export function DrivetrainSheet({ onClose }: { onClose: () => void }) {
  const { view, stage, units, save } = useBuild()
  const { record, carriedFrom } = useCarried('drivetrain')
  const [start] = useState<DriveForm>(
    () => record ?? { id: crypto.randomUUID(), stageId: stage.id, drive: blank(), note: '' },
  )
  const { control, handleSubmit, setValue, kept } = useKeptForm<DriveForm>(`drivetrain.${stage.id}`, {
    resolver: zodResolver(RECORDS.drivetrain),
    defaultValues: start,
  })
  const drive = useWatch({ control, name: 'drive' })
  const [fault, setFault] = useState<string | null>(null)
  const submit = handleSubmit((typed) => {
    const faults = save('Change gears and grip', [putEdit(view, 'drivetrain', typed)])
    if (faults) return setFault(faults[0]!.problem)
    kept.forget()
    onClose()
  })
  const ratios = drive?.ratios ?? []
  const known = rollingRadius({
    rollOut: drive?.rollOut ?? null,
    diameter: drive?.tyreDiameter ?? null,
    size: drive?.tyreSize || null,
  })
  // To the millimetre: more would be pretending.
  const suggested = known && { ...known, radius: Math.round(known.radius * 1000) / 1000 }
  return (
    <SideSheet open onClose={onClose} title="Gears and grip">
      <CarriedNote from={carriedFrom} stage={stage} />
      <SheetForm onSubmit={submit} kept={kept} fault={fault} says="Save gears and grip">
        <fieldset className="col-span-2 grid grid-cols-3 items-start gap-3">
          <legend className="sr-only">Ratios</legend>
          {ratios.map((_, i) => (
            <FormNumber
              key={`${i} of ${ratios.length}`}
              control={control}
              name={`drive.ratios.${i}`}
              label={gearName(i).replace(/^./, (c) => c.toUpperCase())}
            />
          ))}
          <FormNumber control={control} name="drive.finalDrive" label="Final drive" />
          <FormNumber control={control} name="drive.between" label="Drop or transfer" hint="1 without" />
        </fieldset>
        <p className="col-span-2 flex gap-2">
          <Button
            disabled={ratios.length >= 10}
            onClick={() => setValue('drive.ratios', [...ratios, NOTHING], { shouldDirty: true })}
          >
            One more gear
          </Button>
          <Button
            disabled={ratios.length <= 1}
            onClick={() => setValue('drive.ratios', ratios.slice(0, -1), { shouldDirty: true })}
          >
            One gear less
          </Button>
        </p>
        <div>
          <FormText
            control={control}
            name="drive.tyreSize"
            label="Driven tyre"
            hint="Such as 265/35R18; empty if measured"
          />
        </div>
        <FormQuantities
          control={control}
          units={units}
          fields={[
            ['drive.rollOut', 'Rolls out', 'length', { hint: 'One turn with the car on it' }],
            ['drive.tyreDiameter', 'Diameter, unloaded', 'length', { hint: 'Empty if not measured' }],
          ]}
        />
        {suggested && suggested.radius !== drive?.rollingRadius && (
          <Button
            look="quiet"
            className="col-span-2 justify-self-start !px-0"
            onClick={() => setValue('drive.rollingRadius', suggested.radius, { shouldDirty: true })}
          >
            Take {formatNumber(suggested.radius * 1000, 0)} mm from {FROM[suggested.from]}
          </Button>
        )}
        <FormQuantities
          control={control}
          units={units}
          fields={[
            [
              'drive.rollingRadius',
              'Rolling radius, driven',
              'length',
              { hint: 'Wheel centre to ground, loaded' },
            ],
            ['drive.limiter', 'Limiter', 'engineSpeed'],
            ['drive.shiftSpeed', 'Shifted at', 'engineSpeed', { hint: 'Empty: at the limiter' }],
            ['drive.shiftTime', 'A shift takes', 'time', { unitSymbol: 's' }],
            ['drive.launchSpeed', 'Clutch slips at', 'engineSpeed'],
            ['drive.clutchTorque', 'Clutch passes', 'torque', { hint: 'Slipping, at the engine' }],
            ['drive.clutchMass', 'Steel of the clutch', 'mass', { hint: 'Flywheel and plate' }],
            ...(view.build.layout === 'all'
              ? ([['drive.rearSplit', 'Torque to the rear', 'share']] as const)
              : []),
          ]}
        />
        <FormNumber
          control={control}
          name="drive.grip"
          label="Grip of the tyres, μ"
          hint="0.9 road, 1.1 to 1.4 track"
        />
        <FormQuantities
          control={control}
          units={units}
          fields={[['drive.dragArea', 'Drag area', 'area', { hint: 'Without wings: 0.6 to 0.9 m²' }]]}
        />
        <FormNumber
          control={control}
          name="drive.rollingResistance"
          label="Rolling resistance"
          hint="0.012 to 0.018"
        />
        <FormQuantities
          control={control}
          units={units}
          fields={[
            ['drive.wheelInertia', 'Wheels, all four', 'inertia', { hint: 'About 1 kg·m² each' }],
            ['drive.engineInertia', 'Engine and clutch', 'inertia', { hint: '0.1 to 0.25 kg·m²' }],
          ]}
        />
        <FormQuantities
          control={control}
          units={units}
          fields={[
            ['drive.propshaftInertia', 'Propeller shaft', 'inertia'],
            ['drive.growth', 'Tyre grows by', 'share', { hint: 'At 200 km/h; 0.5 % is usual' }],
            ['drive.boostThreshold', 'On the boil from', 'engineSpeed', { hint: 'Boost, or torque enough' }],
            ['drive.axleDownforce', 'Downforce, driven axle', 'area', { hint: 'C_L·A; 0 without wings' }],
          ]}
        />
        <FormSelect
          control={control}
          name="drive.launch"
          label="Launched"
          options={LAUNCHES.map((l) => [l, LAUNCH[l]])}
        />
        <div className="self-end pb-1">
          <FormCheck control={control} name="drive.lockedDifferential" label="Locked differential" />
        </div>
        <Tick
          label="A drift layout with entry and exit speeds"
          on={Boolean(drive?.layout)}
          onChange={(on) => setValue('drive.layout', on ? { entry: 90 / 3.6, exit: 55 / 3.6 } : null)}
        />
        {drive?.layout && (
          <FormQuantities
            control={control}
            units={units}
            fields={[
              ['drive.layout.entry', 'Comes in at', 'velocity'],
              ['drive.layout.exit', 'Goes out at', 'velocity'],
            ]}
          />
        )}
        <Tick
          label="How it slides there, in place of the usual"
          on={Boolean(drive?.slide)}
          onChange={(on) => setValue('drive.slide', on ? usualSlide() : null)}
        />
        {drive?.slide && (
          <>
            <FormQuantities
              control={control}
              units={units}
              fields={[
                [
                  'drive.slide.angle',
                  'Slip angle, rear axle',
                  'angle',
                  { hint: 'Between where it goes and where it points' },
                ],
                ['drive.slide.doubt', 'known to ±', 'angle'],
              ]}
            />
            <FormNumber
              control={control}
              name="drive.slide.least"
              label="Wheel over road speed, least"
              hint="1.1 is usual"
            />
            <FormNumber
              control={control}
              name="drive.slide.most"
              label="and at most"
              hint="1.6 is usual; less saves tyres"
            />
          </>
        )}
        <Tick
          label="Own range for what is lost from crank to wheels"
          on={Boolean(drive?.loss)}
          onChange={(on) => {
            const [least, most] = usualLoss(view.build.layout, 'rollerLoaded')
            setValue('drive.loss', on ? { least, most } : null)
          }}
        />
        {drive?.loss && (
          <FormQuantities
            control={control}
            units={units}
            fields={[
              ['drive.loss.least', 'Lost, at least', 'share'],
              ['drive.loss.most', 'Lost, at most', 'share'],
            ]}
          />
        )}
      </SheetForm>
    </SideSheet>
  )
}
