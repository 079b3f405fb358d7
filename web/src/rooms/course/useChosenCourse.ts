import type { Course } from '@bold-ballast/contract'
import { useMemo } from 'react'
import { useSearchParams } from 'react-router'
import { useBuild } from '../../store/useBuild'

/** The course that is looked at: the one in the address, or the first of the build. */
export function useChosenCourse(): {
  readonly courses: readonly Course[]
  readonly course: Course | null
  readonly choose: (id: string) => void
} {
  const { view } = useBuild()
  const [params, setParams] = useSearchParams()
  const courses = useMemo(() => [...view.courses].sort((a, b) => a.order - b.order), [view.courses])
  const wanted = params.get('course')
  return {
    courses,
    course: courses.find((c) => c.id === wanted) ?? courses[0] ?? null,
    choose: (id) =>
      setParams(
        (before) => {
          before.set('course', id)
          return before
        },
        { replace: true },
      ),
  }
}
