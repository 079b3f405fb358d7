import { defaultSigma, isMeasured, weakerGrade, type Grade } from '../evidence/grade'
import { sigmaOf } from '../evidence/doubts'
import type { Known } from '../evidence/known'
import type { Correction } from './correctionFactor'
import { airAt, type AirReading } from './airAt'
import { peaksOf, type PullPoint } from './pull'
import { printedPower } from './printedPower'
import { pulledPower, type PowerDay } from './pulledPower'

export const DYNO_KINDS = ['hub', 'rollerInertia', 'rollerLoaded', 'engine'] as const
export type DynoKind = (typeof DYNO_KINDS)[number]

export interface DynoDayInput extends PowerDay {
  readonly id: string
  readonly stageId: string
  readonly kind: DynoKind
  /** Readings of the air, in any order. */
  readonly air: readonly AirReading[]
  readonly sheetCorrection: Correction
}

export interface PullInput {
  readonly id: string
  readonly dynoDayId: string
  /** When it was made, such as `14:30`; `null` when nobody noted it. */
  readonly time: string | null
  readonly grade: Grade
  readonly standsForStage: boolean
  readonly points: readonly PullPoint[] | null
  /** Typed peak, W, for a pull without a curve. */
  readonly peakPower: number | null
}

/** Peak power of a pull as its sheet gives it, W; `null` when it gives none. */
export const printedPeakPower = (pull: Pick<PullInput, 'points' | 'peakPower'>): number | null =>
  pull.points && pull.points.length > 0 ? peaksOf(pull.points).power.value : pull.peakPower

export interface StageWheelPower {
  readonly power: Known
  readonly pulls: number
  readonly dynoDayId: string
}

/**
 * The wheel power that stands for a stage: the mean of the pulls that were chosen to stand for it, from one
 * dyno day only, because two dynos must not be mixed. Without a choice, the newest day's pulls stand.
 *
 * Pulls that agree within the dyno's repeatability prove the figure, as far as the dyno itself is right: what it is off
 * by no pull removes. An engine dyno gives no wheel power.
 *
 * @param stageId the stage
 * @param days its dyno days (others are ignored)
 * @param pulls pulls of any day
 * @param basis the correction the figure is wanted under
 * @returns `null` when no wheel dyno gives a figure under that basis
 */
export function stageWheelPower(
  stageId: string,
  days: readonly DynoDayInput[],
  pulls: readonly PullInput[],
  basis: Correction,
): StageWheelPower | null {
  const wheelDays = days
    .filter((d) => d.stageId === stageId && d.kind !== 'engine')
    .sort((a, b) => b.date.localeCompare(a.date))
  const ofDay = (day: DynoDayInput) => pulls.filter((p) => p.dynoDayId === day.id)
  const chosen = wheelDays.find((d) => ofDay(d).some((p) => p.standsForStage))
  const day = chosen ?? wheelDays.find((d) => ofDay(d).length > 0)
  if (!day) return null
  const standing = ofDay(day).filter((p) => !chosen || p.standsForStage)
  const figures = standing.flatMap((p) => {
    const sheet = printedPeakPower(p)
    const power =
      sheet === null ? null : printedPower(sheet, day.sheetCorrection, basis, airAt(day.air, p.time))
    return power === null ? [] : [{ id: p.id, power, grade: p.grade }]
  })
  if (figures.length === 0) return null
  const weakest = figures.map((f) => f.grade).reduce(weakerGrade)
  const pulled = pulledPower(day, figures)
  const power: Known = isMeasured(weakest)
    ? pulled
    : {
        ...pulled,
        sigma: Math.max(sigmaOf(pulled.doubts ?? {}), defaultSigma(pulled.value, weakest)),
        grade: weakest,
      }
  return { power, pulls: figures.length, dynoDayId: day.id }
}
