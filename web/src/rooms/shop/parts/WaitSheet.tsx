import { newWait } from '@bold-ballast/contract'
import { useBuild } from '../../../store/useBuild'
import { fieldsOf } from '../../../ui/record/fieldsOf'
import { PickMany } from '../../../ui/record/PickMany'
import { RecordSheet } from '../../../ui/record/RecordSheet'
import { useRecordForm } from '../../../ui/record/useRecordForm'

const { Field, Fields } = fieldsOf('wait')

/** Something that is waited for: an outside shop, a cure, a person, money. */
export function WaitSheet({ waitId, onClose }: { waitId: string | null; onClose: () => void }) {
  const { view, stage } = useBuild()
  const form = useRecordForm('wait', waitId, {
    blank: (id, order) => newWait({ id, stageId: stage.id, name: '', kind: 'shop', order }),
    completed: (wait) => ({ ...wait, promisedFirst: wait.promisedFirst ?? wait.promisedFor }),
    says: ({ name }, isNew) => `${isNew ? 'Wait for' : 'Change'} ${name}`,
    onSaved: onClose,
  })
  return (
    <RecordSheet
      form={form}
      title={form.isNew ? 'Add what is waited for' : 'Change the wait'}
      says="Save the wait"
      onClose={onClose}
    >
      <Field name="name" isWide autoFocus />
      <Fields names={['kind', 'supplier']} />
      <PickMany
        name="after"
        label="Begins after"
        options={view.jobs.map((job) => [job.id, job.name])}
        none="nothing"
      />
      <Fields
        names={['givenOn', 'promisedFor', 'lasts', 'short', 'long', 'cost', 'backOn', 'promisedFirst']}
      />
      <Field name="note" />
    </RecordSheet>
  )
}
