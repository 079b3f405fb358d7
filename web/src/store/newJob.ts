import { type BuildDocument, newJob as blankJob, nextOrder, type RecordOf } from '@bold-ballast/contract'

/** A job that is taken on at a stage, behind those that are there. */
export function newJob(
  { jobs }: Pick<BuildDocument, 'jobs'>,
  stageId: string,
  said: Pick<RecordOf<'job'>, 'name'> & Partial<RecordOf<'job'>>,
): RecordOf<'job'> {
  return blankJob({
    id: crypto.randomUUID(),
    stageId,
    order: nextOrder(jobs.filter((job) => job.stageId === stageId)),
    ...said,
  })
}
