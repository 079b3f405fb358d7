import type { Build, Drive } from '@bold-ballast/contract'
import { formatNumber, rollingRadius, USUAL_SLIP, USUAL_SLIP_ANGLE, usualLoss } from '@bold-ballast/core'
import { useWatch } from 'react-hook-form'
import { useBuild } from '../store/useBuild'
import { useCarried } from '../store/useCarried'
import { Button } from '../ui/Button'
import { fieldsOf } from '../ui/record/fieldsOf'
import { NOTHING } from '../ui/record/nothing'
import { OptionalPart } from '../ui/record/OptionalPart'
import { RecordSheet } from '../ui/record/RecordSheet'
import { useRecordForm } from '../ui/record/useRecordForm'
import { gearName } from '@bold-ballast/words'

const { Field, Fields } = fieldsOf('drivetrain')

const FROM = { rollOut: 'the roll-out', diameter: 'the diameter', size: 'the size' } as const
const rpm = (n: number) => (n * Math.PI) / 30

/** A middling car to start from; ratios and tyre are asked for. */
const blank = (layout: Build['layout']): Drive => ({
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
  // What drives its front wheels alone has none.
  propshaftInertia: layout === 'front' ? 0 : 0.02,
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
  const { view, stage } = useBuild()
  const { record, carriedFrom } = useCarried('drivetrain')
  const form = useRecordForm('drivetrain', record, {
    blank: (id) => ({ id, stageId: stage.id, drive: blank(view.build.layout), note: '' }),
    says: () => 'Change gears and grip',
    onSaved: onClose,
  })
  const { control, setValue } = form
  const drive = useWatch({ control, name: 'drive' })
  const ratios = drive?.ratios ?? []
  const known = rollingRadius({
    rollOut: drive?.rollOut ?? null,
    diameter: drive?.tyreDiameter ?? null,
    size: drive?.tyreSize || null,
  })
  // To the millimetre: more would be pretending.
  const suggested = known && { ...known, radius: Math.round(known.radius * 1000) / 1000 }
  return (
    <RecordSheet
      form={form}
      title="Gears and grip"
      says="Save gears and grip"
      carriedFrom={carriedFrom}
      onClose={onClose}
    >
      <fieldset className="col-span-2 grid grid-cols-3 items-start gap-3">
        <legend className="sr-only">Ratios</legend>
        {ratios.map((_, i) => (
          <Field
            key={`${i} of ${ratios.length}`}
            name={`drive.ratios.${i}`}
            label={gearName(i).replace(/^./, (c) => c.toUpperCase())}
          />
        ))}
        <Fields names={['drive.finalDrive', 'drive.between']} />
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
      <Fields names={['drive.tyreSize', 'drive.rollOut', 'drive.tyreDiameter']} />
      {suggested && suggested.radius !== drive?.rollingRadius && (
        <Button
          look="quiet"
          className="col-span-2 justify-self-start !px-0"
          onClick={() => setValue('drive.rollingRadius', suggested.radius, { shouldDirty: true })}
        >
          Take {formatNumber(suggested.radius * 1000, 0)} mm from {FROM[suggested.from]}
        </Button>
      )}
      <Fields
        names={[
          'drive.rollingRadius',
          'drive.limiter',
          'drive.shiftSpeed',
          'drive.shiftTime',
          'drive.launchSpeed',
          'drive.clutchTorque',
          'drive.clutchMass',
        ]}
      />
      {view.build.layout === 'all' && <Field name="drive.rearSplit" />}
      <Fields
        names={[
          'drive.grip',
          'drive.dragArea',
          'drive.rollingResistance',
          'drive.wheelInertia',
          'drive.engineInertia',
          'drive.propshaftInertia',
          'drive.growth',
          'drive.boostThreshold',
          'drive.axleDownforce',
          'drive.launch',
          'drive.lockedDifferential',
        ]}
      />
      <OptionalPart
        name="drive.layout"
        label="A drift layout with entry and exit speeds"
        blank={() => ({ entry: 90 / 3.6, exit: 55 / 3.6 })}
      >
        <Fields names={['drive.layout.entry', 'drive.layout.exit']} />
      </OptionalPart>
      <OptionalPart name="drive.slide" label="How it slides there, in place of the usual" blank={usualSlide}>
        <Field name="drive.slide.angle" />
        <Field name="drive.slide.doubt" label="known to ±" />
        <Field name="drive.slide.least" />
        <Field name="drive.slide.most" label="and at most" />
      </OptionalPart>
      <OptionalPart
        name="drive.loss"
        label="Own range for what is lost from crank to wheels"
        blank={() => {
          const [least, most] = usualLoss(view.build.layout, 'rollerLoaded')
          return { least, most }
        }}
      >
        <Fields names={['drive.loss.least', 'drive.loss.most']} />
      </OptionalPart>
    </RecordSheet>
  )
}
