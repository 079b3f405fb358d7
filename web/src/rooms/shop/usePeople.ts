import { useMemo } from 'react'
import { useAppSelector } from '../../store/store'
import { useBuild } from '../../store/useBuild'

/** Who works here: those whose hours are noted, then whoever else is named at a job or has worked at this screen. */
export function usePeople(): readonly string[] {
  const { view } = useBuild()
  const crew = useAppSelector((state) => state.settings.crew)
  return useMemo(() => {
    const noted = [...view.hands].sort((a, b) => a.order - b.order).map((hand) => hand.name)
    const named = view.jobs.flatMap((job) => [...job.who, ...job.spells.map((s) => s.who)])
    return [...new Set([...noted, ...named, ...crew])].filter(Boolean)
  }, [view.hands, view.jobs, crew])
}
