import { WEEKDAY } from '@bold-ballast/contract'
import { chanceBy, formatNumber, itemAt, type WorkOutcome } from '@bold-ballast/core'
import type { Eased, WorkReckoned } from '@bold-ballast/model'
import { TableHead } from '../../../ui/TableHead'
import { nameOfSource } from '../problemWords'
import { sayChance } from '../../../ui/sayDay'
import { useEasings } from './useEasings'

const DAY = 86_400
/** Less than that is the luck of the draws. */
const SAID = 0.25 * DAY
const ENOUGH = 0.8

function nameOf({ easing }: Eased, { hands, sources }: WorkReckoned): string {
  switch (easing.kind) {
    case 'evening':
      return `One more evening a week: ${itemAt(hands, easing.hand).name || 'the one pair of hands'}, ${WEEKDAY[easing.hours.day]}s`
    case 'hands':
      return 'One more pair of hands'
    case 'without':
      return `Without “${easing.items.map((at) => nameOfSource(itemAt(sources, at))).join('” and “')}”`
  }
}

const soonerSaid = (sooner: number): string =>
  sooner < SAID
    ? 'no sooner'
    : sooner === Infinity
      ? 'sooner'
      : `${formatNumber(sooner / DAY, sooner < 10 * DAY ? 1 : 0)} days sooner`

/** What one more evening, one more pair of hands or one job less would do for a date; and what to drop until it is likely. */
export function Easings({
  reckoned,
  outcome,
  target,
}: {
  reckoned: WorkReckoned
  outcome: WorkOutcome | null
  target: number
}) {
  const { found, progress } = useEasings(reckoned, outcome, target)
  const { date, by } = itemAt(reckoned.targets, target)
  if (!found)
    return (
      <p role="status" className="mt-5 text-muted">
        {progress === null ? '' : `What would help is being worked out: ${formatNumber(progress * 100, 0)} %`}
      </p>
    )
  const chance = by === null || !outcome ? null : chanceBy(itemAt(outcome.finishes, target), by)
  const rows = [...found.eased].sort((a, b) => (b.chance ?? 0) - (a.chance ?? 0) || b.sooner - a.sooner)
  const last = found.drops.at(-1)
  return (
    <section aria-label="What would help" className="mt-5 max-w-[980px]">
      <h2 className="text-[20px]">What would help</h2>
      {date && chance !== null && chance < ENOUGH && (
        <p className="mt-1 text-[15px]" data-testid="drops">
          {last && last.chance >= ENOUGH
            ? `Push behind ${date.name}, or drop: `
            : last
              ? 'Even without these it isn’t likely enough: '
              : 'No job could be left out that would bring it to four in five.'}
          {found.drops
            .map(
              ({ item, chance: then }) =>
                `“${nameOfSource(itemAt(reckoned.sources, item))}” (${sayChance(then)})`,
            )
            .join(', then ')}
          {last && '.'}
        </p>
      )}
      <div className="relative overflow-x-auto">
        <table className="mt-1 w-full" data-testid="easings">
          <caption className="sr-only">What would help</caption>
          <TableHead
            columns={[
              { says: 'What' },
              { says: 'Half of the cases', figures: true, className: 'px-2' },
              ...(date ? [{ says: `Chance of ${date.name}`, figures: true, className: 'px-2' }] : []),
            ]}
          />
          <tbody>
            <tr className="border-b border-line">
              <th scope="row" className="py-1 pr-2 text-left font-medium">
                As it is
              </th>
              <td className="px-2 text-right whitespace-nowrap text-muted">–</td>
              {date && (
                <td className="figure px-2 text-right text-[17px] whitespace-nowrap">
                  {chance === null ? '–' : sayChance(chance)}
                </td>
              )}
            </tr>
            {rows.map((row) => (
              <tr key={nameOf(row, reckoned)} className="border-b border-line">
                <th scope="row" className="py-1 pr-2 text-left font-medium">
                  {nameOf(row, reckoned)}
                </th>
                <td className="px-2 text-right whitespace-nowrap">{soonerSaid(row.sooner)}</td>
                {date && (
                  <td className="figure px-2 text-right text-[17px] whitespace-nowrap">
                    {row.chance === null ? '–' : sayChance(row.chance)}
                  </td>
                )}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  )
}
