import type { BuildDocument, Run } from '@bold-ballast/contract'
import { drivenOn } from './countedLaps'
import { lapEvidence, type LapEvidence } from './lapEvidence'
import { runsOf } from './runsOf'
import { lapsThatCount } from './timedOutings'

/** What the car was driven on at a course, in such weather, and how quick it was on it. */
export interface Worked {
  readonly courseId: string
  readonly track: Run['track']
  /** Sheet, or what was changed where nobody wrote one; and the set of tyres, empty where nobody named it. */
  readonly on: string
  readonly setupId: string | null
  readonly tyres: string
  /** Runs on it, and when last. */
  readonly runs: number
  readonly date: string
  readonly evidence: LapEvidence
  /** The quickest there in such weather, by the mean of its three best laps. */
  readonly isBest: boolean
}

/** Fewer laps are no pace. */
const LEAST = 3
const paceOf = ({ bestThree, best }: LapEvidence) => bestThree ?? best

/**
 * Set-ups and tyres by course and weather, the quickest first: what worked there before.
 *
 * It compares days as they were: air, driver and what else was changed are in it. Did it help? asks more closely.
 *
 * @example whatWorked(document).length // 0
 */
export function whatWorked(document: Pick<BuildDocument, 'outings' | 'runs' | 'setups'>): Worked[] {
  const groups = new Map<
    string,
    { readonly first: Omit<Worked, 'evidence' | 'isBest' | 'runs'>; runs: Run[] }
  >()
  for (const day of [...document.outings].sort((a, b) => a.date.localeCompare(b.date))) {
    if (day.courseId === null || day.planned) continue
    const driven = runsOf(document, day.id).filter((run) => !run.planned)
    const states = drivenOn(driven, document.setups)
    for (const run of driven) {
      if (lapsThatCount(run).length === 0) continue
      const on = states.get(run.id) ?? ''
      const key = JSON.stringify([day.courseId, run.track, on, run.tyres])
      const { setupId, track, tyres } = run
      const before = groups.get(key)?.runs ?? []
      groups.set(key, {
        first: { courseId: day.courseId, track, on, setupId, tyres, date: day.date },
        runs: [...before, run],
      })
    }
  }
  const found = [...groups.values()].flatMap(({ first, runs }): Omit<Worked, 'isBest'>[] => {
    const evidence = lapEvidence(runs.flatMap(lapsThatCount))
    return evidence && evidence.count >= LEAST ? [{ ...first, runs: runs.length, evidence }] : []
  })
  const place = ({ courseId, track }: Pick<Worked, 'courseId' | 'track'>) => `${courseId} ${track}`
  const best = new Map<string, number>()
  for (const one of found)
    best.set(place(one), Math.min(paceOf(one.evidence), best.get(place(one)) ?? Infinity))
  return found
    .map((one) => ({ ...one, isBest: best.get(place(one)) === paceOf(one.evidence) }))
    .sort((a, b) => place(a).localeCompare(place(b)) || paceOf(a.evidence) - paceOf(b.evidence))
}
