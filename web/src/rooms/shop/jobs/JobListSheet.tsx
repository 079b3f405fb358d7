import { putEdit } from '@bold-ballast/contract'
import { readJobList, withAnswers } from '@bold-ballast/model'
import { useEffect, useId, useMemo, useState } from 'react'
import { newJob } from '../../../store/newJob'
import { useAppSelector } from '../../../store/store'
import { useBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { forgetText, keepText, keptText } from '../../../ui/keptText'
import { SideSheet } from '../../../ui/SideSheet'
import { usePeople } from '../usePeople'
import { jobOfLine } from './jobOfLine'
import { useNameAnswers } from './useNameAnswers'
import { understood } from './understood'
import { UnknownNames } from './UnknownNames'

/** An id for each place in a list, made once. */
function idsByPlace(): (place: number) => string {
  const ids: string[] = []
  return (place) => (ids[place] ??= crypto.randomUUID())
}

/** Jobs of a list, one on each line: what was understood of each stands below before any of them is taken on. */
export function JobListSheet({ pasted, onClose }: { pasted: string; onClose: () => void }) {
  const { view, stage, saveSaying } = useBuild()
  const people = usePeople()
  const author = useAppSelector((state) => state.settings.author)
  const key = `jobs.of.${stage.id}`
  const [text, setText] = useState(() => pasted || (keptText<string>(key) ?? ''))
  useEffect(() => {
    if (text) keepText(key, text)
    else forgetText(key)
  }, [key, text])
  const field = useId()
  const [idOf] = useState(idsByPlace)
  const { jobs, parts } = view
  const { answers, answer, edits: made } = useNameAnswers()
  const read = useMemo(
    () => readJobList(text, { jobs, parts, people }, idOf),
    [text, jobs, parts, people, idOf],
  )
  const listed = read.map(({ id, line }) => ({ id, line: withAnswers(line, answers) }))
  const count = listed.length === 1 ? 'one job' : `${listed.length || ''} jobs`.trim()
  const take = () => {
    const edits = listed.map(({ id, line }, i) => {
      const job = newJob(view, stage.id, { ...jobOfLine(line, author), id })
      return putEdit(view, 'job', { ...job, order: job.order + i })
    })
    const all = [...made(read.map(({ line }) => line)), ...edits]
    saveSaying(`Take on ${count}`, all, `${listed.length === 1 ? 'One job' : count} taken on.`)
    forgetText(key)
    onClose()
  }
  return (
    <SideSheet open onClose={onClose} title="A list of jobs">
      <label htmlFor={field} className="mb-1 block text-[13px] text-muted">
        A job on each line
      </label>
      <textarea
        id={field}
        rows={8}
        value={text}
        onChange={(e) => setText(e.target.value)}
        placeholder={'hood off 1h\nengine out 6h Tomasz and Ines after hood'}
        className="w-full rounded-[3px] border border-edge bg-panel px-2 py-1.5 text-ink"
      />
      <ol className="my-3" aria-label="Understood" data-testid="job-list-says">
        {listed.map(({ id, line }) => (
          <li key={id} className="border-b border-line py-1 text-[14px]">
            <span className="font-medium">{line.name}</span>{' '}
            <span className="text-muted">· {understood(line)}</span>
            <UnknownNames line={line} onAnswer={answer} />
          </li>
        ))}
      </ol>
      <Button look="main" className="w-full" disabled={listed.length === 0} onClick={take}>
        Take on {count}
      </Button>
    </SideSheet>
  )
}
