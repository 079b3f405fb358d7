import { withoutVersion } from '@bold-ballast/contract'
import { useBuild } from '../../../store/useBuild'
import { fieldsOf } from '../../../ui/record/fieldsOf'
import { RecordSheet } from '../../../ui/record/RecordSheet'
import { useRecordForm } from '../../../ui/record/useRecordForm'

const { Fields } = fieldsOf('build')

/** What gusts and kerbs make of a steady load, and what is wanted in hand beyond it. */
export function FactorsSheet({ onClose }: { onClose: () => void }) {
  const { view } = useBuild()
  const build = withoutVersion(view.build)
  const form = useRecordForm('build', build, {
    draft: 'airLoads',
    says: () => 'Change the factors of gusts and kerbs',
    onSaved: onClose,
    completed: ({ airLoads }) => ({ ...build, airLoads }),
  })
  return (
    <RecordSheet
      form={form}
      title="Gusts, kerbs and what is wanted"
      says="Save the factors"
      before={
        <p className="mb-3 text-[13.5px] text-muted">
          Usual: 1.25 for gusts, 1.2 for kerbs, 2 in hand beyond both (common practice).
        </p>
      }
      onClose={onClose}
    >
      <Fields names={['airLoads.gust', 'airLoads.kerb', 'airLoads.wanted']} />
    </RecordSheet>
  )
}
