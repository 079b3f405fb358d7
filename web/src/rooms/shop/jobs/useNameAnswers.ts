import { newPart, nextOrder, putEdit, type Edit } from '@bold-ballast/contract'
import { toMake, type JobLine, type NameAnswer } from '@bold-ballast/model'
import { useState } from 'react'
import { newJob } from '../../../store/newJob'
import { useBuild } from '../../../store/useBuild'

/** What was said of names in lines that aren't found, and what is to be made for them before the jobs are taken on. */
export function useNameAnswers(): {
  answers: readonly NameAnswer[]
  answer: (name: string, as: NameAnswer['as']) => void
  forget: () => void
  edits: (lines: readonly JobLine[]) => Edit[]
} {
  const { view, stage } = useBuild()
  const [answers, setAnswers] = useState<readonly NameAnswer[]>([])
  const edits = (lines: readonly JobLine[]): Edit[] => {
    const partAt = nextOrder(view.parts.filter((part) => part.stageId === stage.id))
    return [
      ...toMake(lines, answers, 'part').map((made, i) =>
        putEdit(view, 'part', newPart({ ...made, stageId: stage.id, system: 'other', order: partAt + i })),
      ),
      ...toMake(lines, answers, 'job').map((made, i) => {
        const job = newJob(view, stage.id, made)
        return putEdit(view, 'job', { ...job, order: job.order + i })
      }),
    ]
  }
  return {
    answers,
    answer: (name, as) => setAnswers([...answers, { name, as, id: crypto.randomUUID() }]),
    forget: () => setAnswers([]),
    edits,
  }
}
