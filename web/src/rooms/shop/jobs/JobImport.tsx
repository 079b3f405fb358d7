import { nextOrder, putEdit } from '@bold-ballast/contract'
import { useBuild } from '../../../store/useBuild'
import { ListImport } from '../../../ui/ListImport'
import { jobRows } from './jobRows'

/** Jobs from a CSV, with what comes after what. */
export function JobImport({ onClose }: { onClose: () => void }) {
  const { view, stage, save } = useBuild()
  const here = view.jobs.filter((job) => job.stageId === stage.id)
  const order = nextOrder(here)
  return (
    <ListImport
      title="Jobs from a CSV"
      field="CSV of jobs"
      things={['job', 'jobs']}
      read={(text) => jobRows(text, { stageId: stage.id, order }, here, () => crypto.randomUUID())}
      says={(job) => job.name}
      onAdd={(jobs) =>
        save(
          `Take on ${jobs.length} jobs`,
          jobs.map((job) => putEdit(view, 'job', job)),
        )?.[0]?.problem ?? null
      }
      onClose={onClose}
    >
      A first line with job; likely (h), who and after, and any of the other columns of the CSV that this view
      writes. What a job comes after is found by its name, in the list or among the jobs of {stage.name}.
    </ListImport>
  )
}
