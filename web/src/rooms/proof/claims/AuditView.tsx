import { SYSTEM } from '@bold-ballast/contract'
import { auditOf, type AuditRow } from '@bold-ballast/model'
import { formatNumber, fromSi } from '@bold-ballast/core'
import { csvOf } from '@bold-ballast/words'
import { useMemo } from 'react'
import { problemOf, useClaimsQuery } from '../../../store/api'
import { useBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import { download } from '../../../ui/download'
import { EmptyRoom } from '../../../ui/EmptyRoom'
import { TableHead } from '../../../ui/TableHead'
import { ReckonWith } from './ReckonWith'

const SHOWN = 12
const percent = (share: number) =>
  `${share < 0 ? '−' : '+'}${formatNumber(Math.abs(share) * 100, share === 0 ? 0 : 1)} %`
const GRADE: Record<string, string> = { guess: 'Guesses', claim: 'Makers’ claims' }

/** How far off guesses and makers’ claims of the whole workshop were once the parts stood on a scale. */
export function AuditView() {
  const { unit } = useBuild()
  const { data, error } = useClaimsQuery()
  const audit = useMemo(() => auditOf(data ?? []), [data])
  const mass = unit('mass')
  if (error)
    return (
      <p role="alert" className="text-oxide">
        {problemOf(error).detail}
      </p>
    )
  if (!data) return null
  if (data.length === 0)
    return (
      <EmptyRoom title="Nothing to audit yet">
        When a part that was a guess or a maker’s claim is weighed, what was said of it is kept. Here you see,
        over all builds of the workshop, how far off your guesses and the makers were, and can reckon with it.
      </EmptyRoom>
    )
  const { all, byGrade, bySystem, bySource, worst } = audit
  const table = (title: string, what: string, rows: readonly AuditRow[], nameOf: (key: string) => string) => (
    <section aria-label={title} className="mt-4">
      <h2 className="text-[19px]">{title}</h2>
      <table className="w-full max-w-[620px] table-fixed">
        <TableHead
          columns={[
            { says: what },
            { says: 'Parts', figures: true },
            { says: 'Weighed more by', figures: true },
            { says: 'Scatter', figures: true },
          ]}
        />
        <tbody>
          {rows.map((r) => (
            <tr key={r.key} className="border-b border-line">
              <th scope="row" className="py-1 text-left font-medium">
                {nameOf(r.key)}
              </th>
              <td className="figure text-right text-[17px]">{r.count}</td>
              <td className={`figure text-right text-[17px] ${r.bias > 0 ? 'text-oxide' : 'text-zinc'}`}>
                {percent(r.bias)}
              </td>
              <td className="figure text-right text-[17px]">
                {r.count > 1 ? `±${formatNumber(r.spread * 100, 1)} %` : '–'}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  )
  const saveCsv = () =>
    download(
      'claims.csv',
      csvOf(
        ['build', 'part', 'system', 'known by', 'source', 'said (kg)', 'weighed (kg)', 'off by'],
        worst.map((c) => [
          c.build,
          c.name,
          c.system,
          c.grade,
          c.source,
          c.said,
          c.weighed,
          Number((c.weighed / c.said - 1).toFixed(4)),
        ]),
      ),
      'text/csv',
    )
  return (
    <section aria-label="Claims">
      <p className="text-[17px]" data-testid="audit-says">
        {all.count} parts of the workshop were weighed after somebody had said what they weigh: they came out{' '}
        <span className="figure text-[26px]">{percent(all.bias)}</span>, ±{formatNumber(all.spread * 100, 1)}{' '}
        %.
      </p>
      {table('By how it was known', 'Known by', byGrade, (key) => GRADE[key] ?? key)}
      <ReckonWith audit={audit} />
      {bySource.length > 0 && table('By source', 'Who said so', bySource, (key) => key)}
      {table('By system', 'System', bySystem, (key) => SYSTEM[key as keyof typeof SYSTEM])}
      <section aria-label="Farthest off" className="mt-4">
        <div className="flex max-w-[760px] flex-wrap items-baseline justify-between gap-2">
          <h2 className="text-[19px]">Farthest off</h2>
          <Button look="quiet" onClick={saveCsv}>
            CSV
          </Button>
        </div>
        <ul className="max-w-[760px]" data-testid="worst">
          {worst.slice(0, SHOWN).map((c) => (
            <li key={c.line} className="flex flex-wrap justify-between gap-x-4 border-b border-line py-1">
              <span>
                {c.name} <span className="text-[13px] text-muted">{c.build}</span>
              </span>
              <span>
                {formatNumber(fromSi(c.said, mass), 1)} {c.grade === 'guess' ? 'guessed' : 'claimed'}
                {c.source && ` (${c.source})`}, {formatNumber(fromSi(c.weighed, mass), 1)} {mass.symbol}{' '}
                weighed, <b>{percent(c.weighed / c.said - 1)}</b>
              </span>
            </li>
          ))}
        </ul>
      </section>
    </section>
  )
}
