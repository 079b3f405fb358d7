import type { Outing } from '@bold-ballast/contract'
import { useCallback, useMemo } from 'react'
import { useSearchParams } from 'react-router'
import { useBuild } from '../../store/useBuild'

export interface ChosenDay {
  /** All days of the build, the newest first. */
  readonly days: readonly Outing[]
  /** The one that is looked at; null while there is none. */
  readonly day: Outing | null
  readonly choose: (id: string) => void
}

/**
 * The day that is looked at: it stands in the address. Else the last of this stage that was driven, the next that is still
 * to come, or the newest of all.
 */
export function useChosenDay(): ChosenDay {
  const { view, stage } = useBuild()
  const [params, setParams] = useSearchParams()
  const days = useMemo(
    () => [...view.outings].sort((a, b) => b.date.localeCompare(a.date) || a.id.localeCompare(b.id)),
    [view.outings],
  )
  const asked = params.get('day')
  const here = days.filter((d) => d.stageId === stage.id)
  const day =
    days.find((d) => d.id === asked) ?? here.find((d) => !d.planned) ?? here.at(-1) ?? days[0] ?? null
  const choose = useCallback(
    (id: string) =>
      setParams(
        (before) => {
          const next = new URLSearchParams(before)
          next.set('day', id)
          return next
        },
        { replace: true },
      ),
    [setParams],
  )
  return { days, day, choose }
}
