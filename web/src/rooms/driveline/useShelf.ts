import type { Gearset } from '@bold-ballast/contract'
import { rollingRadius, type Shelf } from '@bold-ballast/core'
import { useMemo } from 'react'
import { useGearsetsQuery } from '../../store/api'
import { useBuild } from '../../store/useBuild'

export type AnySet = Gearset['set']
export interface ShelfSet {
  readonly id: string
  readonly name: string
  readonly set: AnySet
  /** The other build that it was noted for; null for this one's own. */
  readonly build: string | null
}

/** The workshop's sets of gears: this build's own, and those noted for others. */
export function useShelf(): readonly ShelfSet[] {
  const { view } = useBuild()
  const { data } = useGearsetsQuery()
  return useMemo(() => {
    const own = [...view.gearsets]
      .sort((a, b) => a.order - b.order)
      .map(({ id, name, set }): ShelfSet => ({ id, name, set, build: null }))
    const others = (data ?? []).filter((s) => s.buildId !== view.build.id)
    return [...own, ...others]
  }, [view.gearsets, view.build.id, data])
}

/** A tyre of the shelf as a rolling radius, the best known way; null when its size can't be read. */
export const radiusOf = (set: Extract<AnySet, { kind: 'tyre' }>): number | null =>
  rollingRadius({ ...set, size: set.size || null })?.radius ?? null

/** Sets as core tries them. */
export function asShelf(sets: readonly ShelfSet[]): Shelf {
  const named = (name: string, ratio: number, count: number) =>
    count > 1 ? `${name} ${ratio.toFixed(2)}` : name
  return {
    gearboxes: sets.flatMap(({ name, set }) =>
      set.kind === 'gearbox' ? [{ name, ratios: set.ratios }] : [],
    ),
    finalDrives: sets.flatMap(({ set }) =>
      set.kind === 'finalDrive' ? set.ratios.map((ratio) => ({ name: `final drive ${ratio}`, ratio })) : [],
    ),
    between: sets.flatMap(({ name, set }) =>
      set.kind === 'between'
        ? set.ratios.map((ratio) => ({ name: named(name, ratio, set.ratios.length), ratio }))
        : [],
    ),
    tyres: sets.flatMap(({ name, set }) => {
      const radius = set.kind === 'tyre' ? radiusOf(set) : null
      return set.kind === 'tyre' && radius !== null ? [{ name, radius, growth: set.growth }] : []
    }),
  }
}
