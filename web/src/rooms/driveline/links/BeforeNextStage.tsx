import { planReplacements, RATED_IN } from '@bold-ballast/contract'
import { formatNumber, formatQuantity } from '@bold-ballast/core'
import { useMemo } from 'react'
import { useBuild } from '../../../store/useBuild'
import { useMoney } from '../../../store/useMoney'
import { Button } from '../../../ui/Button'
import type { Rung } from '@bold-ballast/model'

/** What must change before the next stage: the links below their margin, and their replacements as planned swaps. */
export function BeforeNextStage({ rungs }: { rungs: readonly Rung[] }) {
  const { view, ledger, stage, unit, saveSaying } = useBuild()
  const money = useMoney(view.build.currency)
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
  const ready = weak.flatMap(({ part }) =>
    part.replacement && !replaced.has(part.id) ? [{ part, by: part.replacement }] : [],
  )
  const gain = ready.reduce((sum, { part, by }) => sum + by.mass - (part.mass ?? 0), 0)
  const cost = ready.reduce((sum, { by }) => sum + by.price, 0)

  const plan = () => {
    const { target, edits } = planReplacements(
      view,
      ready.map((r) => r.part),
      ledger.stages,
      stage,
      () => crypto.randomUUID(),
    )
    const names = ready.map(({ by }) => by.name).join(', ')
    saveSaying(`Plan ${names}`, edits, `Planned in ${target.name}, under “Weak links” in Swaps.`)
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
