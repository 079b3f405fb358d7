import type { Money } from '@bold-ballast/model'
import type { ReactNode } from 'react'
import { TableHead } from '../../../ui/TableHead'
import { inAll } from './inAll'

export interface MoneyRow {
  readonly id: string
  readonly name: string
  readonly money: Money
  readonly budget: ReactNode
  /** The row that is worked on. */
  readonly isHere?: boolean
}

const RIGHT = 'px-2 text-right whitespace-nowrap tabular-nums'
/** Beside each other where there is room, in words below the name where there isn't. */
const WIDE = '@max-2xl:hidden'

/** What is spent, ordered and still to find, against budgets. */
export function MoneyTable({
  caption,
  first,
  rows,
  said,
}: {
  caption: string
  /** What the rows are. */
  first: string
  rows: readonly MoneyRow[]
  /** An amount in words. */
  said: (amount: number) => string
}) {
  const find = ({ toFind, sigma }: Money) => (
    <>
      {toFind === 0 ? '–' : said(toFind)}
      {sigma > 0 && <span className="text-muted"> ± {said(sigma)}</span>}
    </>
  )
  return (
    <table className="w-full">
      <caption className="sr-only">{caption}</caption>
      <TableHead
        columns={[
          { says: first },
          { says: 'Spent', figures: true, className: `px-2 ${WIDE}` },
          { says: 'Ordered', figures: true, className: `px-2 ${WIDE}` },
          { says: 'Still to find', figures: true, className: `px-2 ${WIDE}` },
          { says: 'In all', figures: true, className: 'px-2' },
          { says: 'Budget', className: 'pl-4 @max-2xl:pl-2' },
        ]}
      />
      <tbody>
        {rows.map(({ id, name, money, budget, isHere }) => (
          <tr key={id} className={`border-b border-line ${isHere ? 'bg-bench' : ''}`}>
            <th scope="row" className="py-1 pr-2 text-left font-medium">
              {name}
              <span className="block text-[13px] font-normal text-muted @2xl:hidden">
                {[
                  money.spent !== 0 && `${said(money.spent)} spent`,
                  money.ordered !== 0 && `${said(money.ordered)} ordered`,
                  money.toFind !== 0 &&
                    `${said(money.toFind)}${money.sigma > 0 ? ` ± ${said(money.sigma)}` : ''} to find`,
                ]
                  .filter(Boolean)
                  .join(', ')}
              </span>
            </th>
            <td className={`${RIGHT} ${WIDE}`}>{money.spent === 0 ? '–' : said(money.spent)}</td>
            <td className={`${RIGHT} ${WIDE}`}>{money.ordered === 0 ? '–' : said(money.ordered)}</td>
            <td className={`${RIGHT} ${WIDE}`}>{find(money)}</td>
            <td className={`${RIGHT} figure text-[17px]`}>{inAll(money) === 0 ? '–' : said(inAll(money))}</td>
            <td className="pl-4 text-[14px] whitespace-nowrap @max-2xl:pl-2 @max-2xl:whitespace-normal">
              {budget}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}
