import type { BuildDocument, DynoDay, Pull } from '@bold-ballast/contract'
import {
  bridgeDynos,
  curveFigures,
  isGainReal,
  meanPower,
  type Correction,
  type DynoBridge,
  type GainVerdict,
  type PullPoint,
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

export const configurationOf = (pull: Pull): string => pull.configuration || pull.name
const keyOf = (day: DynoDay, configuration: string) => JSON.stringify([day.dyno, day.kind, configuration])

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
        ...{ key, configuration, dyno: day.dyno, kind: day.kind, repeatability: day.repeatability },
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
  const first = (s: Side) => `${s.pulls[0]!.day.date} ${String(s.pulls[0]!.pull.order).padStart(6, '0')}`
  return pair.sort((a, b) => first(a).localeCompare(first(b))) as [Side?, Side?]
}

/** The bridge between the dynos of two sides, if somebody built one; `null` where they can't be compared. */
export function bridgeBetween(
  view: Pick<BuildDocument, 'build' | 'pulls' | 'dynoDays'>,
  before: Side,
  after: Side,
  correction: Correction,
): DynoBridge | null {
  const powers = (dayId: string, configuration: string) => {
    const day = view.dynoDays.find((d) => d.id === dayId)
    if (!day) return null
    const figures = view.pulls
      .filter((p) => p.dynoDayId === dayId && configurationOf(p) === configuration)
      .flatMap((p) => figuresUnder(p, day, correction)?.power ?? [])
    return figures.length > 0 ? { day, figures } : null
  }
  const stands = (day: DynoDay, side: Side) => day.dyno === side.dyno && day.kind === side.kind
  for (const bridge of view.build.bridges) {
    const first = powers(bridge.firstDayId, bridge.firstConfiguration)
    const second = powers(bridge.secondDayId, bridge.secondConfiguration)
    if (!first || !second) continue
    const [from, to] =
      stands(first.day, before) && stands(second.day, after)
        ? [first, second]
        : stands(second.day, before) && stands(first.day, after)
          ? [second, first]
          : [null, null]
    if (from && to)
      return bridgeDynos(from.figures, to.figures, [from.day.repeatability, to.day.repeatability])
  }
  return null
}

export const COMPARED = ['peakPower', 'peakTorque', 'bandPower', 'area', 'bandWidth', 'arrival'] as const
export type Compared = (typeof COMPARED)[number]

export interface ComparedRow {
  readonly measure: Compared
  readonly before: number
  readonly after: number
  readonly gain: GainVerdict
}

/** What each pull of a side gives for a measure; pulls that can't say are left out. */
export function valuesOf(
  side: Side,
  measure: Compared,
  correction: Correction,
  band: readonly [number, number] | null,
  scale = 1,
): number[] {
  return side.pulls.flatMap(({ pull, day }) => {
    if (measure === 'peakPower' || measure === 'peakTorque') {
      const found =
        figuresUnder(pull, day, correction)?.[measure === 'peakPower' ? 'power' : 'torque'] ?? null
      return found === null ? [] : [found * scale]
    }
    const curve = curveUnder(pull, day, correction)
    if (!curve || curve.length < 2) return []
    if (measure === 'bandPower' || measure === 'area') {
      const mean = band && meanPower(curve, band)
      return mean === null ? [] : [mean * scale]
    }
    const { band90, arrival } = curveFigures(curve, pull.channels?.boost)
    return [measure === 'bandWidth' ? band90[1] - band90[0] : arrival]
  })
}

/** Curves of a side under a correction. */
export const curvesOf = (side: Side, correction: Correction): (readonly PullPoint[])[] =>
  side.pulls.flatMap(({ pull, day }) => {
    const curve = curveUnder(pull, day, correction)
    return curve && curve.length > 1 ? [curve] : []
  })

/** The engine speeds that every curve of both sides covers, or null where they share none. */
export function coveredBy(sides: readonly Side[], correction: Correction): readonly [number, number] | null {
  const curves = sides.flatMap((side) => curvesOf(side, correction))
  if (curves.length === 0) return null
  const low = Math.max(...curves.map((c) => c[0]!.speed))
  const high = Math.min(...curves.map((c) => c.at(-1)!.speed))
  return high > low ? [low, high] : null
}

/** Both sides, measure by measure, with whether the difference is real. */
export function compareSides(
  before: Side,
  after: Side,
  correction: Correction,
  band: readonly [number, number] | null,
  bridge: DynoBridge | null,
): ComparedRow[] {
  const mean = (v: readonly number[]) => v.reduce((a, b) => a + b, 0) / v.length
  const repeatability = Math.max(before.repeatability, after.repeatability)
  const covered = coveredBy([before, after], correction)
  return COMPARED.flatMap((measure) => {
    const isSpeed = measure === 'bandWidth' || measure === 'arrival'
    const over = measure === 'area' ? covered : band
    const a = valuesOf(before, measure, correction, over, isSpeed ? 1 : (bridge?.ratio ?? 1))
    const b = valuesOf(after, measure, correction, over)
    if (a.length === 0 || b.length === 0) return []
    const shared = bridge && !isSpeed ? bridge.relativeSigma * mean(a) : 0
    return [{ measure, before: mean(a), after: mean(b), gain: isGainReal(a, b, repeatability, shared) }]
  })
}
