import {
  airAt,
  bridgeDynos,
  doubtSource,
  NO_DOUBTS,
  printedPeakPower,
  printedPower,
  isSameName,
  pulledPower,
  sigmaOf,
  type Correction,
  type Known,
} from '@bold-ballast/core'
import type { BuildDocument, DynoDay, Pull } from '@bold-ballast/contract'
import { dynoErrors } from '../ledger/instrumentNamed'

/** What was on the car: pulls of the same configuration are repeats. */
export const configurationOf = (pull: Pick<Pull, 'configuration' | 'name'>): string =>
  pull.configuration || pull.name

/** A dyno as its days name it. */
export type DynoName = Pick<DynoDay, 'dyno' | 'kind'>

export const isSameDyno = (a: DynoName, b: DynoName): boolean =>
  isSameName(a.dyno, b.dyno) && a.kind === b.kind

/** Two dynos that the same car in the same tune was run on. */
export interface BridgedDynos {
  readonly first: DynoName
  readonly second: DynoName
  /** What figures are multiplied by from the first to the second, and back. */
  readonly there: Known
  readonly back: Known
}

/**
 * The bridges of a build that somebody built and that still stand: the same car in the same tune on both dynos.
 *
 * @param correction in which the pulls are compared
 * @example bridgedDynos(document, 'observed').map((b) => b.there.value) // [], nobody bridged any
 */
export function bridgedDynos(
  document: Pick<BuildDocument, 'build' | 'pulls' | 'dynoDays' | 'instruments'>,
  correction: Correction = document.build.powerBasis,
): BridgedDynos[] {
  const powers = (dayId: string, configuration: string) => {
    const day = document.dynoDays.find((d) => d.id === dayId)
    if (!day) return null
    const figures = document.pulls
      .filter((p) => p.dynoDayId === dayId && configurationOf(p) === configuration)
      .flatMap((p) => {
        const sheet = printedPeakPower(p)
        const power =
          sheet === null ? null : printedPower(sheet, day.sheetCorrection, correction, airAt(day.air, p.time))
        return power === null ? [] : [{ id: p.id, power }]
      })
    if (figures.length === 0) return null
    return { day, power: pulledPower({ ...day, ...dynoErrors(document.instruments, day) }, figures) }
  }
  return document.build.bridges.flatMap((bridge) => {
    const first = powers(bridge.firstDayId, bridge.firstConfiguration)
    const second = powers(bridge.secondDayId, bridge.secondConfiguration)
    if (!first || !second) return []
    return [
      {
        first: first.day,
        second: second.day,
        there: bridgeDynos(first.power, second.power),
        back: bridgeDynos(second.power, first.power),
      },
    ]
  })
}

/**
 * What leads from one dyno to another.
 *
 * @returns what a figure of the first is multiplied by to stand beside one of the second; `null` where nobody bridged them
 */
export function bridgeBetween(
  bridges: readonly BridgedDynos[],
  before: DynoName,
  after: DynoName,
): Known | null {
  for (const { first, second, there, back } of bridges) {
    if (isSameDyno(first, before) && isSameDyno(second, after)) return there
    if (isSameDyno(second, before) && isSameDyno(first, after)) return back
  }
  return null
}

/**
 * How far off figures are that cross a bridge, as a share: what the dynos are off by themselves is in the figures as well, and
 * cancels.
 *
 * @example bridgeSpread(bridge) // 0.0122
 */
export const bridgeSpread = ({ doubts = NO_DOUBTS }: Known): number =>
  sigmaOf(Object.fromEntries(Object.entries(doubts).filter(([name]) => doubtSource(name).of !== 'dyno')))
