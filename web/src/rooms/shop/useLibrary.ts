import { withOwnWork } from '@bold-ballast/model'
import { useMemo } from 'react'
import { useWorkQuery } from '../../store/api'
import { useBuild } from '../../store/useBuild'

const NONE: never[] = []

/** How work goes in the workshop, with the open build as it stands here. */
export function useLibrary() {
  const { view } = useBuild()
  const { data = NONE } = useWorkQuery()
  return useMemo(() => withOwnWork(data, view), [data, view])
}
