import { perCorner } from '@bold-ballast/core'
import { useBuild } from '../../../store/useBuild'
import { fieldsOf } from '../../../ui/record/fieldsOf'
import { NOTHING } from '../../../ui/record/nothing'
import { OptionalPart } from '../../../ui/record/OptionalPart'
import { RecordSheet } from '../../../ui/record/RecordSheet'
import { useRecordForm } from '../../../ui/record/useRecordForm'
import { today } from '../../../ui/today'
import { CornerGrid } from '../../../ui/record/CornerGrid'

const { Field, Fields } = fieldsOf('brakeReading')

/** Linings, discs and pressures as somebody measured them. */
export function BrakeReadingSheet({ readingId, onClose }: { readingId: string | null; onClose: () => void }) {
  const { stage } = useBuild()
  const form = useRecordForm('brakeReading', readingId, {
    blank: (id) => ({
      id,
      stageId: stage.id,
      date: today(),
      name: '',
      laps: null,
      linings: perCorner(() => null),
      discs: perCorner(() => null),
      pressures: null,
      note: '',
    }),
    says: ({ name }, isNew) => `${isNew ? 'Read' : 'Change'} the brakes, ${name}`,
    onSaved: onClose,
  })
  return (
    <RecordSheet
      form={form}
      title={form.isNew ? 'Measure the brakes' : 'Change the readings'}
      says="Save the readings"
      onClose={onClose}
    >
      <Field name="name" isWide autoFocus />
      <Fields names={['date', 'laps']} />
      <CornerGrid says="Linings, the thinner one" name="linings">
        {(corner, label) => <Field name={`linings.${corner}`} label={label} />}
      </CornerGrid>
      <CornerGrid says="Discs, straight after" name="discs" canMirror={false}>
        {(corner, label) => <Field name={`discs.${corner}`} label={label} />}
      </CornerGrid>
      <OptionalPart
        name="pressures"
        label="Pressures in both lines, at one moment"
        blank={() => ({ front: NOTHING, rear: NOTHING })}
      >
        <Fields names={['pressures.front', 'pressures.rear']} />
      </OptionalPart>
      <Field name="note" />
    </RecordSheet>
  )
}
