import { chanceBy, itemAt, reachOf, type WorkOutcome } from '@bold-ballast/core'
import type { WorkReckoned } from '@bold-ballast/model'
import { sayChance, sayDate, sayDay } from '../../../ui/sayDay'

/** Each date with its odds; the one that is looked at is chosen here. */
export function DateCards({
  reckoned,
  outcome,
  day,
  chosen,
  onChoose,
}: {
  reckoned: WorkReckoned
  outcome: WorkOutcome
  day: string
  chosen: number
  onChoose: (target: number) => void
}) {
  return (
    <ul
      className="mt-2 grid max-w-[1100px] grid-cols-[repeat(auto-fill,minmax(230px,1fr))] gap-2"
      aria-label="Dates"
    >
      {reckoned.targets.map(({ date, by }, target) => {
        const finishes = itemAt(outcome.finishes, target)
        const { early, middle, late } = reachOf(finishes)
        const needs = itemAt(reckoned.network.targets, target).length
        return (
          <li key={date?.id ?? 'all'}>
            <button
              type="button"
              aria-pressed={chosen === target}
              onClick={() => onChoose(target)}
              className={`prints h-full w-full rounded-[3px] border bg-panel px-3 py-2 text-left ${
                chosen === target ? 'border-2 border-blued' : 'border-line'
              }`}
            >
              <span className="flex items-baseline justify-between gap-2">
                <span className="font-medium">{date?.name ?? 'All that is open'}</span>
                {by !== null && (
                  <span className="figure text-[22px] whitespace-nowrap" data-testid="chance">
                    {needs === 0 ? 'ready' : sayChance(chanceBy(finishes, by))}
                  </span>
                )}
              </span>
              <span className="block text-[13px] text-muted">
                {date ? `${sayDate(date.date, day)}${date.time === null ? '' : `, ${date.time}`} · ` : ''}
                {needs === 0 ? 'nothing open for it' : `${needs} ${needs === 1 ? 'job' : 'jobs'}`}
              </span>
              {needs > 0 && (
                <span className="block text-[13px]">
                  likely done {sayDay(middle, day)}
                  <span className="block text-muted">
                    one in ten by {sayDay(early, day)}, nine by {sayDay(late, day)}
                  </span>
                </span>
              )}
            </button>
          </li>
        )
      })}
    </ul>
  )
}
