import { blankLapBasis } from '@bold-ballast/contract'
import { useWatch } from 'react-hook-form'
import { useBuild } from '../../../store/useBuild'
import { useCarried } from '../../../store/useCarried'
import { fieldsOf } from '../../../ui/record/fieldsOf'
import { NOTHING } from '../../../ui/record/nothing'
import { OptionalPart } from '../../../ui/record/OptionalPart'
import { RecordSheet } from '../../../ui/record/RecordSheet'
import { useRecordForm } from '../../../ui/record/useRecordForm'

const { Field, Fields } = fieldsOf('lapBasis')
const blankFactor = () => ({ value: NOTHING, doubt: NOTHING })

/** What laps are worked out with beside what other rooms say: how tyres mind their load, the driven axle, the driver. */
export function LapBasisSheet({ onClose }: { onClose: () => void }) {
  const { stage, view } = useBuild()
  const { record, carriedFrom } = useCarried('lapBasis')
  const form = useRecordForm('lapBasis', record, {
    blank: (id) => blankLapBasis(stage.id, id),
    says: () => 'Say what laps are worked out with',
    onSaved: onClose,
  })
  const differential = useWatch({ control: form.control, name: 'differential' }) as string
  return (
    <RecordSheet
      form={form}
      title="What a lap is worked out with"
      says="Save it"
      onClose={onClose}
      carriedFrom={carriedFrom}
    >
      <Fields names={['sensitivity', 'tyreLoad', 'differential']} />
      {differential === 'limited' ? <Field name="lock" /> : <span />}
      {view.build.layout === 'all' && <Field name="driveFront" />}
      <Fields names={['brakeFront', 'brakingUsed']} />
      <OptionalPart name="gripFactor" label="Grip fitted to driven laps" blank={blankFactor}>
        <Fields names={['gripFactor.value', 'gripFactor.doubt']} />
      </OptionalPart>
      <OptionalPart name="powerFactor" label="Power fitted to driven laps" blank={blankFactor}>
        <Fields names={['powerFactor.value', 'powerFactor.doubt']} />
      </OptionalPart>
      <Field name="note" />
    </RecordSheet>
  )
}
