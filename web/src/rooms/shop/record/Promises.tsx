import { JOB_KIND, JOB_KINDS } from '@bold-ballast/contract'
import { COMMON_RATIO, formatNumber } from '@bold-ballast/core'
import { keptPromises, ratioFor } from '@bold-ballast/model'
import { csvOf, hoursOf } from '@bold-ballast/words'
import { useMemo } from 'react'
import { Button } from '../../../ui/Button'
import { download } from '../../../ui/download'
import { ShowWorking } from '../../../ui/ShowWorking'
import { TableHead } from '../../../ui/TableHead'
import { useWorkLibrary } from '../../../store/useWorkLibrary'

/** One of ten takes longer than that; the 90 % point of a normal distribution. */
const LATE = 1.2816

/** Hours promised and hours taken, by person and kind of work, from all builds of the workshop. */
export function Promises() {
  const library = useWorkLibrary()
  const kept = useMemo(() => keptPromises(library), [library])
  const people = [...new Set(kept.map((k) => k.by))].sort()
  const rows = people.flatMap((by) =>
    JOB_KINDS.flatMap((kind) => {
      const own = kept.filter((k) => k.by === by && k.kind === kind)
      if (own.length === 0) return []
      const ratio = ratioFor(kept, by, kind)
      return [
        {
          by,
          kind,
          count: own.length,
          promised: own.reduce((sum, k) => sum + k.promised, 0),
          taken: own.reduce((sum, k) => sum + k.taken, 0),
          middle: Math.exp(ratio.mean),
          late: Math.exp(ratio.mean + LATE * ratio.spread * Math.sqrt(1 + 1 / ratio.weight)),
        },
      ]
    }),
  )
  const csv = () =>
    csvOf(
      ['build', 'job', 'kind', 'promised by', 'promised (h)', 'taken (h)', 'done on'],
      kept.map((k) => [k.build, k.name, JOB_KIND[k.kind], k.by, k.promised / 3600, k.taken / 3600, k.doneOn]),
    )
  const right = 'px-2 text-right whitespace-nowrap tabular-nums'
  return (
    <section aria-label="Promised against taken">
      <div className="flex flex-wrap items-end justify-between gap-2">
        <h2 className="text-[20px]">Promised against taken</h2>
        {kept.length > 0 && (
          <Button look="quiet" onClick={() => download('promises.csv', csv(), 'text/csv')}>
            CSV<span className="sr-only"> of promises</span>
          </Button>
        )}
      </div>
      {rows.length === 0 ? (
        <p className="max-w-[760px] text-muted">
          No job of the workshop has been promised and done with its hours yet. Until then stripping is taken
          to last {COMMON_RATIO.stripping} times as long as promised, and most else {COMMON_RATIO.other}{' '}
          times: common practice.
        </p>
      ) : (
        <div className="relative overflow-x-auto">
          <table className="mt-1 w-full" data-testid="promises">
            <caption className="sr-only">Promised against taken, by person and kind of work</caption>
            <TableHead
              columns={[
                { says: 'Who, and what' },
                { says: 'Jobs', figures: true, className: 'px-2' },
                { says: 'Promised', figures: true, className: 'px-2' },
                { says: 'Taken', figures: true, className: 'px-2' },
                { says: 'The next takes', figures: true, className: 'px-2' },
                { says: 'One in ten more than', figures: true, className: 'px-2' },
              ]}
            />
            <tbody>
              {rows.map((row) => (
                <tr key={row.by + row.kind} className="border-b border-line">
                  <th scope="row" className="py-1 pr-2 text-left font-medium">
                    {row.by || 'nobody named'}, {JOB_KIND[row.kind]}
                  </th>
                  <td className={right}>{row.count}</td>
                  <td className={right}>{hoursOf(row.promised)}</td>
                  <td className={right}>{hoursOf(row.taken)}</td>
                  <td className={`${right} figure text-[17px]`}>
                    {formatNumber(row.middle, 1)} ×{' '}
                    <ShowWorking
                      working={{
                        title: `${row.by || 'Nobody named'}, ${JOB_KIND[row.kind]}`,
                        formula: 'ln(taken ∕ promised): m = (m₀·n₀ + Σ ln rᵢ) ∕ (n₀ + n)',
                        inputs: [
                          ['Jobs', String(row.count)],
                          ['Taken in all', hoursOf(row.taken)],
                          ['Promised in all', hoursOf(row.promised)],
                          ['Before a record', row.kind === 'stripping' ? '5 times' : '2 times'],
                        ],
                        result: `${formatNumber(row.middle, 2)} times`,
                        source:
                          'Gelman et al., Bayesian Data Analysis, 3.3; before a record: common practice',
                      }}
                    />
                  </td>
                  <td className={right}>{formatNumber(row.late, 1)} ×</td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
    </section>
  )
}
