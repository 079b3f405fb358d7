import { changesBetween, type BuildDocument } from '@bold-ballast/contract'
import { ledgerIndex, stageInputs } from '@bold-ballast/model'
import { formatQuantity, stageSummaries } from '@bold-ballast/core'
import { format } from 'date-fns'
import { useMemo, useState } from 'react'
import { problemOf, useBuildAtQuery } from '../../../store/api'
import { useBuild } from '../../../store/useBuild'
import { ChangeList } from '../../../ui/ChangeList'

const LOCAL = "yyyy-MM-dd'T'HH:mm"
const BOX = 'rounded-[3px] border border-edge bg-panel px-2 py-1 text-ink'

/** The build as it was at one time beside how it was at another, or is now. */
export function CompareDates({ oldest }: { oldest: string | null }) {
  const { view, buildId, stage, unit } = useBuild()
  const [first, setFirst] = useState('')
  const [second, setSecond] = useState('')
  const timeOf = (local: string) => {
    const time = new Date(local)
    return local && !Number.isNaN(time.getTime()) ? time.toISOString() : null
  }
  const [from, to] = [timeOf(first), timeOf(second)]
  const then = useBuildAtQuery({ buildId, time: from ?? '' }, { skip: from === null })
  const later = useBuildAtQuery({ buildId, time: to ?? '' }, { skip: to === null })
  const before = from === null ? null : (then.currentData ?? null)
  const after = to === null ? view : (later.currentData ?? null)
  const changes = useMemo(() => (before && after ? changesBetween(before, after) : null), [before, after])
  const massOf = (document: BuildDocument) => {
    const index = ledgerIndex(document)
    const at = index.stages.findIndex((s) => s.id === stage.id)
    const summary = stageSummaries(stageInputs(document, index))[at]
    return summary ? formatQuantity(summary.mass.value, unit('mass')) : 'no such stage yet'
  }
  const error = then.error ?? later.error
  const field = (label: string, value: string, set: (v: string) => void) => (
    <label className="flex flex-col gap-1 text-[13px] text-muted">
      {label}
      <input
        type="datetime-local"
        className={BOX}
        value={value}
        min={oldest ? format(new Date(oldest), LOCAL) : undefined}
        max={format(new Date(), LOCAL)}
        onChange={(e) => set(e.target.value)}
      />
    </label>
  )
  return (
    <section aria-label="Two dates">
      <h2 className="text-[19px]">As it was</h2>
      <div className="mt-1 flex flex-wrap items-end gap-4">
        {field('On', first, setFirst)}
        {field('Beside, empty for now', second, setSecond)}
      </div>
      {error && (
        <p role="alert" className="mt-2 text-oxide">
          {problemOf(error).detail}
        </p>
      )}
      {changes && before && after && (
        <div className="mt-2" data-testid="compared">
          <p className="text-[15px]">
            {stage.name}: {massOf(before)} then, {massOf(after)} {to === null ? 'now' : 'at the other time'};{' '}
            {changes.length} {changes.length === 1 ? 'record differs' : 'records differ'}.
          </p>
          <ChangeList changes={changes} />
        </div>
      )}
    </section>
  )
}
