import {
  airAt,
  bridgeDynos,
  sheetPeakPower,
  sheetPower,
  type Correction,
  type DynoBridge,
} from '@bold-ballast/core'
import type { BuildDocument, DynoDay, Pull } from '@bold-ballast/contract'
import { isSameName } from '../ledger/instrumentNamed'

/** What was on the car: pulls of the same configuration are repeats. */
export const configurationOf = (pull: Pick<Pull, 'configuration' | 'name'>): string =>
  pull.configuration || pull.name

/** A dyno as its days name it. */
export type DynoName = Pick<DynoDay, 'dyno' | 'kind'>

export const isSameDyno = (a: DynoName, b: DynoName): boolean =>
  isSameName(a.dyno, b.dyno) && a.kind === b.kind

/**
 * The bridge between two dynos, if somebody built one: the same car in the same tune on both.
 *
 * @returns what a figure of the first is multiplied by to stand beside one of the second; `null` where nobody did
 * @example bridgeBetweenDynos(document, hubs, rollers, 'observed')?.ratio
 */
export function bridgeBetweenDynos(
  document: Pick<BuildDocument, 'build' | 'pulls' | 'dynoDays'>,
  before: DynoName,
  after: DynoName,
  correction: Correction,
): DynoBridge | null {
  const powers = (dayId: string, configuration: string) => {
    const day = document.dynoDays.find((d) => d.id === dayId)
    if (!day) return null
    const figures = document.pulls
      .filter((p) => p.dynoDayId === dayId && configurationOf(p) === configuration)
      .flatMap((p) => {
        const sheet = sheetPeakPower(p)
        const power =
          sheet === null ? null : sheetPower(sheet, day.sheetCorrection, correction, airAt(day.air, p.time))
        return power === null ? [] : [power]
      })
    return figures.length > 0 ? { day, figures } : null
  }
  for (const bridge of document.build.bridges) {
    const first = powers(bridge.firstDayId, bridge.firstConfiguration)
    const second = powers(bridge.secondDayId, bridge.secondConfiguration)
    if (!first || !second) continue
    const [from, to] =
      isSameDyno(first.day, before) && isSameDyno(second.day, after)
        ? [first, second]
        : isSameDyno(second.day, before) && isSameDyno(first.day, after)
          ? [second, first]
          : [null, null]
    if (from && to)
      return bridgeDynos(from.figures, to.figures, [from.day.repeatability, to.day.repeatability])
  }
  return null
}
