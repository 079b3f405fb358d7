import { isOpenJob, type Job } from '@bold-ballast/contract'
import { workedOn } from '@bold-ballast/model'
import { hoursOf } from '@bold-ballast/words'
import { useState } from 'react'
import { useBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { EmptyRoom } from '../../../ui/EmptyRoom'
import { MayOnly } from '../../../ui/MayOnly'
import { download } from '../../../ui/download'
import { JobEntry } from './JobEntry'
import { JobImport } from './JobImport'
import { JobListSheet } from './JobListSheet'
import { jobCsv } from './jobRows'
import { JobRow } from './JobRow'
import { TakeFrom } from './TakeFrom'

/** Jobs by sub-assembly, those of none last. */
function byGroup(jobs: readonly Job[]): [string, Job[]][] {
  const groups = new Map<string, Job[]>()
  for (const job of jobs) groups.set(job.group, [...(groups.get(job.group) ?? []), job])
  return [...groups].sort(([a], [b]) => Number(a === '') - Number(b === '') || a.localeCompare(b))
}

/** What is to be done at this stage, and what was. */
export function JobsView({ onJob }: { onJob: (id: string | null) => void }) {
  const { view, stage } = useBuild()
  const [showsDone, setShowsDone] = useState(false)
  const [isTaking, setTaking] = useState(false)
  const [isBringing, setBringing] = useState(false)
  const [pasted, setPasted] = useState<string | null>(null)
  const jobs = view.jobs.filter((job) => job.stageId === stage.id).sort((a, b) => a.order - b.order)
  const open = jobs.filter(isOpenJob)
  const done = jobs.filter((job) => !isOpenJob(job))
  const elsewhere = view.jobs.filter((job) => job.stageId !== stage.id && isOpenJob(job)).length
  const left = open.reduce((sum, job) => sum + (job.workTime ?? 0) * job.hands, 0)
  const worked = jobs.reduce((sum, job) => sum + workedOn(job), 0)
  return (
    <section aria-label="Jobs">
      <JobEntry onList={setPasted} />
      {jobs.length === 0 ? (
        <EmptyRoom
          title="No job at this stage yet"
          action={
            <span className="flex flex-wrap gap-2">
              <Button look="main" onClick={() => onJob(null)}>
                Take on a job
              </Button>
              <Button onClick={() => setTaking(true)}>Take over from a list</Button>
              <Button onClick={() => setPasted('')}>Type a list</Button>
              <Button onClick={() => setBringing(true)}>From a CSV</Button>
            </span>
          }
        >
          A job has hands and hours, what it comes after, and the parts that it waits for. From all of them
          follows when the stage is done, which job holds it up, and what to begin today.
        </EmptyRoom>
      ) : (
        <>
          <div className="mt-2 flex max-w-[980px] flex-wrap items-end justify-between gap-2">
            <p className="text-[17px]" data-testid="jobs-say">
              {open.length === 0 ? 'All done' : `${open.length} to do, ${hoursOf(left)} as guessed`}
              {worked > 0 && `; ${hoursOf(worked)} worked`}
              {elsewhere > 0 && `; ${elsewhere} open at other stages`}.
            </p>
            <span>
              <MayOnly right="log">
                <Button look="quiet" onClick={() => setTaking(true)}>
                  Take over from a list
                </Button>
                <Button look="quiet" onClick={() => setPasted('')}>
                  Type a list
                </Button>
                <Button look="quiet" onClick={() => setBringing(true)}>
                  From a CSV
                </Button>
              </MayOnly>
              <Button
                look="quiet"
                onClick={() =>
                  download(`${view.build.name} ${stage.name} jobs.csv`, jobCsv(jobs, view.jobs), 'text/csv')
                }
              >
                CSV
              </Button>
            </span>
          </div>
          {byGroup(open).map(([group, list]) => (
            <div key={group} className="max-w-[980px]">
              {group !== '' && <h2 className="mt-3 text-[17px]">{group}</h2>}
              {group === '' && list.length < open.length && (
                <h2 className="mt-3 text-[17px]">Everything else</h2>
              )}
              <ul aria-label={group || 'Jobs to do'}>
                {list.map((job) => (
                  <JobRow key={job.id} job={job} onOpen={() => onJob(job.id)} />
                ))}
              </ul>
            </div>
          ))}
          {done.length > 0 && (
            <div className="mt-4 max-w-[980px]">
              <Button
                look="quiet"
                className="!px-0"
                aria-expanded={showsDone}
                onClick={() => setShowsDone(!showsDone)}
              >
                {showsDone ? 'Hide' : 'Show'} what is done: {done.length}
              </Button>
              {showsDone && (
                <ul aria-label="Jobs done">
                  {done.map((job) => (
                    <JobRow key={job.id} job={job} onOpen={() => onJob(job.id)} />
                  ))}
                </ul>
              )}
            </div>
          )}
        </>
      )}
      {isTaking && <TakeFrom onClose={() => setTaking(false)} />}
      {pasted !== null && <JobListSheet pasted={pasted} onClose={() => setPasted(null)} />}
      {isBringing && <JobImport onClose={() => setBringing(false)} />}
    </section>
  )
}
