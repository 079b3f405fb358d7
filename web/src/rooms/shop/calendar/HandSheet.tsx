import { JOB_KIND, JOB_KINDS } from '@bold-ballast/contract'
import { useController } from 'react-hook-form'
import { useBuild } from '../../../store/useBuild'
import { fieldsOf } from '../../../ui/record/fieldsOf'
import { useOpenForm } from '../../../ui/record/RecordFormContext'
import { RecordSheet } from '../../../ui/record/RecordSheet'
import { Rows } from '../../../ui/record/Rows'
import { useRecordForm } from '../../../ui/record/useRecordForm'
import { today } from '../../../ui/today'

const { Field } = fieldsOf('hand')

/** Somebody who works on the build: hours of a week, days away, what they can do. */
export function HandSheet({ handId, onClose }: { handId: string | null; onClose: () => void }) {
  const { view } = useBuild()
  const form = useRecordForm('hand', handId, {
    blank: (id, order) => ({
      id,
      order,
      name: '',
      week: [{ day: 'mon' as const, from: '18:00', until: '21:00' }],
      away: [],
      can: [],
      note: '',
    }),
    says: ({ name }, isNew) => `${isNew ? 'Note' : 'Change'} the hours of ${name}`,
    refused: (hand) =>
      view.hands.some((other) => other.id !== hand.id && other.name === hand.name)
        ? { field: 'name', problem: 'Somebody is called so already.' }
        : null,
    onSaved: onClose,
  })
  return (
    <RecordSheet
      form={form}
      title={form.isNew ? 'Note somebody’s hours' : 'Change the hours'}
      says="Save the hours"
      onClose={onClose}
    >
      <Field name="name" isWide autoFocus />
      <Rows
        name="week"
        one="stretch of the week"
        begins="Add hours of the week"
        blank={(last) => ({ day: 'sat', from: last?.['from'] ?? '18:00', until: last?.['until'] ?? '21:00' })}
        removes="beside"
        className="grid grid-cols-[1.4fr_1fr_1fr_auto] items-end gap-2 max-sm:grid-cols-[1fr_1fr_auto] max-sm:[&>*:nth-child(2)]:col-span-full"
      >
        {(i) => (
          <>
            <Field name={`week.${i}.day`} />
            <Field name={`week.${i}.from`} hint="" />
            <Field name={`week.${i}.until`} hint="" />
          </>
        )}
      </Rows>
      <CanDo />
      <Rows
        name="away"
        one="time away"
        begins="Add days away"
        blank={() => ({ from: today(), until: today(), why: '' })}
      >
        {(i) => (
          <>
            <Field name={`away.${i}.from`} />
            <Field name={`away.${i}.until`} />
            <Field name={`away.${i}.why`} isWide />
          </>
        )}
      </Rows>
      <Field name="note" />
    </RecordSheet>
  )
}

function CanDo() {
  const { control } = useOpenForm()
  const {
    field: { value, onChange },
  } = useController({ control, name: 'can' })
  const can = (value ?? []) as readonly string[]
  return (
    <fieldset className="col-span-2">
      <legend className="text-[13px] text-muted">Can do; nothing ticked means everything</legend>
      <div className="grid grid-cols-2 gap-x-3">
        {JOB_KINDS.map((kind) => (
          <label key={kind} className="flex items-center gap-2">
            <input
              type="checkbox"
              className="size-4 accent-blued"
              checked={can.includes(kind)}
              onChange={(e) => onChange(e.target.checked ? [...can, kind] : can.filter((k) => k !== kind))}
            />
            {JOB_KIND[kind]}
          </label>
        ))}
      </div>
    </fieldset>
  )
}
