import { putEdit, withoutVersion, type Outing } from '@bold-ballast/contract'
import { formatNumber } from '@bold-ballast/core'
import { lineToKeep, type DayLine } from '@bold-ballast/model'
import { useState } from 'react'
import { useBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { CourseMap } from '../../../ui/CourseMap'
import { MayOnly } from '../../../ui/MayOnly'

const LINE = { says: 'first whole lap', colour: '--blued', width: 2.5 } as const

/** A line that comes from a log itself: where its lap starts can be said, and it can be kept as a course. */
export function OwnLine({
  line,
  day,
  startAt,
  onStart,
}: {
  line: DayLine
  day: Outing
  /** m from where the logger began. */
  startAt: number
  onStart: (at: number) => void
}) {
  const { view, saveSaying } = useBuild()
  const [at, setAt] = useState(0)
  const keep = () => {
    const id = crypto.randomUUID()
    const order = Math.max(0, ...view.courses.map((c) => c.order)) + 1
    saveSaying(
      `Keep the line of ${day.name} as a course`,
      [
        putEdit(view, 'course', {
          id,
          name: day.name,
          order,
          sections: [],
          line: lineToKeep(line),
          corners: [],
          sectors: [],
          stretches: [],
          width: null,
          closed: line.lap.closed,
          note: `Logged on ${day.date}`,
        }),
        putEdit(view, 'outing', { ...withoutVersion(day), courseId: id }),
      ],
      'The line is a course now: corners and sectors can be named under Course.',
    )
  }
  return (
    <section aria-label="Line of the log" className="mt-3 rounded-[3px] border border-edge bg-panel p-3">
      <p className="text-[15px]">
        No course of this day says where it lies on the earth: the first whole lap of a log is its line,{' '}
        {formatNumber(line.lap.length, 0)} m long.
      </p>
      <div className="max-w-[560px]">
        <CourseMap
          label="Line of the log: a place on it is where a lap starts"
          points={line.points}
          closed={line.lap.closed}
          length={line.lap.length}
          stretches={[{ from: 0, to: line.lap.length, look: LINE }]}
          corners={line.corners}
          at={at}
          onAt={setAt}
        />
        <input
          type="range"
          aria-label="Start line"
          className="no-print w-full accent-blued"
          min={0}
          max={Math.floor(line.lap.length)}
          step={1}
          value={Math.round(at)}
          onChange={(event) => setAt(Number(event.target.value))}
        />
      </div>
      <p className="no-print mt-1 flex flex-wrap gap-2">
        {line.lap.closed && (
          <Button
            disabled={at === 0}
            onClick={() => {
              onStart((startAt + at) % line.lap.length)
              setAt(0)
            }}
          >
            A lap starts here, {formatNumber(at, 0)} m on
          </Button>
        )}
        <MayOnly right="plan">
          <Button onClick={keep}>Keep it as a course</Button>
        </MayOnly>
      </p>
    </section>
  )
}
