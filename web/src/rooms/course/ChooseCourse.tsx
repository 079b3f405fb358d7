import { Choose } from '../../ui/Choose'
import { useChosenCourse } from './useChosenCourse'

/** The course that is looked at, among those of the build. */
export function ChooseCourse() {
  const { courses, course, choose } = useChosenCourse()
  return (
    <div className="w-fit">
      <Choose
        label="Course"
        wide={false}
        value={course?.id ?? null}
        options={courses.map((c) => [c.id, c.name] as const)}
        onChange={(id) => id && choose(id)}
      />
    </div>
  )
}
