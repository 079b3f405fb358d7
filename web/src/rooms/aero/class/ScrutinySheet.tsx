import { useBuild } from '../../../store/useBuild'
import { useCarried } from '../../../store/useCarried'
import { fieldsOf } from '../../../ui/record/fieldsOf'
import { RecordSheet } from '../../../ui/record/RecordSheet'
import { useRecordForm } from '../../../ui/record/useRecordForm'
import { blankScrutiny } from './blankScrutiny'

const { Fields } = fieldsOf('scrutiny')

/** What a scrutineer measures and no other room knows; anything may be left empty. */
export function ScrutinySheet({ onClose }: { onClose: () => void }) {
  const { stage } = useBuild()
  const { record, carriedFrom } = useCarried('scrutiny')
  const form = useRecordForm('scrutiny', record, {
    blank: () => blankScrutiny(stage.id),
    says: () => 'Change what was measured for the class',
    onSaved: onClose,
  })
  return (
    <RecordSheet
      form={form}
      title="Measured for the class"
      says="Save what was measured"
      carriedFrom={carriedFrom}
      onClose={onClose}
    >
      <Fields
        names={[
          'roofHeight',
          'overallWidth',
          'bumperFront',
          'bumperRear',
          'groundClearance',
          'tyreWidth',
          'cageOutside',
          'cageWall',
          'noise',
          'note',
        ]}
      />
    </RecordSheet>
  )
}
