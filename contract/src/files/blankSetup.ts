import { perCorner } from '@bold-ballast/core'
import { withoutVersion, type Setup, type Suspension } from '../records/kinds'

const axles = <T>(each: () => T): { front: T; rear: T } => ({ front: each(), rear: each() })
const nothing = (): null => null

/** A set-up sheet on which nothing stands yet: bars as they are, everything else left as the stage has it. */
export const blankSetup = (stageId: string, id: string, order: number): Omit<Setup, 'version' | 'date'> => ({
  id,
  stageId,
  order,
  name: '',
  course: '',
  weather: '',
  why: '',
  meant: '',
  driver: '',
  fuel: null,
  springs: axles(() => ({ main: null, helper: null, preload: null })),
  perches: perCorner(nothing),
  bars: axles(() => ({ isOn: true, setting: '' })),
  packers: axles(nothing),
  dampers: perCorner(() => ({ bump: null, rebound: null, fastBump: null, fastRebound: null })),
  heights: perCorner(nothing),
  heightsAt: '',
  camber: perCorner(nothing),
  caster: { left: null, right: null },
  toe: perCorner(nothing),
  toeWidth: 0.6,
  tyres: axles(() => ({ size: '', compound: '', set: '', laps: null, grip: null })),
  cold: perCorner(nothing),
  hot: perCorner(nothing),
  brakeBar: null,
  differential: '',
  wings: [],
  note: '',
})

/**
 * The sheet that comes after another, or the first: it begins as the last, with nothing said of why.
 *
 * @example nextSetup(last, { id, stageId, order: 4, date: '2026-11-28' })
 */
export const nextSetup = (
  last: Setup | null,
  own: Pick<Setup, 'id' | 'stageId' | 'order' | 'date'>,
): Omit<Setup, 'version'> => ({
  ...(last ? withoutVersion(last) : blankSetup(own.stageId, own.id, own.order)),
  name: '',
  why: '',
  meant: '',
  note: '',
  ...own,
})

/** What nobody has said of an axle's suspension: usual figures, each of them a guess (common practice). */
const usualAxle = (rollCentre: number, unsprung: number): Suspension['front'] => ({
  springRate: 60_000,
  springGrade: 'claim',
  helper: null,
  motionRatio: 0.8,
  ratioGrade: 'guess',
  pairs: [],
  damperRatio: null,
  tyreRate: 220_000,
  tyreGrade: 'guess',
  threadPitch: 0.002,
  bar: null,
  rollCentre,
  rollGrade: 'guess',
  unsprung,
  unsprungGrade: 'guess',
  droop: null,
  bump: null,
  rubber: null,
  damper: null,
})

/**
 * A stage's first suspension: the springs that were typed before, where there are any, and usual figures of a car of that
 * mass for the rest.
 *
 * @param springs of the build
 * @param mass kg
 */
export function blankSuspension(
  stageId: string,
  id: string,
  springs: {
    readonly front: Partial<Suspension['front']>
    readonly rear: Partial<Suspension['rear']>
    readonly turnStep: number
  } | null,
  mass: number,
): Omit<Suspension, 'version'> {
  const unsprung = Math.round(0.07 * mass)
  return {
    id,
    stageId,
    front: { ...usualAxle(0.05, unsprung), ...springs?.front },
    rear: { ...usualAxle(0.1, unsprung), ...springs?.rear },
    turnStep: springs?.turnStep ?? 0.25,
    note: '',
  }
}
