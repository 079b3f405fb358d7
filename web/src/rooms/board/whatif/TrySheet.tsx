import type { Branch } from '@bold-ballast/contract'
import { isStillPlan, startBranch } from '@bold-ballast/model'
import { useBuild, useLiveBuild } from '../../../store/useBuild'
import { fieldsOf } from '../../../ui/record/fieldsOf'
import { RecordSheet } from '../../../ui/record/RecordSheet'
import { useRecordForm } from '../../../ui/record/useRecordForm'

const { Field } = fieldsOf('branch')

/** A name for something to try at this stage; or another name for what is being tried. */
export function TrySheet({ branch, onClose }: { branch: Branch | null; onClose: () => void }) {
  const { own, ledger, stage } = useBuild()
  const { summary } = useLiveBuild()
  const begun = (name: string) =>
    startBranch(own, ledger.stages, { stageId: stage.id, name, reached: summary }, () => crypto.randomUUID())
  const form = useRecordForm('branch', branch?.id ?? null, {
    document: own,
    blank: () => begun(''),
    // The stage that a step makes is called as the branch is.
    completed: (typed) => (branch ? typed : { ...begun(typed.name), note: typed.note }),
    says: ({ name }, isNew) => `${isNew ? 'Try' : 'Rename'} “${name}”`,
    onSaved: onClose,
  })
  return (
    <RecordSheet
      form={form}
      title={branch ? 'Change what is tried' : 'Try something'}
      says={branch ? 'Save' : 'Start trying'}
      onClose={onClose}
      before={
        !branch && (
          <p className="mb-3 text-[13.5px] text-muted">
            {isStillPlan(own, stage.id, summary)
              ? `${stage.name} is still a plan: what you try changes it, apart from the build, until you take it over.`
              : `${stage.name} has been reached: what you try is a step after it, apart from the build, until you take it over.`}
          </p>
        )
      }
    >
      <Field name="name" isWide autoFocus />
      <Field name="note" />
    </RecordSheet>
  )
}
