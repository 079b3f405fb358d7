import { newJob } from '@bold-ballast/contract'
import { nameOfMark } from '@bold-ballast/words'
import { useAppSelector } from '../../../store/store'
import { useBuild } from '../../../store/useBuild'
import { fieldsOf } from '../../../ui/record/fieldsOf'
import { LinkField } from '../../../ui/record/LinkField'
import { NOTHING } from '../../../ui/record/nothing'
import { OptionalPart } from '../../../ui/record/OptionalPart'
import { PickMany } from '../../../ui/record/PickMany'
import { RecordSheet } from '../../../ui/record/RecordSheet'
import { Rows } from '../../../ui/record/Rows'
import { useRecordForm } from '../../../ui/record/useRecordForm'
import { today } from '../../../ui/today'
import { usePeople } from '../usePeople'
import { JobPictures } from './JobPictures'

const { Field, Fields } = fieldsOf('job')

/** A job: what is to be done, by whom, how long it takes, and what it waits for. */
export function JobSheet({ jobId, onClose }: { jobId: string | null; onClose: () => void }) {
  const { view, stage, ledger, units } = useBuild()
  const people = usePeople()
  const author = useAppSelector((state) => state.settings.author)
  const form = useRecordForm('job', jobId, {
    blank: (id, order) => newJob({ id, stageId: stage.id, name: '', order }),
    // What is said first is kept: what it took is set beside it.
    completed: (job) =>
      job.promised === null && job.workTime !== null
        ? { ...job, promised: { time: job.workTime, by: job.who[0] ?? author } }
        : job,
    says: ({ name }, isNew) => `${isNew ? 'Take on' : 'Change'} ${name}`,
    onSaved: onClose,
  })
  const job = view.jobs.find((one) => one.id === jobId)
  const stageName = (id: string) => ledger.stages.find((s) => s.id === id)?.name ?? ''
  const others = view.jobs
    .filter((job) => job.id !== form.recordId && job.state !== 'dropped')
    .map(
      (job) =>
        [job.id, job.stageId === stage.id ? job.name : `${job.name} (${stageName(job.stageId)})`] as const,
    )
  return (
    <RecordSheet
      form={form}
      title={form.isNew ? 'Take on a job' : 'Change the job'}
      says="Save the job"
      onClose={onClose}
      below={jobId && job && <JobPictures jobId={jobId} name={job.name} />}
    >
      <Field name="name" isWide autoFocus />
      <Fields names={['kind', 'state', 'workTime', 'hands', 'shortTime', 'longTime']} />
      <PickMany name="who" label="Who" options={people.map((name) => [name, name])} none="whoever can" />
      <PickMany name="after" label="After" options={others} none="nothing" />
      <PickMany
        name="parts"
        label="Needs these parts"
        options={view.parts.map((part) => [part.id, part.name])}
        none="none"
      />
      <PickMany
        name="waits"
        label="Waits for"
        options={view.waits.map((wait) => [wait.id, wait.name])}
        none="nothing"
      />
      <Fields names={['cure', 'notBefore', 'place', 'canWait', 'group', 'operation']} />
      <Field name="tools" isWide />
      <LinkField
        name="swapId"
        label="For the swap"
        options={view.swaps.filter((s) => s.stageId === stage.id).map((s) => [s.id, s.name] as const)}
      />
      <LinkField
        name="markId"
        label="For the mark"
        options={view.marks
          .filter((mark) => mark.stageId === stage.id)
          .map((mark) => [mark.id, nameOfMark(mark, units, view.conditions)] as const)}
      />
      <OptionalPart name="promised" label="It was promised before" blank={() => ({ time: NOTHING, by: '' })}>
        <Fields names={['promised.time', 'promised.by']} />
      </OptionalPart>
      <Rows
        name="spells"
        one="stretch of work"
        begins="Type hours that were worked"
        blank={(last) => ({ who: last?.['who'] ?? people[0] ?? '', on: today(), from: null, time: NOTHING })}
      >
        {(i) => (
          <>
            <Field name={`spells.${i}.who`} list="people-of-jobs" />
            <Field name={`spells.${i}.on`} />
            <Field name={`spells.${i}.time`} />
            <Field name={`spells.${i}.from`} />
          </>
        )}
      </Rows>
      <Field name="doneOn" />
      <Field name="note" />
      <datalist id="people-of-jobs">
        {people.map((name) => (
          <option key={name} value={name} />
        ))}
      </datalist>
    </RecordSheet>
  )
}
