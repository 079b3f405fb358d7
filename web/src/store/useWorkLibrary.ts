import { withOwnWork } from '@bold-ballast/model'
import { useMemo } from 'react'
import { useWorkQuery } from './api'
import { useBuild } from './useBuild'

const NONE: never[] = []

/** How work goes in the workshop, with the open build as it stands here. */
export function useWorkLibrary() {
  const { view } = useBuild()
  const { data = NONE } = useWorkQuery()
  return useMemo(() => withOwnWork(data, view), [data, view])
}
