import { stageNamed, type Component, type Line } from '@bold-ballast/contract'
import { formatNumber, formatQuantity, type LineKind } from '@bold-ballast/core'
import { useMemo } from 'react'
import { toast } from 'sonner'
import { put } from '../../store/commit'
import { useBuild } from '../../store/useBuild'
import { Button } from '../../ui/Button'
import { RATED_IN } from '../../words/names'
import type { Rung } from './useLadder'

const bare = { sigma: null, quantity: 1, fitted: false, position: null, movedTo: null } as const
const rest = {
  role: 'part',
  weighing: null,
  fate: 'unsaid',
  fromLine: null,
  source: '',
  said: null,
  alsoAt: [],
} as const

/** What must change before the next stage: the links below their margin, and their replacements as planned swaps. */
export function BeforeNextStage({ rungs }: { rungs: readonly Rung[] }) {
  const { view, ledger, stage, unit, save } = useBuild()
  const mass = unit('mass')
  const weak = useMemo(() => rungs.filter((r) => r.verdict !== 'met'), [rungs])
  const next = ledger.stages[ledger.stages.indexOf(stage) + 1] ?? null
  if (weak.length === 0)
    return (
      <p className="mt-4 text-zinc">
        Every link has the margin that is wanted of it: nothing must change first.
      </p>
    )
  const replaced = new Set(view.components.map((c) => c.replaces))
  const planned = weak.filter((r) => replaced.has(r.part.id))
  const ready = weak.filter((r) => r.part.replacement && !replaced.has(r.part.id))
  const gain = ready.reduce((sum, r) => sum + r.part.replacement!.mass - (r.part.mass ?? 0), 0)
  const cost = ready.reduce((sum, r) => sum + r.part.replacement!.price, 0)
  const money = (amount: number) => `${formatNumber(amount, 0)} ${view.build.currency}`.trim()

  const plan = () => {
    const last = ledger.stages.at(-1)!
    const target = next ?? {
      ...stageNamed(`After ${stage.name}`, last.order + 1, crypto.randomUUID()),
      version: 0,
    }
    const swapId = crypto.randomUUID()
    const line = (
      kind: LineKind,
      name: string,
      kg: number,
      grade: Line['grade'],
      order: number,
    ): Omit<Line, 'version'> => ({
      ...{ id: crypto.randomUUID(), swapId, kind, name, mass: kg, grade, order },
      ...{ system: 'driveline', ...bare, ...rest, alsoAt: [] },
    })
    const swaps = view.swaps.filter((s) => s.stageId === target.id)
    const edits = ready.flatMap(({ part }, i) => {
      const by = part.replacement!
      const successor: Omit<Component, 'version'> = {
        ...{ id: crypto.randomUUID(), stageId: target.id, name: by.name, replaces: part.id },
        order: Math.max(...view.components.map((c) => c.order)) + 1 + i,
        ...{ kind: part.kind, shaft: part.shaft, axle: part.axle, flow: part.flow },
        ...{ statedEthanol: part.statedEthanol, rating: by.rating, grade: 'claim', demand: part.demand },
        ...{
          wantedMargin: part.wantedMargin,
          mass: by.mass,
          life: null,
          spares: 0,
          replacement: null,
          note: '',
        },
      }
      return [
        put(view, 'component', successor),
        // Nobody knows the mass of what comes off: that is said by leaving its line out, not by a zero.
        ...(part.mass === null ? [] : [put(view, 'line', line('off', part.name, part.mass, 'guess', 2 * i))]),
        put(view, 'line', line('on', by.name, by.mass, by.massGrade, 2 * i + 1)),
      ]
    })
    const faults = save(`Plan ${ready.map((r) => r.part.replacement!.name).join(', ')}`, [
      ...(next ? [] : [put(view, 'stage', target)]),
      put(view, 'swap', {
        ...{ id: swapId, stageId: target.id, name: 'Weak links', note: `Planned for ${target.name}` },
        order: Math.max(-1, ...swaps.map((s) => s.order)) + 1,
        ...{ workTime: ready.reduce((sum, r) => sum + r.part.replacement!.workTime, 0), cost },
      }),
      ...edits,
    ])
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
