import { fieldsOf } from '../../../ui/record/fieldsOf'
import { RecordSheet } from '../../../ui/record/RecordSheet'
import { useRecordForm } from '../../../ui/record/useRecordForm'

const { Field, Fields } = fieldsOf('setup')

/** A sheet that proved good gets a name, and for what: nothing that was set changes. */
export function NameSheet({ setupId, onClose }: { setupId: string; onClose: () => void }) {
  const form = useRecordForm('setup', setupId, {
    draft: 'setup name',
    says: ({ order }) => `Name set-up sheet ${order}`,
    onSaved: onClose,
  })
  return (
    <RecordSheet form={form} title="A good one" says="Save the name" onClose={onClose}>
      <Field name="name" isWide autoFocus />
      <Fields names={['course', 'weather']} />
      <Field name="note" />
    </RecordSheet>
  )
}
