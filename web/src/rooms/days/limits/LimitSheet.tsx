import { useWatch } from 'react-hook-form'
import { fieldsOf } from '../../../ui/record/fieldsOf'
import { NOTHING } from '../../../ui/record/nothing'
import { RecordSheet } from '../../../ui/record/RecordSheet'
import { Rows } from '../../../ui/record/Rows'
import { useOpenForm } from '../../../ui/record/RecordFormContext'
import { useRecordForm } from '../../../ui/record/useRecordForm'

const { Field, Fields } = fieldsOf('limit')

/** What a reading must not go below or above, if need be by engine speed or temperature. */
export function LimitSheet({ limitId, onClose }: { limitId: string | null; onClose: () => void }) {
  const form = useRecordForm('limit', limitId, {
    blank: (id, order) => ({
      id,
      order,
      name: '',
      quantity: 'temperature',
      by: 'nothing',
      low: [],
      high: [{ at: 0, value: NOTHING }],
      look: 0.05,
      note: '',
    }),
    says: ({ name }, isNew) => `${isNew ? 'Set' : 'Change'} the limit of ${name}`,
    onSaved: onClose,
  })
  return (
    <RecordSheet
      form={form}
      title={form.isNew ? 'Set a limit' : 'Change the limit'}
      says="Save the limit"
      onClose={onClose}
    >
      <Field name="name" isWide autoFocus />
      <Fields names={['quantity', 'by']} />
      <Bounds side="high" says="Not above" />
      <Bounds side="low" says="Not below" />
      <Field name="look" />
      <Field name="note" />
    </RecordSheet>
  )
}

function Bounds({ side, says }: { side: 'low' | 'high'; says: string }) {
  const { control } = useOpenForm()
  const by = useWatch({ control, name: 'by' }) as string
  return (
    <Rows
      name={side}
      one="point"
      of={says}
      begins={says}
      most={12}
      blank={() => ({ at: by === 'nothing' ? 0 : NOTHING, value: NOTHING })}
      removes="beside"
      className="grid grid-cols-[1fr_1fr_auto] items-end gap-3"
    >
      {(i) => (
        <>
          <Field name={`${side}.${i}.value`} label={says} />
          {by === 'nothing' ? <span /> : <Field name={`${side}.${i}.at`} />}
        </>
      )}
    </Rows>
  )
}
