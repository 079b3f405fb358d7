import { USUAL_COMBINED } from '@bold-ballast/core'
import { useWatch } from 'react-hook-form'
import { useBuild } from '../../../store/useBuild'
import { useCarried } from '../../../store/useCarried'
import { fieldsOf } from '../../../ui/record/fieldsOf'
import { RecordSheet } from '../../../ui/record/RecordSheet'
import { NOTHING } from '../../../ui/record/nothing'
import { useRecordForm } from '../../../ui/record/useRecordForm'
import { Tick } from '../../../ui/Tick'

const { Field, Fields } = fieldsOf('attitude')

const blank = (stageId: string) => (id: string) => ({
  id,
  stageId,
  pitch: null,
  roll: null,
  braking: USUAL_COMBINED,
  cornering: USUAL_COMBINED,
  wheelRate: null,
  note: '',
})

/** How the car pitches and rolls at speed, and on which wheel rates it stands where no springs are typed. */
export function AttitudeSheet({ onClose }: { onClose: () => void }) {
  const { stage } = useBuild()
  const { record, carriedFrom } = useCarried('attitude')
  const form = useRecordForm('attitude', record, {
    blank: blank(stage.id),
    says: () => 'Change how it pitches and rolls',
    onSaved: onClose,
  })
  const wheelRate = useWatch({ control: form.control, name: 'wheelRate' })
  const typeRates = (on: boolean) =>
    form.setValue('wheelRate', on ? { front: NOTHING, rear: NOTHING } : null, { shouldDirty: true })
  return (
    <RecordSheet
      form={form}
      title="Pitch and roll at speed"
      says="Save pitch and roll"
      carriedFrom={carriedFrom}
      onClose={onClose}
    >
      <Fields names={['pitch', 'braking', 'roll', 'cornering', 'bump']} />
      <span />
      <Tick
        ruled
        label="Wheel rates other than those in Stance"
        on={Boolean(wheelRate)}
        onChange={typeRates}
      />
      {wheelRate && (
        <>
          <Field name="wheelRate.front" label="One wheel, front" />
          <Field name="wheelRate.rear" label="One wheel, rear" />
        </>
      )}
      <Field name="note" />
    </RecordSheet>
  )
}
