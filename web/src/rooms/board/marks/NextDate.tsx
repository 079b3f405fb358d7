import { chanceBy, formatNumber, itemAt } from '@bold-ballast/core'
import { freeHours, type WorkReckoned } from '@bold-ballast/model'
import { Link } from 'react-router'
import { useBuild } from '../../../store/useBuild'
import { useReckonedFrom } from '../../../store/useReckonedFrom'
import { SOME_DRAWS, useWorkOutcome } from '../../../store/useWorkOutcome'
import { sayChance, sayDate } from '../../../ui/sayDay'

/** The next date that stands fast: how likely it is made, and how much could be taken on before it. */
export function NextDate({ reckoned, target }: { reckoned: WorkReckoned; target: number }) {
  const { buildId, stage } = useBuild()
  const { day } = useReckonedFrom()
  const { outcome } = useWorkOutcome(reckoned, SOME_DRAWS)
  const { date, by } = itemAt(reckoned.targets, target)
  if (!date || by === null) return null
  const free = freeHours(reckoned, target) ?? 0
  const needs = itemAt(reckoned.network.targets, target).length
  return (
    <p className="mb-3 max-w-[980px] border-l-4 border-blued py-0.5 pl-2" data-testid="next-date">
      <Link
        className="font-medium hover:underline"
        to={`/builds/${buildId}/stages/${stage.id}/shop?view=date`}
      >
        {date.name}
      </Link>
      , {sayDate(date.date, day)}:{' '}
      {needs === 0
        ? 'nothing is open for it.'
        : outcome
          ? `made with ${sayChance(chanceBy(itemAt(outcome.finishes, target), by))}. `
          : 'being worked out. '}
      {needs > 0 && (
        <span className="text-muted">
          {free >= 0
            ? `${formatNumber(free / 3600, 0)} h of hands are free until then, after what is open for it.`
            : `${formatNumber(-free / 3600, 0)} h more is open for it than there are hands.`}
        </span>
      )}
    </p>
  )
}
