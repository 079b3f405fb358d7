import { ICE_POINT } from '@bold-ballast/core'
import { useBuild } from '../../../store/useBuild'
import { useCarried } from '../../../store/useCarried'
import { useDrive } from '../../../store/useDrive'
import { fieldsOf } from '../../../ui/record/fieldsOf'
import { NOTHING } from '../../../ui/record/nothing'
import { OptionalPart } from '../../../ui/record/OptionalPart'
import { RecordSheet } from '../../../ui/record/RecordSheet'
import { Rows } from '../../../ui/record/Rows'
import { useRecordForm } from '../../../ui/record/useRecordForm'

const { Field, Fields } = fieldsOf('brakes')
const BAR = 1e5
const TWO = 'grid grid-cols-[1fr_1fr_auto] items-end gap-3'

const blankAxle = () => ({
  pistons: [{ diameter: NOTHING }],
  radius: NOTHING,
  pad: '',
  friction: [{ temperature: 300 + ICE_POINT, friction: NOTHING }],
  padFrom: 100 + ICE_POINT,
  padTo: 600 + ICE_POINT,
  discMass: NOTHING,
  cooling: 120,
  padNew: 0.015,
  padLeast: 0.004,
})

function AxleFields({ at, says }: { at: 'front' | 'rear' | `alternatives.${number}.brakes`; says: string }) {
  return (
    <fieldset className="col-span-2 grid grid-cols-2 items-start gap-3 border-t-2 border-edge pt-3">
      <legend className="mb-1 pr-2 text-[19px]">{says}</legend>
      <Rows
        name={`${at}.pistons`}
        one="piston"
        of={says}
        least={1}
        most={6}
        blank={() => ({ diameter: NOTHING })}
        className="grid grid-cols-[1fr_auto] items-end gap-3"
        removes="beside"
      >
        {(i) => (
          <Field name={`${at}.pistons.${i}.diameter`} label={`Piston ${i + 1}, one side of a caliper`} />
        )}
      </Rows>
      <Fields names={[`${at}.radius`, `${at}.pad`]} />
      <Rows
        name={`${at}.friction`}
        one="point"
        of={`of the pad, ${says}`}
        adds="point of its friction"
        least={1}
        most={20}
        blank={() => ({ temperature: NOTHING, friction: NOTHING })}
        className={TWO}
        removes="beside"
      >
        {(i) => <Fields names={[`${at}.friction.${i}.temperature`, `${at}.friction.${i}.friction`]} />}
      </Rows>
      <Fields
        names={[
          `${at}.padFrom`,
          `${at}.padTo`,
          `${at}.discMass`,
          `${at}.cooling`,
          `${at}.padNew`,
          `${at}.padLeast`,
        ]}
      />
    </fieldset>
  )
}

/** Pedal, cylinders, calipers, discs and pads of a stage, the stops they are judged on, and what might be fitted instead. */
export function BrakesSheet({ onClose }: { onClose: () => void }) {
  const { stage } = useBuild()
  const drive = useDrive()
  const { record, carriedFrom } = useCarried('brakes')
  const rolls = drive?.rollingRadius ?? 0.305
  const form = useRecordForm('brakes', record, {
    blank: (id) => ({
      id,
      stageId: stage.id,
      pedalRatio: 5,
      servo: 1,
      barShare: 0.5,
      barLeast: 0.4,
      barMost: 0.6,
      cylinderFront: NOTHING,
      cylinderRear: NOTHING,
      valve: null,
      front: blankAxle(),
      rear: blankAxle(),
      wheelRadius: { front: rolls, rear: rolls },
      grip: null,
      air: 20 + ICE_POINT,
      stops: [],
      alternatives: [],
      note: '',
    }),
    says: () => 'Change the brakes',
    onSaved: onClose,
  })
  return (
    <RecordSheet
      form={form}
      title="Brakes"
      says="Save the brakes"
      carriedFrom={carriedFrom}
      before={
        <p className="mb-3 rounded-[3px] border border-ochre p-3 text-[13px]">
          Brakes are bled, bedded in and tried slowly by someone who knows how. What is worked out here says
          nothing about leaks, lines, mounts or seals.
        </p>
      }
      wide
      onClose={onClose}
    >
      <Fields
        names={[
          'pedalRatio',
          'servo',
          'cylinderFront',
          'cylinderRear',
          'barShare',
          'grip',
          'barLeast',
          'barMost',
        ]}
      />
      <OptionalPart
        name="valve"
        label="A valve in the rear line"
        blank={() => ({ from: 30 * BAR, passes: 0.35 })}
      >
        <Fields names={['valve.from', 'valve.passes']} />
      </OptionalPart>
      <AxleFields at="front" says="Front" />
      <AxleFields at="rear" says="Rear" />
      <Field name="wheelRadius.front" label="Front wheels roll at" />
      <Field name="wheelRadius.rear" label="Rear wheels roll at" />
      <Field name="air" />
      <span />
      <Rows
        name="stops"
        one="stop"
        adds="stop of the lap"
        begins="Type the stops of a lap"
        most={40}
        blank={() => ({ from: NOTHING, to: NOTHING, after: NOTHING })}
        className="grid grid-cols-[1fr_1fr_1fr_auto] items-end gap-2 border-t border-line pt-2"
        removes="beside"
      >
        {(i) => <Fields names={[`stops.${i}.from`, `stops.${i}.to`, `stops.${i}.after`]} />}
      </Rows>
      <Rows
        name="alternatives"
        one="alternative"
        begins="Put other brakes beside them"
        most={12}
        blank={() => ({
          id: crypto.randomUUID(),
          name: '',
          axle: 'front',
          brakes: blankAxle(),
          massChange: 0,
          price: 0,
        })}
        className="grid grid-cols-2 items-start gap-3 border-t-2 border-edge pt-3"
      >
        {(i) => (
          <>
            <Field name={`alternatives.${i}.name`} label={`Alternative ${i + 1}`} />
            <Fields
              names={[`alternatives.${i}.axle`, `alternatives.${i}.massChange`, `alternatives.${i}.price`]}
            />
            <AxleFields at={`alternatives.${i}.brakes`} says={`Alternative ${i + 1}`} />
          </>
        )}
      </Rows>
      <Field name="note" />
    </RecordSheet>
  )
}
