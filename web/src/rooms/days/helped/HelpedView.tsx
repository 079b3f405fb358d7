import { didItHelp, runsOf } from '@bold-ballast/model'
import { useMemo, useState } from 'react'
import { useBuild } from '../../../store/useBuild'
import { Choice } from '../../../ui/Choice'
import { ChooseDay } from '../ChooseDay'
import { NoDay } from '../NoDay'
import { useChosenDay } from '../useChosenDay'
import { useCourseLap } from '../useCourseLap'
import { DriverHelped } from './DriverHelped'

const WHICH = [
  ['day', 'This day'],
  ['course', 'All days on this course'],
] as const

/** Whether what was changed between runs helped, or the driver learnt the place, the tyres went, the fuel burnt off. */
export function HelpedView({ onDay }: { onDay: () => void }) {
  const { view } = useBuild()
  const { day } = useChosenDay()
  const [which, setWhich] = useState<(typeof WHICH)[number][0]>('day')
  const course = view.courses.find((c) => c.id === day?.courseId) ?? null
  const days = useMemo(() => {
    if (!day) return []
    if (which === 'day' || day.courseId === null) return [day]
    return view.outings
      .filter((o) => o.courseId === day.courseId && !o.planned)
      .sort((a, b) => a.date.localeCompare(b.date))
  }, [view.outings, day, which])
  const fuelPerLap = useCourseLap(day)?.fuel ?? 0
  const others = useMemo(
    () =>
      day === null || day.courseId === null
        ? []
        : view.outings.filter((o) => o.courseId === day.courseId && !o.planned && !days.includes(o)),
    [view.outings, day, days],
  )
  const found = useMemo(() => didItHelp(view, days, fuelPerLap, others), [view, days, fuelPerLap, others])
  if (!day) return <NoDay onDay={onDay} />
  const hasRuns = days.some((d) => runsOf(view, d.id).some((run) => !run.planned))
  return (
    <section aria-label="Did it help" className="max-w-[980px]">
      <div className="flex flex-wrap items-end gap-3">
        <ChooseDay />
        {day.courseId !== null && (
          <Choice label="Laps of" value={which} options={WHICH} onChange={setWhich} />
        )}
      </div>
      {found.length === 0 ? (
        <p className="mt-3 max-w-[760px] text-muted">
          {hasRuns
            ? 'Too few laps that count: at least a handful on each of two sheets are wanted, one change apart, and back.'
            : 'No run of this day was driven yet.'}
        </p>
      ) : (
        found.map((helped) => (
          <DriverHelped key={helped.driver} helped={helped} course={course} stageId={day.stageId} />
        ))
      )}
    </section>
  )
}
