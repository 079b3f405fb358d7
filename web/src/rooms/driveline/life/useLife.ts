import type { Component, Outing, Service } from '@bold-ballast/contract'
import { learnedLife, lifeOf, livesOf, type LifeState, valueAt, itemWhere } from '@bold-ballast/core'
import { useMemo } from 'react'
import { useBuild } from '../../../store/useBuild'
import { useCar } from '../../../store/useCar'

export interface LifeRow extends LifeState {
  readonly component: Component
  /** When the life of now began; null for before the first outing. */
  readonly since: string | null
  /** What its failures so far say, in its own measure; null for none. */
  readonly learned: ReturnType<typeof learnedLife>
}
export interface Life {
  /** Likeliest to give out first. */
  readonly rows: readonly LifeRow[]
  /** The earliest day still to come. */
  readonly next: Outing | null
  /** Newest first. */
  readonly outings: readonly Outing[]
  readonly services: readonly Service[]
}

const newest = (a: { date: string; id: string }, b: { date: string; id: string }) =>
  b.date.localeCompare(a.date) || a.id.localeCompare(b.id)

/** What has been used up of everything that wears, as of this stage, and what the next event will take. */
export function useLife(): Life {
  const { view, ledger, stage } = useBuild()
  const { components: fitted } = useCar()
  return useMemo(() => {
    const upTo = new Set(ledger.stages.slice(0, ledger.stages.indexOf(stage) + 1).map((s) => s.id))
    const outings = view.outings.filter((o) => upTo.has(o.stageId)).sort(newest)
    const services = view.services.filter((s) => upTo.has(s.stageId)).sort(newest)
    const ran = outings.filter((o) => !o.planned)
    const next = outings.filter((o) => o.planned).at(-1) ?? null
    const lives = new Map(
      fitted.flatMap((c) =>
        c.life
          ? [
              [
                c.id,
                livesOf(
                  c.life,
                  ran,
                  services.filter((s) => s.componentId === c.id),
                ),
              ] as const,
            ]
          : [],
      ),
    )
    const wearing = fitted.flatMap(({ id, name, life }) =>
      life ? [{ ...life, id, name, used: valueAt(lives, id).used }] : [],
    )
    const rows = lifeOf(wearing, ran, next).map((state): LifeRow => {
      const component = itemWhere(fitted, (c) => c.id === state.item.id)
      const { failedAt, since } = valueAt(lives, component.id)
      return { ...state, component, since, learned: learnedLife(failedAt) }
    })
    return { rows, next, outings, services }
  }, [view.outings, view.services, ledger.stages, stage, fitted])
}
