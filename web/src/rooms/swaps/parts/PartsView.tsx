import { formatFigure, formatKnown, known } from '@bold-ballast/core'
import { format, parseISO } from 'date-fns'
import { useDeferredValue, useState } from 'react'
import { problemOf, usePartsQuery } from '../../../store/api'
import { useBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { download } from '../../../ui/download'
import { EmptyRoom } from '../../../ui/EmptyRoom'
import { GradeMark } from '../../../ui/grades'
import { TableHead } from '../../../ui/TableHead'
import { SYSTEM } from '@bold-ballast/contract'
import { csvOf } from '@bold-ballast/words'

/** The workshop's own weighed parts, of all builds: what did ours weigh last time? */
export function PartsView() {
  const { unit } = useBuild()
  const [typed, setTyped] = useState('')
  const find = useDeferredValue(typed)
  const { data: parts, error, isFetching } = usePartsQuery(find.slice(0, 120))
  const mass = unit('mass')
  const saveCsv = () => {
    const header = ['part', 'system', 'mass each (kg)', 'known by', 'build', 'stage', 'date']
    const rows = (parts ?? []).map((p) => [p.name, SYSTEM[p.system], p.mass, p.grade, p.build, p.stage, p.on])
    download('weighed parts.csv', csvOf(header, rows), 'text/csv')
  }
  return (
    <section aria-label="Parts we weighed" className="max-w-[980px]">
      <div className="mb-2 flex flex-wrap items-center gap-3">
        <input
          type="search"
          aria-label="Find a part"
          placeholder="Door, harness, wheel 17"
          value={typed}
          onChange={(e) => setTyped(e.target.value)}
          className="w-[280px] rounded-[3px] border border-edge bg-panel px-2 py-1"
        />
        <Button look="quiet" onClick={saveCsv}>
          CSV
        </Button>
        <span role="status" className="text-[13px] text-muted">
          {isFetching
            ? ''
            : `${parts?.length ?? 0} ${parts?.length === 1 ? 'part' : 'parts'} of all builds${parts?.length === 200 ? ', the newest 200' : ''}`}
        </span>
      </div>
      {error && <p className="text-oxide">{problemOf(error).detail}</p>}
      {parts?.length === 0 && (
        <EmptyRoom title={find ? `Nothing weighed is called ${find}` : 'Nothing has been weighed yet'}>
          Every line that is measured or proven, in any build of the workshop, can be found here: so that the
          next car starts from what the last one weighed.
        </EmptyRoom>
      )}
      {parts && parts.length > 0 && (
        <table className="w-full" data-testid="parts">
          <TableHead
            folds
            columns={[
              { says: 'Part' },
              { says: 'System' },
              { says: `Each (${mass.symbol})`, figures: true },
              { says: 'Known by', className: 'pl-4' },
              { says: 'Where', className: 'pl-2' },
            ]}
          />
          <tbody>
            {parts.map((part) => {
              const k = known(part.mass, part.grade, part.sigma)
              const { spread } = formatKnown(k.value, k.sigma, mass)
              return (
                <tr
                  key={part.lineId}
                  className="border-b border-line @max-2xl:grid @max-2xl:grid-cols-2 @max-2xl:py-1.5"
                >
                  <th scope="row" className="py-1.5 text-left font-medium @max-2xl:py-0">
                    {part.name}
                  </th>
                  <td className="text-muted @max-2xl:order-3">{SYSTEM[part.system]}</td>
                  <td className="text-right">
                    <span className="figure text-[17px]">
                      {formatFigure(part.mass, mass, part.mass < 1 ? 3 : 2)}
                    </span>{' '}
                    <span className="unit">±{spread}</span>
                  </td>
                  <td className="pl-4 @max-2xl:order-4 @max-2xl:justify-self-end">
                    <GradeMark grade={part.grade} word />
                  </td>
                  <td className="pl-2 text-[13px] text-muted @max-2xl:order-5 @max-2xl:col-span-2 @max-2xl:pl-0">
                    {part.build}, {part.stage}, {format(parseISO(part.on), 'd MMM yyyy')}
                  </td>
                </tr>
              )
            })}
          </tbody>
        </table>
      )}
    </section>
  )
}
