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
import { sayChance } from '../../../ui/sayDay'
import { inAll } from './inAll'
import { MoneyTable } from './MoneyTable'

/** How likely a budget holds, by what is still to find. */
function holdsSaid(amount: number, money: Money): string {
  const left = amount - inAll(money)
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
  const all = sumOfMoney(rows)
  const sold = view.lines.reduce((sum, l) => sum + (l.fate === 'sold' ? (l.soldFor ?? 0) * l.quantity : 0), 0)
  const systems = SYSTEMS.map((system) => ({
    system,
    money: sumOfMoney(rows.filter((row) => row.stageId === stage.id && row.system === system)),
  })).filter((row) => inAll(row.money) !== 0 || row.money.sigma > 0)
  const csv = () =>
    csvOf(
      ['stage', 'system', 'spent', 'ordered', 'still to find', '±'],
      ledger.stages.flatMap((s) =>
        SYSTEMS.map((system) => ({
          system,
          sum: sumOfMoney(rows.filter((row) => row.stageId === s.id && row.system === system)),
        }))
          .filter(({ sum }) => inAll(sum) !== 0)
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
  const budgetFor = (stageId: string, system: (typeof SYSTEMS)[number] | null) => {
    const found = budgets.find((b) => b.stageId === stageId && b.system === system)
    const record = view.budgets.find((b) => b.stageId === stageId && b.system === system)
    if (!found || !record) return <span className="text-muted">none</span>
    return (
      <>
        {money(found.amount)} {holdsSaid(found.amount, found.money)}
        <RowButtons
          name="the budget"
          recordId={record.id}
          onChange={() => onBudget(record.id)}
          onRemove={() => removeSaying('budget', record.id, 'The budget')}
        />
      </>
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
      <div className="mt-2" data-testid="money">
        <MoneyTable
          caption="Money by stage"
          first="Stage"
          said={money}
          rows={ledger.stages.map((s) => ({
            id: s.id,
            name: s.name,
            money: sumOfMoney(rows.filter((row) => row.stageId === s.id)),
            budget: budgetFor(s.id, null),
            isHere: s.id === stage.id,
          }))}
        />
      </div>
      <h2 className="mt-5 text-[20px]">{stage.name}, by system</h2>
      {systems.length === 0 ? (
        <p className="text-muted">Nothing has a price at this stage yet.</p>
      ) : (
        <MoneyTable
          caption="Money by system"
          first="System"
          said={money}
          rows={systems.map(({ system, money: sum }) => ({
            id: system,
            name: SYSTEM[system],
            money: sum,
            budget: budgetFor(stage.id, system),
          }))}
        />
      )}
      <p className="mt-3 max-w-[760px] text-[13px] text-muted">
        Counted are parts to come, what swaps cost whose parts aren’t listed as parts to come, outside shops,
        services and what gave out with its parts, and days with entry, fuel and tyres; less what was sold. A
        guessed price is off by a fifth, a quoted one by 7 %, each on its own.
      </p>
    </section>
  )
}
