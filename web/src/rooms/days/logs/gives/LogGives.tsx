import type { Course, Outing } from '@bold-ballast/contract'
import type { DayLine } from '@bold-ballast/model'
import { useState } from 'react'
import { Choose } from '../../../../ui/Choose'
import type { LoggedRun } from '../lapsLogged'
import { BestLapSpeeds } from './BestLapSpeeds'
import { CornerGrip } from './CornerGrip'
import { FuelTaken } from './FuelTaken'
import { GearsUsed } from './GearsUsed'
import { GripHeld } from './GripHeld'
import { Pressures } from './Pressures'
import { Stretches } from './Stretches'

/** What a run's log gives other rooms: grip, brake pressures, gears, fuel, stretches that rolled out, least speeds. */
export function LogGives({
  day,
  line,
  course,
  logged,
}: {
  day: Outing
  line: DayLine
  course: Course | null
  logged: readonly LoggedRun[]
}) {
  const [asked, setAsked] = useState<string | null>(null)
  const one = logged.find(({ run }) => run.id === asked) ?? logged[0]
  if (!one) return null
  return (
    <section aria-label="What the log gives" className="mt-5">
      <div className="flex flex-wrap items-end justify-between gap-3">
        <h2 className="text-[20px]">What the log gives</h2>
        {logged.length > 1 && (
          <Choose
            label="Log of"
            value={one.run.id}
            options={logged.map(({ run }) => [run.id, `Run ${run.order}, ${run.driver}`] as const)}
            onChange={setAsked}
            wide={false}
          />
        )}
      </div>
      <dl className="mt-1 grid gap-x-6 gap-y-2 text-[15px] @3xl:grid-cols-2" data-testid="log-gives">
        <GripHeld one={one} />
        {course && line.isCourse && <CornerGrip one={one} day={day} line={line} course={course} />}
        <Pressures one={one} day={day} />
        <GearsUsed one={one} />
        <FuelTaken one={one} />
        <Stretches one={one} day={day} />
        <BestLapSpeeds one={one} day={day} />
      </dl>
    </section>
  )
}
