import { TRACK_STATE } from '@bold-ballast/contract'
import { whatWorked } from '@bold-ballast/model'
import { useMemo } from 'react'
import { useBuild } from '../../../store/useBuild'
import { TableHead } from '../../../ui/TableHead'
import { sayTime } from '../sayTime'

/** Set-ups and tyres that were driven at each course, in each weather, the quickest first. */
export function WhatWorked() {
  const { view } = useBuild()
  const rows = useMemo(() => whatWorked(view), [view])
  if (rows.length === 0) return null
  const right = 'px-2 text-right whitespace-nowrap tabular-nums'
  return (
    <section aria-label="What worked" className="relative mt-5 overflow-x-auto">
      <h2 className="text-[20px]">What worked where</h2>
      <table className="w-full max-w-[900px]" data-testid="what-worked">
        <caption className="text-left text-[13.5px] text-muted">
          By course and weather, the quickest first. Drivers and air are in it: Did it help asks more closely.
        </caption>
        <TableHead
          columns={[
            { says: 'Course and track' },
            { says: 'On' },
            { says: 'Tyres' },
            { says: 'Laps', figures: true, className: 'px-2' },
            { says: 'Three best', figures: true, className: 'px-2' },
            { says: 'Median', figures: true, className: 'px-2' },
            { says: 'Last', className: 'px-2' },
          ]}
        />
        <tbody>
          {rows.map((row, i) => {
            const course = view.courses.find((c) => c.id === row.courseId)?.name ?? ''
            const before = rows[i - 1]
            const isSame = before?.courseId === row.courseId && before.track === row.track
            return (
              <tr key={i} className="border-b border-line">
                <th scope="row" className={`py-1 pr-2 text-left font-medium ${isSame ? 'text-muted' : ''}`}>
                  {isSame ? <span className="sr-only">{course}</span> : course}
                  <span className={isSame ? 'sr-only' : 'font-normal text-muted'}>
                    , {TRACK_STATE[row.track]}
                  </span>
                </th>
                <td className="pr-2">
                  {row.on}
                  {row.isBest && <span className="text-[13px] text-zinc"> quickest</span>}
                </td>
                <td className="pr-2">{row.tyres || '–'}</td>
                <td className={right}>{row.evidence.count}</td>
                <td className={`${right} figure text-[17px]`}>
                  {row.evidence.bestThree === null ? '–' : sayTime(row.evidence.bestThree)}
                </td>
                <td className={right}>{sayTime(row.evidence.median)}</td>
                <td className="px-2 whitespace-nowrap text-muted">{row.date}</td>
              </tr>
            )
          })}
        </tbody>
      </table>
    </section>
  )
}
