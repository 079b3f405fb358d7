import { useWatch } from 'react-hook-form'
import { useBuild } from '../../../store/useBuild'
import { useCarried } from '../../../store/useCarried'
import { fieldsOf } from '../../../ui/record/fieldsOf'
import { RecordSheet } from '../../../ui/record/RecordSheet'
import { useRecordForm } from '../../../ui/record/useRecordForm'
import { Tick } from '../../../ui/Tick'
import { today } from '../../../ui/today'

const { Field, Fields } = fieldsOf('steering')

const blank = (stageId: string) => (id: string) => ({
  id,
  stageId,
  date: today(),
  lockInside: null,
  lockOutside: null,
  lockWanted: null,
  rackTravel: null,
  rackAvailable: null,
  tieRodAngle: null,
  tieRodBinds: null,
  rodToArm: null,
  wheelToArm: null,
  wheelToArmWanted: 0.005,
  rearToe: null,
  rearToeAllowed: null,
  halfshaftAngle: null,
  halfshaftBinds: null,
  rearWheelToArm: null,
  slideRadius: 20,
  note: '',
})

/** What was measured on steering and rear end; anything may be left empty. */
export function SteeringSheet({ onClose }: { onClose: () => void }) {
  const { stage } = useBuild()
  const { record, carriedFrom } = useCarried('steering')
  const form = useRecordForm('steering', record, {
    blank: blank(stage.id),
    says: () => 'Change steering',
    onSaved: onClose,
  })
  const toe = useWatch({ control: form.control, name: 'rearToe' })
  const measureToe = (on: boolean) =>
    form.setValue('rearToe', on ? { droop: 0, ride: 0, bump: 0 } : null, { shouldDirty: true })
  return (
    <RecordSheet
      form={form}
      title="Steering and rear end"
      says="Save steering"
      carriedFrom={carriedFrom}
      onClose={onClose}
    >
      <Field name="date" autoFocus />
      <span />
      <Fields
        names={[
          'lockInside',
          'lockOutside',
          'lockWanted',
          'slideRadius',
          'rackTravel',
          'rackAvailable',
          'tieRodAngle',
        ]}
      />
      <Field name="tieRodBinds" label="It binds at" />
      <Fields names={['rodToArm', 'wheelToArm', 'wheelToArmWanted']} />
      <span />
      <h3 className="col-span-2 border-t border-line pt-2 text-[17px]">Rear</h3>
      <Tick
        label="Toe measured over the travel, one wheel, toe in above zero"
        on={Boolean(toe)}
        onChange={measureToe}
      />
      {toe && (
        <div className="col-span-2 grid grid-cols-3 gap-3">
          <Fields names={['rearToe.droop', 'rearToe.ride', 'rearToe.bump']} />
        </div>
      )}
      <Fields names={['rearToeAllowed', 'rearWheelToArm', 'halfshaftAngle']} />
      <Field name="halfshaftBinds" label="It binds at" />
      <Field name="note" />
    </RecordSheet>
  )
}
