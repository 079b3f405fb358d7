import { SYSTEM, SYSTEMS } from '@bold-ballast/contract'
import { normalShare } from '@bold-ballast/core'
import { budgetsOf, moneyOfStages, sumOfMoney, type Money } from '@bold-ballast/model'
import { csvOf } from '@bold-ballast/words'
import { useMemo } from 'react'
import { useMay } from '../../../store/me'
import { useBuild } from '../../../store/useBuild'
import { useMoney } from '../../../store/useMoney'
import { Button } from '../../../ui/Button'
import { download } from '../../../ui/download'
import { RowButtons } from '../../../ui/RowButtons'
import { TableHead } from '../../../ui/TableHead'
import { sayChance } from '../../../ui/sayDay'

const whole = ({ spent, ordered, toFind }: Money) => spent + ordered + toFind

/** How likely a budget holds, by what is still to find. */
function holdsSaid(amount: number, money: Money): string {
  const left = amount - whole(money)
  if (money.sigma === 0) return left >= 0 ? 'holds' : 'is over'
  return `holds with ${sayChance(normalShare(left / money.sigma))}`
}

/** What is spent, ordered and still to find, by stage and system, against budgets. */
export function MoneyView({ onBudget }: { onBudget: (id: string | null) => void }) {
  const { view, ledger, stage, removeSaying } = useBuild()
  const seesMoney = useMay('money')
  const money = useMoney(view.build.currency)
  const rows = useMemo(() => moneyOfStages(view), [view])
  const budgets = useMemo(() => budgetsOf(view, rows), [view, rows])
  if (!seesMoney) return <p className="text-muted">What things cost is for those who plan the build.</p>
  const right = 'px-2 text-right whitespace-nowrap tabular-nums'
  const all = sumOfMoney(rows)
  const sold = view.lines.reduce((sum, l) => sum + (l.fate === 'sold' ? (l.soldFor ?? 0) * l.quantity : 0), 0)
  const systems = SYSTEMS.map((system) => ({
    system,
    money: sumOfMoney(rows.filter((row) => row.stageId === stage.id && row.system === system)),
  })).filter((row) => whole(row.money) !== 0 || row.money.sigma > 0)
  const csv = () =>
    csvOf(
      ['stage', 'system', 'spent', 'ordered', 'still to find', '±'],
      ledger.stages.flatMap((s) =>
        SYSTEMS.map((system) => ({
          system,
          sum: sumOfMoney(rows.filter((row) => row.stageId === s.id && row.system === system)),
        }))
          .filter(({ sum }) => whole(sum) !== 0)
          .map(({ system, sum }) => [
            s.name,
            SYSTEM[system],
            sum.spent,
            sum.ordered,
            sum.toFind,
            Math.round(sum.sigma),
          ]),
      ),
    )
  const cells = (sum: Money) => (
    <>
      <td className={right}>{sum.spent === 0 ? '–' : money(sum.spent)}</td>
      <td className={right}>{sum.ordered === 0 ? '–' : money(sum.ordered)}</td>
      <td className={right}>
        {sum.toFind === 0 ? '–' : money(sum.toFind)}
        {sum.sigma > 0 && <span className="text-muted"> ± {money(sum.sigma)}</span>}
      </td>
      <td className={`${right} figure text-[17px]`}>{whole(sum) === 0 ? '–' : money(whole(sum))}</td>
    </>
  )
  const head = (first: string) => (
    <TableHead
      columns={[
        { says: first },
        { says: 'Spent', figures: true, className: 'px-2' },
        { says: 'Ordered', figures: true, className: 'px-2' },
        { says: 'Still to find', figures: true, className: 'px-2' },
        { says: 'In all', figures: true, className: 'px-2' },
        { says: 'Budget', className: 'pl-4' },
      ]}
    />
  )
  const budgetFor = (stageId: string, system: (typeof SYSTEMS)[number] | null) => {
    const found = budgets.find((b) => b.stageId === stageId && b.system === system)
    const record = view.budgets.find((b) => b.stageId === stageId && b.system === system)
    return (
      <td className="pl-4 text-[14px] whitespace-nowrap">
        {found && record ? (
          <>
            {money(found.amount)} {holdsSaid(found.amount, found.money)}
            <RowButtons
              name="the budget"
              recordId={record.id}
              onChange={() => onBudget(record.id)}
              onRemove={() => removeSaying('budget', record.id, 'The budget')}
            />
          </>
        ) : (
          <span className="text-muted">none</span>
        )}
      </td>
    )
  }
  return (
    <section aria-label="Money" className="max-w-[1100px]">
      <div className="flex flex-wrap items-end justify-between gap-2">
        <p className="text-[17px]" data-testid="money-says">
          {money(all.spent)} spent, {money(all.ordered)} ordered, {money(all.toFind)} still to find
          {sold > 0 && `; ${money(sold)} came back for what was sold`}.
        </p>
        <Button look="quiet" onClick={() => download(`${view.build.name} money.csv`, csv(), 'text/csv')}>
          CSV
        </Button>
      </div>
      <div className="relative overflow-x-auto">
        <table className="mt-2 w-full" data-testid="money">
          <caption className="sr-only">Money by stage</caption>
          {head('Stage')}
          <tbody>
            {ledger.stages.map((s) => (
              <tr key={s.id} className={`border-b border-line ${s.id === stage.id ? 'bg-bench' : ''}`}>
                <th scope="row" className="py-1 pr-2 text-left font-medium">
                  {s.name}
                </th>
                {cells(sumOfMoney(rows.filter((row) => row.stageId === s.id)))}
                {budgetFor(s.id, null)}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <h2 className="mt-5 text-[20px]">{stage.name}, by system</h2>
      {systems.length === 0 ? (
        <p className="text-muted">Nothing has a price at this stage yet.</p>
      ) : (
        <div className="relative overflow-x-auto">
          <table className="w-full">
            <caption className="sr-only">Money by system</caption>
            {head('System')}
            <tbody>
              {systems.map(({ system, money: sum }) => (
                <tr key={system} className="border-b border-line">
                  <th scope="row" className="py-1 pr-2 text-left font-medium">
                    {SYSTEM[system]}
                  </th>
                  {cells(sum)}
                  {budgetFor(stage.id, system)}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
      <p className="mt-3 max-w-[760px] text-[13px] text-muted">
        Counted are parts to come, what swaps cost whose parts aren’t listed as parts to come, outside shops,
        services and what gave out with its parts, and days with entry, fuel and tyres; less what was sold. A
        guessed price is off by a fifth, a quoted one by 7 %, each on its own.
      </p>
    </section>
  )
}
