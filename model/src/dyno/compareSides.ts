import { type BuildDocument, type DynoDay, type Pull } from '@bold-ballast/contract'
import { bridgeBetween, bridgedDynos, configurationOf } from '../gains/dynosBetween'
import { dynoErrors } from '../ledger/instrumentNamed'
import {
  curveFigures,
  dayDoubts,
  doubtName,
  isGainReal,
  mean,
  meanPower,
  nameKey,
  NO_DOUBTS,
  pullScatter,
  readingOf,
  speedScatter,
  sumDoubts,
  type Correction,
  type GainVerdict,
  type InstrumentDoubt,
  type Known,
  type PullPoint,
  type Reading,
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
  view: Pick<BuildDocument, 'build' | 'pulls' | 'dynoDays' | 'instruments'>,
  before: Side,
  after: Side,
  correction: Correction,
): Known | null => bridgeBetween(bridgedDynos(view, correction), before, after)

export const COMPARED = ['peakPower', 'peakTorque', 'bandPower', 'area', 'bandWidth', 'arrival'] as const
export type Compared = (typeof COMPARED)[number]

export interface ComparedRow {
  readonly measure: Compared
  readonly before: number
  readonly after: number
  readonly gain: GainVerdict
}

/** A power or torque is rounded to a horsepower or a N·m where somebody typed it: one standard uncertainty, W and N·m. */
const ROUNDED = { peakPower: 745.7 / Math.sqrt(12), peakTorque: 1 / Math.sqrt(12) } as const

/** A pull of a side with its day, and what its powers are off by, as shares of them. */
export type DoubtedPull = Side['pulls'][number] & { readonly doubt: InstrumentDoubt }

/**
 * The pulls of a side, each with what it is off by: anew at each pull, with all of its day, of its dyno, and of the bridge
 * that it crosses.
 *
 * @param bridge what brings the side to the other dyno; null on one dyno
 */
export function doubtedPulls(
  { pulls, repeatability }: Side,
  correction: Correction,
  instruments: BuildDocument['instruments'],
  bridge: Known | null,
): DoubtedPull[] {
  const powersOn = (dayId: string) =>
    pulls.flatMap(({ pull, day }) =>
      day.id === dayId ? (figuresUnder(pull, day, correction)?.power ?? []) : [],
    )
  // As a bridge that was built on them has it.
  const scatterOn = (dayId: string) => {
    const powers = powersOn(dayId)
    return powers.length > 0 ? pullScatter({ repeatability }, powers) / mean(powers) : repeatability
  }
  const crossing = { doubts: bridge?.doubts ?? NO_DOUBTS, slope: 1 / (bridge?.value ?? 1) }
  return pulls.map(({ pull, day }) => {
    const own = dayDoubts({ ...day, ...dynoErrors(instruments, day) })
    return {
      pull,
      day,
      doubt: {
        scatter: scatterOn(day.id),
        name: doubtName.pull(pull.id),
        day: doubtName.day(day),
        shared: sumDoubts([{ doubts: own, slope: 1 }, crossing]),
      },
    }
  })
}

/** What a pull gives for a measure; null where it can't say. */
function valueOf(
  { pull, day }: DoubtedPull,
  measure: Compared,
  correction: Correction,
  band: readonly [number, number] | null,
): number | null {
  if (measure === 'peakPower' || measure === 'peakTorque')
    return figuresUnder(pull, day, correction)?.[measure === 'peakPower' ? 'power' : 'torque'] ?? null
  const curve = curveUnder(pull, day, correction)
  if (!curve || curve.length < 2) return null
  if (measure === 'bandPower' || measure === 'area') return band && meanPower(curve, band)
  const { band90, arrival } = curveFigures(curve, pull.channels?.boost)
  return measure === 'bandWidth' ? band90[1] - band90[0] : arrival
}

/** Curves of a side under a correction. */
export const curvesOf = (side: Side, correction: Correction): (readonly PullPoint[])[] =>
  side.pulls.flatMap(({ pull, day }) => {
    const curve = curveUnder(pull, day, correction)
    return curve && curve.length > 1 ? [curve] : []
  })

/** The same with what each is off by. */
export function doubtedCurvesOf(
  pulls: readonly DoubtedPull[],
  correction: Correction,
): { readonly curves: (readonly PullPoint[])[]; readonly doubts: InstrumentDoubt[] } {
  const found = pulls.flatMap(({ pull, day, doubt }) => {
    const curve = curveUnder(pull, day, correction)
    return curve && curve.length > 1 ? [{ curve, doubt }] : []
  })
  return { curves: found.map(({ curve }) => curve), doubts: found.map(({ doubt }) => doubt) }
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
 * @param bridge what brings the earlier side to the later one's dyno; null on one dyno
 */
export function compareSides(
  before: Side,
  after: Side,
  correction: Correction,
  band: readonly [number, number] | null,
  bridge: Known | null,
  instruments: BuildDocument['instruments'],
): ComparedRow[] {
  const covered = coveredBy([before, after], correction)
  const sides = [
    {
      pulls: doubtedPulls(before, correction, instruments, bridge),
      scale: bridge?.value ?? 1,
      repeatability: before.repeatability,
    },
    {
      pulls: doubtedPulls(after, correction, instruments, null),
      scale: 1,
      repeatability: after.repeatability,
    },
  ] as const
  return COMPARED.flatMap((measure) => {
    const isSpeed = measure === 'bandWidth' || measure === 'arrival'
    const over = measure === 'area' ? covered : band
    const readings = ({ pulls, scale, repeatability }: (typeof sides)[number]): Reading[] =>
      pulls.flatMap((pulled) => {
        const value = valueOf(pulled, measure, correction, over)
        if (value === null) return []
        if (!isSpeed) return [readingOf(value * scale, pulled.doubt)]
        // What a dyno, a day or a bridge is off by moves powers, and leaves engine speeds where they are.
        const curve = curveUnder(pulled.pull, pulled.day, correction)
        const scatter = curve ? speedScatter(curve, repeatability)[measure] : 0
        return [{ value, scatter, day: pulled.doubt.day ?? '' }]
      })
    const [a, b] = [readings(sides[0]), readings(sides[1])]
    if (a.length === 0 || b.length === 0) return []
    const isTyped = [before, after].some((side) => side.pulls.some(({ pull }) => !pull.points))
    const rounding = isTyped && (measure === 'peakPower' || measure === 'peakTorque') ? ROUNDED[measure] : 0
    return [
      {
        measure,
        before: mean(a.map(({ value }) => value)),
        after: mean(b.map(({ value }) => value)),
        gain: isGainReal(a, b, rounding),
      },
    ]
  })
}
