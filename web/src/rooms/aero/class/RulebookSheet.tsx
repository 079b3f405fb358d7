import { RULE_MEASURES, type RuleMeasure } from '@bold-ballast/core'
import { useWatch } from 'react-hook-form'
import { fieldsOf } from '../../../ui/record/fieldsOf'
import { RecordSheet } from '../../../ui/record/RecordSheet'
import { Rows } from '../../../ui/record/Rows'
import { NOTHING } from '../../../ui/record/nothing'
import { useRecordForm } from '../../../ui/record/useRecordForm'
import { today } from '../../../ui/today'

const { Field, Fields } = fieldsOf('rulebook')

const blankRule = () => ({
  id: crypto.randomUUID(),
  measure: 'massWithDriver' as const,
  comparator: 'atLeast' as const,
  limit: NOTHING,
  wording: '',
  clause: '',
})
const blank = (id: string, order: number) => ({
  id,
  name: '',
  date: today(),
  edition: '',
  rules: [blankRule()],
  note: '',
  order,
})

/** The rules of a class, dated, each a measure with a limit. */
export function RulebookSheet({ rulebookId, onClose }: { rulebookId: string | null; onClose: () => void }) {
  const form = useRecordForm('rulebook', rulebookId, {
    blank,
    says: ({ name }, isNew) => `${isNew ? 'Add' : 'Change'} ${name}`,
    onSaved: onClose,
  })
  const rules = useWatch({ control: form.control, name: 'rules' })
  /** What has no unit of its own says it in words. */
  const limitOf = (i: number) => {
    const measure = (rules?.[i]?.measure ?? 'massWithDriver') as RuleMeasure
    return RULE_MEASURES[measure] === null ? 'Limit, dB(A)' : 'Limit'
  }
  return (
    <RecordSheet
      form={form}
      title={form.isNew ? 'Add a rulebook' : 'Change the rulebook'}
      says="Save the rulebook"
      wide
      onClose={onClose}
    >
      <Field name="name" isWide autoFocus />
      <Fields names={['date', 'edition']} />
      <Rows name="rules" one="rule" most={80} blank={blankRule}>
        {(i) => (
          <>
            <Field name={`rules.${i}.measure`} label={`Rule ${i + 1} is about`} isWide />
            <Field name={`rules.${i}.comparator`} />
            <Field name={`rules.${i}.limit`} label={limitOf(i)} />
            <Field name={`rules.${i}.clause`} />
            <span />
            <Field name={`rules.${i}.wording`} isWide />
          </>
        )}
      </Rows>
      <Field name="note" />
    </RecordSheet>
  )
}
