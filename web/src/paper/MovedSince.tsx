import type { DifferingFigure } from '@bold-ballast/words'
import { FOLDED, TableHead } from '../ui/TableHead'

export const MOVED = 'Moved since it was signed'
const MOVED_WHY =
  'What is signed stays as it was signed. The records of the build, of an earlier stage or of what no stage holds have changed since, or what is worked out from them.'

/** What the records say otherwise today than a sheet was signed with, beside the signature. */
export function MovedSince({ moved }: { moved: readonly DifferingFigure[] }) {
  return (
    <section aria-label={MOVED} className="mt-4" data-testid="moved">
      <h3 className="text-[19px] text-ochre">{MOVED}</h3>
      <p className="text-[12.5px] text-muted">{MOVED_WHY}</p>
      <table className="w-full">
        <TableHead
          folds
          columns={[{ says: 'What' }, { says: 'As signed' }, { says: 'By the records of today' }]}
        />
        <tbody>
          {moved.map(({ what, before, after }) => (
            <tr key={what} className="border-b border-line align-top @max-2xl:grid @max-2xl:py-1">
              <th scope="row" className="pr-4 text-left font-medium">
                {what}
              </th>
              <td className="pr-4">
                <span className={FOLDED}>as signed</span> {before}
              </td>
              <td className="text-ochre">
                <span className={FOLDED}>today</span> {after}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  )
}
