import type { BuildDocument, Component, Outing, Service, Stage } from '@bold-ballast/contract'
import { itemWhere, learnedLife, lifeOf, livesOf, valueAt, type LifeState } from '@bold-ballast/core'

export interface LifeRow extends LifeState {
  readonly component: Component
  /** When the life of now began; null for before the first outing. */
  readonly since: string | null
  /** What its failures so far say, in its own measure; null for none. */
  readonly learned: ReturnType<typeof learnedLife>
}
export interface CarLife {
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

/**
 * What has been used up of everything that wears, as of a stage, and what the next event will take.
 *
 * @param stages in their order
 * @param fitted what is on the car at that stage
 * @example lifeAt(document, ledger.stages, stage, car.components).outings.length // 1
 */
export function lifeAt(
  view: Pick<BuildDocument, 'outings' | 'services'>,
  stages: readonly Stage[],
  stage: Stage,
  fitted: readonly Component[],
): CarLife {
  const upTo = new Set(stages.slice(0, stages.indexOf(stage) + 1).map((s) => s.id))
  const outings = view.outings.filter((o) => upTo.has(o.stageId)).sort(newest)
  const services = view.services.filter((s) => upTo.has(s.stageId)).sort(newest)
  const ran = outings.filter((o) => !o.planned)
  const next = outings.filter((o) => o.planned).at(-1) ?? null
  const servicesOf = (id: string) => services.filter((s) => s.componentId === id)
  const lives = new Map(
    fitted.flatMap((c) => (c.life ? [[c.id, livesOf(c.life, ran, servicesOf(c.id))] as const] : [])),
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
}
