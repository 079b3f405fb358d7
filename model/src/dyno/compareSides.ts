import { type BuildDocument, type DynoDay, type Pull } from '@bold-ballast/contract'
import { bridgeBetween, bridgedDynos, configurationOf } from '../gains/dynosBetween'
import { dynoErrors, nameKey } from '../ledger/instrumentNamed'
import {
  curveFigures,
  isGainReal,
  mean,
  meanPower,
  type Correction,
  type DynoBridge,
  type GainVerdict,
  type PullPoint,
  itemAt,
} from '@bold-ballast/core'
import { curveUnder, figuresUnder } from './pullFigures'

/** The pulls of one configuration on one dyno: repeats of each other. */
export interface Side {
  readonly key: string
  readonly configuration: string
  readonly dyno: string
  readonly kind: DynoDay['kind']
  readonly repeatability: number
  readonly pulls: readonly { readonly pull: Pull; readonly day: DynoDay }[]
}

const keyOf = (day: DynoDay, configuration: string) =>
  JSON.stringify([nameKey(day.dyno), day.kind, configuration])

/** Every configuration of a build, by dyno, newest first. */
export function sidesOf(view: Pick<BuildDocument, 'pulls' | 'dynoDays'>): Side[] {
  const days = new Map(view.dynoDays.map((d) => [d.id, d]))
  const sides = new Map<string, Side & { pulls: { pull: Pull; day: DynoDay }[] }>()
  for (const pull of [...view.pulls].sort((a, b) => a.order - b.order)) {
    const day = days.get(pull.dynoDayId)
    if (!day) continue
    const configuration = configurationOf(pull)
    const key = keyOf(day, configuration)
    const side = sides.get(key)
    if (side) side.pulls.push({ pull, day })
    else
      sides.set(key, {
        key,
        configuration,
        dyno: day.dyno,
        kind: day.kind,
        repeatability: day.repeatability,
        pulls: [{ pull, day }],
      })
  }
  const newest = (side: Side) => side.pulls.reduce((date, p) => (p.day.date > date ? p.day.date : date), '')
  return [...sides.values()].sort((a, b) => newest(b).localeCompare(newest(a)))
}

/**
 * The two configurations that somebody most likely wants to compare: the most repeated of the stage, the earlier
 * one first.
 */
export function likelyPair(sides: readonly Side[], stageId: string): readonly [Side?, Side?] {
  const here = sides.filter((s) => s.pulls.some((p) => p.day.stageId === stageId))
  const pair = [...(here.length > 1 ? here : sides)]
    .sort((a, b) => b.pulls.length - a.pulls.length)
    .slice(0, 2)
  const first = (s: Side) =>
    `${itemAt(s.pulls, 0).day.date} ${String(itemAt(s.pulls, 0).pull.order).padStart(6, '0')}`
  return pair.sort((a, b) => first(a).localeCompare(first(b))) as [Side?, Side?]
}

/** The bridge between the dynos of two sides, if somebody built one; `null` where they can't be compared. */
export const bridgeOfSides = (
  view: Pick<BuildDocument, 'build' | 'pulls' | 'dynoDays'>,
  before: Side,
  after: Side,
  correction: Correction,
): DynoBridge | null => bridgeBetween(bridgedDynos(view, correction), before, after)

export const COMPARED = ['peakPower', 'peakTorque', 'bandPower', 'area', 'bandWidth', 'arrival'] as const
export type Compared = (typeof COMPARED)[number]

export interface ComparedRow {
  readonly measure: Compared
  readonly before: number
  readonly after: number
  readonly gain: GainVerdict
}

/** A figure of a pull, and the day that it was pulled on. */
export interface DatedValue {
  readonly value: number
  readonly day: string
}

/** What each pull of a side gives for a measure, with its day; pulls that can't say are left out. */
export function valuesOf(
  side: Side,
  measure: Compared,
  correction: Correction,
  band: readonly [number, number] | null,
  scale = 1,
): DatedValue[] {
  return side.pulls.flatMap(({ pull, day }) => {
    const dated = (value: number): DatedValue[] => [{ value, day: day.date }]
    if (measure === 'peakPower' || measure === 'peakTorque') {
      const found =
        figuresUnder(pull, day, correction)?.[measure === 'peakPower' ? 'power' : 'torque'] ?? null
      return found === null ? [] : dated(found * scale)
    }
    const curve = curveUnder(pull, day, correction)
    if (!curve || curve.length < 2) return []
    if (measure === 'bandPower' || measure === 'area') {
      const mean = band && meanPower(curve, band)
      return mean === null ? [] : dated(mean * scale)
    }
    const { band90, arrival } = curveFigures(curve, pull.channels?.boost)
    return dated(measure === 'bandWidth' ? band90[1] - band90[0] : arrival)
  })
}

/** Curves of a side under a correction. */
export const curvesOf = (side: Side, correction: Correction): (readonly PullPoint[])[] =>
  datedCurvesOf(side, correction).curves

/** The same with the day that each was pulled on. */
export function datedCurvesOf(
  side: Side,
  correction: Correction,
): { readonly curves: (readonly PullPoint[])[]; readonly days: string[] } {
  const dated = side.pulls.flatMap(({ pull, day }) => {
    const curve = curveUnder(pull, day, correction)
    return curve && curve.length > 1 ? [{ curve, day: day.date }] : []
  })
  return { curves: dated.map((d) => d.curve), days: dated.map((d) => d.day) }
}

/** The engine speeds that every curve of both sides covers, or null where they share none. */
export function coveredBy(sides: readonly Side[], correction: Correction): readonly [number, number] | null {
  const curves = sides.flatMap((side) => curvesOf(side, correction))
  if (curves.length === 0) return null
  const low = Math.max(...curves.map((c) => itemAt(c, 0).speed))
  const high = Math.min(...curves.map((c) => itemAt(c, -1).speed))
  return high > low ? [low, high] : null
}

/**
 * Both sides, measure by measure, with whether the difference is real.
 *
 * @param betweenDays what a day of this dyno is off by, as a share; of engine speeds it is nothing
 */
export function compareSides(
  before: Side,
  after: Side,
  correction: Correction,
  band: readonly [number, number] | null,
  bridge: DynoBridge | null,
  betweenDays: number,
): ComparedRow[] {
  const repeatability = Math.max(before.repeatability, after.repeatability)
  const covered = coveredBy([before, after], correction)
  return COMPARED.flatMap((measure) => {
    const isSpeed = measure === 'bandWidth' || measure === 'arrival'
    const over = measure === 'area' ? covered : band
    const a = valuesOf(before, measure, correction, over, isSpeed ? 1 : (bridge?.ratio ?? 1))
    const b = valuesOf(after, measure, correction, over)
    if (a.length === 0 || b.length === 0) return []
    const [befores, afters] = [a.map((v) => v.value), b.map((v) => v.value)]
    const shared = bridge && !isSpeed ? bridge.relativeSigma * mean(befores) : 0
    const days = {
      before: a.map((v) => v.day),
      after: b.map((v) => v.day),
      between: isSpeed ? 0 : betweenDays,
    }
    return [
      {
        measure,
        before: mean(befores),
        after: mean(afters),
        gain: isGainReal(befores, afters, repeatability, shared, days),
      },
    ]
  })
}

/** What a day is off by, as a share, for two sides: the larger of their dynos'. */
export const betweenDaysOf = (
  view: Pick<BuildDocument, 'instruments'>,
  sides: readonly Pick<Side, 'dyno'>[],
): number => Math.max(...sides.map((side) => dynoErrors(view.instruments, side).betweenDays))
