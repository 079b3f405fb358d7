import { useBuild } from '../../../store/useBuild'
import { SYSTEM, SYSTEMS } from '@bold-ballast/contract'
import { fieldsOf } from '../../../ui/record/fieldsOf'
import { LinkField } from '../../../ui/record/LinkField'
import { NOTHING } from '../../../ui/record/nothing'
import { RecordSheet } from '../../../ui/record/RecordSheet'
import { useRecordForm } from '../../../ui/record/useRecordForm'

const { Field } = fieldsOf('budget')

/** What a stage, or one of its systems, may cost. */
export function BudgetSheet({ budgetId, onClose }: { budgetId: string | null; onClose: () => void }) {
  const { stage, view } = useBuild()
  const form = useRecordForm('budget', budgetId, {
    blank: (id) => ({ id, stageId: stage.id, system: null, amount: NOTHING, note: '' }),
    says: ({ system }, isNew) =>
      `${isNew ? 'Set' : 'Change'} the budget of ${stage.name}${system === null ? '' : `, ${SYSTEM[system].toLowerCase()}`}`,
    refused: (budget) =>
      view.budgets.some(
        (other) =>
          other.id !== budget.id && other.stageId === budget.stageId && other.system === budget.system,
      )
        ? { field: 'system', problem: 'There is a budget for that already: change it.' }
        : null,
    onSaved: onClose,
  })
  return (
    <RecordSheet
      form={form}
      title={form.isNew ? 'Set a budget' : 'Change the budget'}
      says="Save the budget"
      onClose={onClose}
    >
      <LinkField
        name="system"
        label="For"
        none={`all of ${stage.name}`}
        options={SYSTEMS.map((s) => [s, SYSTEM[s]] as const)}
      />
      <Field name="amount" isWide autoFocus />
      <Field name="note" />
    </RecordSheet>
  )
}
