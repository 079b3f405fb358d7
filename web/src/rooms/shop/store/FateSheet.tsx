import { fieldsOf } from '../../../ui/record/fieldsOf'
import { RecordSheet } from '../../../ui/record/RecordSheet'
import { useRecordForm } from '../../../ui/record/useRecordForm'

const { Fields } = fieldsOf('line')

/** What became of a part that came off, where it lies, and what it was sold for. */
export function FateSheet({ lineId, onClose }: { lineId: string; onClose: () => void }) {
  const form = useRecordForm('line', lineId, {
    draft: 'fate',
    says: ({ name }) => `What became of ${name}`,
    refused: ({ soldFor, fate }) =>
      soldFor !== null && fate !== 'sold'
        ? {
            field: 'fate',
            problem: 'It has a price that it was sold for: say that it was sold, or take the price away.',
          }
        : null,
    onSaved: onClose,
  })
  return (
    <RecordSheet form={form} title="What became of it" says="Save it" onClose={onClose}>
      <Fields names={['fate', 'soldFor', 'liesAt']} />
    </RecordSheet>
  )
}
