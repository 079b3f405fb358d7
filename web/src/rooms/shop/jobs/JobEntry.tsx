import { putEdit } from '@bold-ballast/contract'
import { readJobLine, withAnswers } from '@bold-ballast/model'
import { useMemo, useState, type FormEvent } from 'react'
import { newJob } from '../../../store/newJob'
import { useAppSelector } from '../../../store/store'
import { useBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { MayOnly } from '../../../ui/MayOnly'
import { usePeople } from '../usePeople'
import { jobOfLine } from './jobOfLine'
import { useNameAnswers } from './useNameAnswers'
import { understood } from './understood'
import { UnknownNames } from './UnknownNames'

/**
 * A job typed in one line: what was understood stands below it while it is typed.
 *
 * @param onList hears several lines that were pasted
 */
export function JobEntry({ onList }: { onList: (text: string) => void }) {
  const { view, stage, saveSaying } = useBuild()
  const people = usePeople()
  const author = useAppSelector((state) => state.settings.author)
  const [text, setText] = useState('')
  const { answers, answer, forget, edits } = useNameAnswers()
  const read = useMemo(
    () => (text.trim() ? readJobLine(text, { jobs: view.jobs, parts: view.parts, people }) : null),
    [text, view.jobs, view.parts, people],
  )
  const line = read && withAnswers(read, answers)
  const add = (event: FormEvent) => {
    event.preventDefault()
    if (!read || !line?.name) return
    const job = newJob(view, stage.id, jobOfLine(line, author))
    saveSaying(
      `Take on: ${job.name}`,
      [...edits([read]), putEdit(view, 'job', job)],
      `${job.name}: taken on.`,
    )
    setText('')
    forget()
  }
  return (
    <MayOnly right="log">
      <form onSubmit={add} className="max-w-[980px]">
        <label htmlFor="job-line" className="text-[13px] text-muted">
          A job in one line
        </label>
        <div className="flex gap-2">
          <input
            id="job-line"
            value={text}
            onChange={(e) => setText(e.target.value)}
            onPaste={(e) => {
              const pasted = e.clipboardData.getData('text')
              if (!/\S\s*[\r\n]+\s*\S/.test(pasted)) return
              e.preventDefault()
              onList(pasted)
            }}
            autoComplete="off"
            placeholder="drop rear subframe 3h Tomasz after exhaust"
            aria-describedby="job-line-says"
            className="w-full min-w-0 rounded-[3px] border border-edge bg-panel px-2 py-1.5 text-ink"
          />
          <Button type="submit" look="main" disabled={!line?.name}>
            Take on
          </Button>
        </div>
        <div
          id="job-line-says"
          aria-live="polite"
          className="min-h-6 text-[13.5px] text-muted"
          data-testid="job-line-says"
        >
          {line?.name ? (
            <>
              <span className="font-medium text-ink">{line.name}</span> · {understood(line)}
            </>
          ) : line ? (
            'What is to be done?'
          ) : (
            'Hours (3h, or 2-3-7h for least, likely, most), who, “after” another job, “needs” a part.'
          )}
          {line && <UnknownNames line={line} onAnswer={answer} />}
        </div>
      </form>
    </MayOnly>
  )
}
