import { newJob as blankJob, type BuildDocument, type RecordOf } from '@bold-ballast/contract'

/** A job that is taken on at a stage, behind those that are there. */
export function newJob(
  { jobs }: Pick<BuildDocument, 'jobs'>,
  stageId: string,
  said: Pick<RecordOf<'job'>, 'name'> & Partial<RecordOf<'job'>>,
): RecordOf<'job'> {
  const there = jobs.filter((job) => job.stageId === stageId)
  return blankJob({
    id: crypto.randomUUID(),
    stageId,
    order: Math.max(-1, ...there.map((job) => job.order)) + 1,
    ...said,
  })
}
