import { tyreSets } from '@bold-ballast/model'
import { useMemo } from 'react'
import { useBuild } from '../../../store/useBuild'
import { TableHead } from '../../../ui/TableHead'
import { sayTime } from '../sayTime'

/** Sets of tyres: what they have been through, and what they gave as they went. */
export function TyreSets() {
  const { view } = useBuild()
  const sets = useMemo(() => tyreSets(view), [view])
  if (sets.length === 0) return null
  const right = 'px-2 text-right whitespace-nowrap tabular-nums'
  return (
    <div className="relative mt-5 overflow-x-auto">
      <h2 className="text-[20px]">Sets of tyres</h2>
      <table className="w-full max-w-[760px]" data-testid="tyre-sets">
        <caption className="sr-only">What sets of tyres have been through</caption>
        <TableHead
          columns={[
            { says: 'Set' },
            { says: 'Laps', figures: true, className: 'px-2' },
            { says: 'Heat cycles', figures: true, className: 'px-2' },
            { says: 'Median lap, by laps on them before', className: 'pl-4' },
          ]}
        />
        <tbody>
          {sets.map((set) => (
            <tr key={set.name} className="border-b border-line">
              <th scope="row" className="py-1 pr-2 text-left font-medium">
                {set.name}
              </th>
              <td className={right}>{set.laps}</td>
              <td className={right}>{set.cycles}</td>
              <td className="pl-4 text-[14px]">
                {set.runs.map((r) => `${r.before}: ${sayTime(r.median)}`).join(', ') || '–'}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  )
}
