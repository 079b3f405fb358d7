import type { Outing } from '@bold-ballast/contract'
import { formatNumber } from '@bold-ballast/core'
import type { LapEvidence } from '@bold-ballast/model'
import { sayTime } from '../sayTime'

/** What the laps of a day show together: the best, how often it was reached, the pace. */
export function DayShows({ day, evidence }: { day: Outing; evidence: LapEvidence | null }) {
  if (!evidence) return null
  const figures: readonly (readonly [string, string, string])[] = [
    ['Best', sayTime(evidence.best), `reached by ${evidence.reached} of ${evidence.count} laps within 0.5 %`],
    ...(evidence.bestThree === null
      ? []
      : [['Three best', sayTime(evidence.bestThree), 'their mean'] as const]),
    [
      'Median',
      sayTime(evidence.median),
      evidence.scatter === null ? '' : `scatter ${formatNumber(evidence.scatter, 2)} s`,
    ],
    ...(evidence.bestSectors === null
      ? []
      : [['Best sectors', sayTime(evidence.bestSectors), 'added up: no lap that anybody drove'] as const]),
  ]
  return (
    <div className="mt-2" data-testid="day-shows">
      <div className="flex flex-wrap gap-x-8 gap-y-2">
        {figures.map(([label, figure, says]) => (
          <p key={label}>
            <span className="block text-[13px] text-muted">{label}</span>
            <span className="figure text-[28px] leading-tight">{figure}</span>
            <span className="block text-[12.5px] text-muted">{says}</span>
          </p>
        ))}
      </div>
      {day.result && (
        <p className="mt-1 text-[15px]">
          Place {day.result.place}
          {day.result.of !== null && ` of ${day.result.of}`}
          {day.result.points !== null && `, ${formatNumber(day.result.points, 0)} points`}.
        </p>
      )}
    </div>
  )
}
