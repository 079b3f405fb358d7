import { planReplacements, RATED_IN } from '@bold-ballast/contract'
import { formatNumber, formatQuantity } from '@bold-ballast/core'
import { formatMoney } from '@bold-ballast/words'
import { useMemo } from 'react'
import { toast } from 'sonner'
import { useBuild } from '../../../store/useBuild'
import { Button } from '../../../ui/Button'
import type { Rung } from '@bold-ballast/model'

/** What must change before the next stage: the links below their margin, and their replacements as planned swaps. */
export function BeforeNextStage({ rungs }: { rungs: readonly Rung[] }) {
  const { view, ledger, stage, unit, save } = useBuild()
  const mass = unit('mass')
  const weak = useMemo(() => rungs.filter((r) => r.points !== 'met'), [rungs])
  const next = ledger.stages[ledger.stages.indexOf(stage) + 1] ?? null
  if (weak.length === 0)
    return (
      <p className="mt-4 text-zinc">
        By what its ratings say every link has the margin that is wanted of it: nothing points to a change
        first.
      </p>
    )
  const replaced = new Set(view.components.map((c) => c.replaces))
  const planned = weak.filter((r) => replaced.has(r.part.id))
  const ready = weak.filter((r) => r.part.replacement && !replaced.has(r.part.id))
  const gain = ready.reduce((sum, r) => sum + r.part.replacement!.mass - (r.part.mass ?? 0), 0)
  const cost = ready.reduce((sum, r) => sum + r.part.replacement!.price, 0)
  const money = (amount: number) => formatMoney(amount, view.build.currency, 0)

  const plan = () => {
    const { target, edits } = planReplacements(
      view,
      ready.map((r) => r.part),
      ledger.stages,
      stage,
      () => crypto.randomUUID(),
    )
    const faults = save(`Plan ${ready.map((r) => r.part.replacement!.name).join(', ')}`, edits)
    toast(
      faults
        ? faults[0]!.problem
        : `Planned in ${target.name}, under “Weak links” in Swaps. Ctrl+Z takes it back.`,
    )
  }
  return (
    <section aria-label="What must change before the next stage" className="mt-5" data-testid="before-next">
      <h2 className="text-[19px]">What must change {next ? `before ${next.name}` : 'next'}</h2>
      <ul>
        {weak.map(({ part, margin }) => {
          const by = part.replacement
          return (
            <li key={part.id} className="flex flex-wrap items-baseline gap-x-4 border-b border-line py-1.5">
              <span className="min-w-[220px] font-medium">{part.name}</span>
              <span className="text-[14px]">
                {formatNumber(margin, 2)} of {formatNumber(part.wantedMargin, 2)} wanted
              </span>
              <span className="flex-1 text-[14px] text-muted">
                {replaced.has(part.id)
                  ? `planned: ${view.components.find((c) => c.replaces === part.id)?.name}`
                  : by
                    ? [
                        by.name,
                        formatQuantity(by.rating, unit(RATED_IN[part.kind]), 0),
                        part.mass === null
                          ? `${formatQuantity(by.mass, mass, 1)} on, nobody knows what comes off`
                          : `${by.mass >= part.mass ? '+' : '−'}${formatQuantity(Math.abs(by.mass - part.mass), mass, 1)}`,
                        money(by.price),
                        `${formatNumber(by.workTime / 3600, 0)} h`,
                      ].join(', ')
                    : 'no replacement noted: say one under Change'}
              </span>
            </li>
          )
        })}
      </ul>
      {ready.length > 0 && (
        <p className="mt-2 flex flex-wrap items-center gap-3">
          <Button onClick={plan}>
            Plan {ready.length === 1 ? 'it' : `all ${ready.length}`}{' '}
            {next ? `in ${next.name}` : 'in a new stage'}
          </Button>
          <span className="text-[14px] text-muted">
            {gain >= 0 ? '+' : '−'}
            {formatQuantity(Math.abs(gain), mass, 1)} and {money(cost)} in all
          </span>
        </p>
      )}
      {planned.length === weak.length && <p className="mt-2 text-zinc">All of it is planned.</p>}
    </section>
  )
}
