import type { BuildDocument, DynoDay } from '@bold-ballast/contract'
import { doubtName, mean, NO_DOUBTS, pullScatter, repeatReadings, USUAL_OWN_ERROR } from '@bold-ballast/core'
import { configurationOf } from '../gains/dynosBetween'
import { figuresUnder } from '../dyno/pullFigures'
import { foldBuild } from '../ledger/foldBuild'
import { dynoErrors } from '../ledger/instrumentNamed'

/** An instrument that a figure will be read on, and what its readings are off by, as shares of them. */
export interface TestInstrument {
  /** As its readings name it; empty where none was named yet. */
  readonly name: string
  readonly kind: 'dyno' | 'scale'
  /** Anew at each pull or weighing. */
  readonly scatter: number
  /** In all of one day. */
  readonly betweenDays: number
  /** In all that is ever read on it. */
  readonly own: number
  /** Nothing was read on it yet: all of this is what is usual. */
  readonly isUsual: boolean
}

/** A dyno's pulls where none was run yet, and a car on pads where none was weighed: shares (common practice). */
const USUAL_PULLS = 0.015
const USUAL_WEIGHING = 0.0015
/** A spread of fewer repeats says little. */
const FEWEST = 3

const newest = <T extends { readonly date: string }>(list: readonly T[]): T | null =>
  list.reduce<T | null>((last, one) => (last && last.date > one.date ? last : one), null)

/** How far apart pulls of one configuration on a day lie, as a share: as the dyno states it, or as they do where that is more. */
function pullsApart(day: DynoDay, pulls: BuildDocument['pulls']): number {
  const powers = new Map<string, number[]>()
  for (const pull of pulls) {
    const power = pull.dynoDayId === day.id ? figuresUnder(pull, day, 'observed')?.power : null
    const configuration = configurationOf(pull)
    if (power) powers.set(configuration, [...(powers.get(configuration) ?? []), power])
  }
  const repeated = [...powers.values()].filter(({ length }) => length >= FEWEST)
  return Math.max(day.repeatability, ...repeated.map((of) => pullScatter(day, of) / mean(of)))
}

/**
 * The dyno that the next pulls are likely on: the one of the newest day.
 *
 * @param dynoDays those that count
 * @example dynoToTest(document).betweenDays // 0.01
 */
export function dynoToTest({
  dynoDays,
  pulls,
  instruments,
}: Pick<BuildDocument, 'dynoDays' | 'pulls' | 'instruments'>): TestInstrument {
  const day = newest(dynoDays)
  const { ownError, betweenDays } = dynoErrors(instruments, day ?? { dyno: '' })
  return {
    name: day?.dyno ?? '',
    kind: 'dyno',
    scatter: day ? pullsApart(day, pulls) : USUAL_PULLS,
    betweenDays,
    own: ownError,
    isUsual: day === null,
  }
}

/**
 * The scale that the car is likely weighed on next: the one of the newest weighing of any stage.
 *
 * @example scaleToTest(document).kind // 'scale'
 */
export function scaleToTest(document: BuildDocument): TestInstrument {
  const all = foldBuild(document).summaries.flatMap(({ weighIns }) => weighIns)
  const last = newest(all)
  if (!last)
    return {
      name: '',
      kind: 'scale',
      scatter: USUAL_WEIGHING,
      betweenDays: 0,
      own: USUAL_OWN_ERROR.pads,
      isUsual: true,
    }
  const { value, doubts = NO_DOUBTS } = last.atReference
  const alike = all.filter((w) => w.state === last.state && w.scale === last.scale)
  const seen = alike.length >= FEWEST ? (repeatReadings(alike).repeatability ?? 0) : 0
  return {
    name: document.weighIns.find((w) => w.id === last.id)?.scale ?? '',
    kind: 'scale',
    scatter: Math.max(doubts[doubtName.weighing(last.id)] ?? 0, seen) / value,
    betweenDays: 0,
    own: Math.abs(doubts[last.scale] ?? 0) / value,
    isUsual: false,
  }
}
