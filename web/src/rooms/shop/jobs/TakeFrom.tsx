import { type Job, newJob, nextOrder, type RecordOf } from '@bold-ballast/contract'
import { putEdit } from '@bold-ballast/contract'
import { mean } from '@bold-ballast/core'
import { operationsOf } from '@bold-ballast/model'
import { hoursOf } from '@bold-ballast/words'
import { useMemo } from 'react'
import { useBuild } from '../../../store/useBuild'
import { TakeOver } from '../TakeOver'
import { useWorkLibrary } from '../../../store/useWorkLibrary'

type Wanted = Pick<Job, 'name'> & Partial<RecordOf<'job'>> & { readonly key: string; readonly says: string }

/** Jobs that stand somewhere else already: swaps without one, failures, operations of the workshop, jobs of another stage or build. */
function useSources(): readonly { readonly name: string; readonly jobs: readonly Wanted[] }[] {
  const { view, stage } = useBuild()
  const library = useWorkLibrary()
  return useMemo(() => {
    const taken = new Set(view.jobs.filter((j) => j.stageId === stage.id).map((j) => j.name))
    const swaps = view.swaps
      .filter((swap) => swap.stageId === stage.id && !view.jobs.some((job) => job.swapId === swap.id))
      .map((swap): Wanted => ({
        key: swap.id,
        name: swap.name,
        swapId: swap.id,
        workTime: swap.workTime,
        kind: 'fitting',
        says: swap.workTime === null ? '' : hoursOf(swap.workTime),
      }))
    const failures = view.services
      .filter((service) => service.kind === 'failure' && !service.renewed)
      .map((service): Wanted => ({
        key: service.id,
        name: service.what,
        says: service.date,
        from: `failure ${service.id}`,
      }))
    const operations = operationsOf(library).map((operation): Wanted => ({
      key: operation.name,
      name: operation.name,
      operation: operation.name,
      workTime: mean(operation.times.map((t) => t.taken)),
      says: `${hoursOf(operation.mean)} as a mean of ${operation.times.length}`,
    }))
    const options = view.optionSets
      .filter((set) => set.stageId === stage.id)
      .flatMap((set) =>
        set.options.map((option): Wanted => ({
          key: option.id,
          name: `Fit ${option.name}`,
          kind: 'fitting',
          says: set.name,
        })),
      )
    const templates = library.flatMap(({ build, buildId, stages, jobs }) =>
      stages.map(({ id: stageId, name }) => ({
        name: `${build}: ${name}`,
        jobs:
          buildId === view.build.id && stageId === stage.id
            ? []
            : jobs
                .filter((job) => job.stageId === stageId)
                .map((job): Wanted => {
                  const { id: _, version: __, ...whole } = { version: 0, ...job }
                  return { ...whole, key: job.id, says: job.workTime === null ? '' : hoursOf(job.workTime) }
                }),
      })),
    )
    return [
      { name: 'Swaps of this stage', jobs: swaps },
      { name: 'What gave out', jobs: failures },
      { name: 'Options that are compared', jobs: options },
      { name: 'What comes again', jobs: operations },
      ...templates,
    ]
      .map((source) => ({ ...source, jobs: source.jobs.filter((job) => !taken.has(job.name)) }))
      .filter((source) => source.jobs.length > 0)
  }, [view, stage.id, library])
}

/** Takes jobs over from a list, with what comes after what among them. */
export function TakeFrom({ onClose }: { onClose: () => void }) {
  const { view, stage, saveSaying } = useBuild()
  const sources = useSources()
  const take = (chosen: readonly Wanted[]) => {
    const order = nextOrder(view.jobs.filter((j) => j.stageId === stage.id))
    const ids = new Map(chosen.map((job) => [job.key, crypto.randomUUID()]))
    const edits = chosen.map(({ key, says: _, ...job }, i) =>
      putEdit(
        view,
        'job',
        newJob({
          ...job,
          id: ids.get(key) ?? crypto.randomUUID(),
          stageId: stage.id,
          order: order + i,
          // Who did it, how long it took and what it waited for then is history of its own.
          state: 'toDo',
          doneOn: null,
          promised: null,
          spells: [],
          waits: [],
          parts: [],
          markId: null,
          swapId: view.swaps.some((swap) => swap.id === job.swapId) ? (job.swapId ?? null) : null,
          after: (job.after ?? []).flatMap((id) => ids.get(id) ?? []),
        }),
      ),
    )
    const count = edits.length === 1 ? 'One job' : `${edits.length} jobs`
    saveSaying(`Take over ${count.toLowerCase()}`, edits, `${count} taken over.`)
  }
  return (
    <TakeOver
      title="Take jobs over"
      sources={sources.map(({ name, jobs }) => ({ name, things: jobs }))}
      none="Nothing to take over: no swap of this stage is without a job, nothing gave out, and no other stage or build of the workshop has jobs."
      onTake={take}
      onClose={onClose}
    />
  )
}
