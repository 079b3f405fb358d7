import { isOpenJob } from '@bold-ballast/contract'
import { useBuild } from '../../../store/useBuild'
import { fieldsOf } from '../../../ui/record/fieldsOf'
import { LinkField } from '../../../ui/record/LinkField'
import { NOTHING } from '../../../ui/record/nothing'
import { PickMany } from '../../../ui/record/PickMany'
import { RecordSheet } from '../../../ui/record/RecordSheet'
import { useRecordForm } from '../../../ui/record/useRecordForm'

const { Field, Fields } = fieldsOf('fixedDate')

/** A date that stands fast, and what it needs. */
export function DateSheet({ dateId, onClose }: { dateId: string | null; onClose: () => void }) {
  const { view, stage, ledger } = useBuild()
  const form = useRecordForm('fixedDate', dateId, {
    blank: (id) => ({
      id,
      name: '',
      date: NOTHING,
      time: null,
      kind: 'round' as const,
      stageId: stage.id,
      jobs: [],
      outingId: null,
      calendarId: '',
      note: '',
    }),
    says: ({ name }, isNew) => `${isNew ? 'Fix' : 'Change'} the date of ${name}`,
    refused: ({ stageId, jobs }) =>
      stageId === null && jobs.length === 0
        ? { field: 'stageId', problem: 'Choose the stage whose jobs it needs, or single jobs.' }
        : null,
    onSaved: onClose,
  })
  return (
    <RecordSheet
      form={form}
      title={form.isNew ? 'Fix a date' : 'Change the date'}
      says="Save the date"
      onClose={onClose}
    >
      <Field name="name" isWide autoFocus />
      <Fields names={['date', 'time', 'kind']} />
      <LinkField
        name="stageId"
        label="Needs all jobs up to"
        options={ledger.stages.map((s) => [s.id, s.name] as const)}
      />
      <PickMany
        name="jobs"
        label="Needs these jobs as well"
        options={view.jobs.filter(isOpenJob).map((job) => [job.id, job.name])}
      />
      <LinkField
        name="outingId"
        label="The day in Days"
        options={view.outings.map((o) => [o.id, `${o.name}, ${o.date}`] as const)}
      />
      <Field name="note" />
    </RecordSheet>
  )
}
