import { withoutVersion, type Job, type RecordOf } from '../records/kinds'

/** Whether a job is still to be done, or begun. */
export const isOpenJob = ({ state }: Pick<Job, 'state'>): boolean => state === 'toDo' || state === 'doing'

/**
 * A job as it is done, on a day. A clock that still runs is left to the person: nobody else knows when they stopped.
 *
 * @example jobDone(job, '2026-11-29').state // 'done'
 */
export const jobDone = (job: Job, doneOn: string): RecordOf<'job'> => ({
  ...withoutVersion(job),
  state: 'done',
  doneOn,
})
