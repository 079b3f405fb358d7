import {
  doubtName,
  massDoubts,
  NO_DOUBTS,
  pointOf,
  sigmaOf,
  sumDoubts,
  timesDoubts,
  totalsOfStage,
  type CarChange,
  type Doubts,
  type GainCar,
  type LapCar,
  type LapCourse,
} from '@bold-ballast/core'
import type { Car } from '../car/Car'
import { bridgeBetween, isSameDyno, type BridgedDynos } from './dynosBetween'
import type { CountedLine } from '../ledger/countedLines'
import { gainPowers, usualMoment, type Moment } from './gainPowers'
import type { GearedCar } from '../car/gearedCar'
import { massWithDriver } from '../car/massWithDriver'
import { GRIP_DOUBT } from '../car/runDoubt'

/** What changed between two stages, beside the swaps, which go by their own ids. */
export const CHANGE_KEYS = [
  'power',
  'gears',
  'grip',
  'drag',
  'downforce',
  'sits',
  'springs',
  'brakes',
  'scales',
] as const
export type ChangeKey = (typeof CHANGE_KEYS)[number]

export interface GainChanges {
  readonly before: GainCar
  readonly changes: readonly CarChange[]
  /** Why runs can’t be compared: gears or a curve aren’t known at both stages, or the curves are off two dynos that nobody bridged. */
  readonly runLacks: 'gearsOrCurve' | 'bridge' | null
}

const pick = <K extends keyof LapCar>(car: LapCar, keys: readonly K[]): Pick<LapCar, K> =>
  Object.fromEntries(keys.map((k) => [k, car[k]])) as Pick<LapCar, K>
const differs = (a: unknown, b: unknown) => JSON.stringify(a) !== JSON.stringify(b)
const LEAST_MASS = 0.05

/** Shares that changes of gears, of where mass sits, of springs and of brakes may be off by (common practice). */
const GEARS = 0.1
const SITS = 0.2
const SPRINGS = 0.2
const BRAKES = 0.2

/** How far off a change from one figure to another is, as a share of it, where each is off by so much. */
const ofChange = (before: number, after: number, sigma: number): number =>
  before === after ? 0 : sigma / Math.abs(after - before)

/** What lines weigh together, by the name of each and of what they share. */
const doubtsOfLines = (lines: readonly CountedLine[]): Doubts =>
  massDoubts(lines.map((line) => ({ name: doubtName.line(line.id), points: [pointOf(line)] })))

/** What two figures are in doubt by that one of them alone is, or more than the other. */
const apart = (before: Doubts, after: Doubts): Doubts =>
  sumDoubts([
    { doubts: after, slope: 1 },
    { doubts: before, slope: -1 },
  ])

/**
 * The changes that lead from one stage to a later one, each with what it weighs, what it sets anew, and how far off it is.
 *
 * Both ends are the cars that the stack and the Board show: as they stand, or when their stages are finished. What swaps weigh together and what
 * the masses of the two stages differ by is not the same where scales spoke: the rest is a change of its own. The air is
 * that of the later stage throughout: weather is no gain.
 *
 * @param course where a lap is to be split; left out, only power to weight and 402 m are
 * @param moment of half-done stages; left out, as they stand where both were pulled
 * @returns `null` where the power of one of the stages isn't known, or the two may not be compared: see `gainPowers`
 * @example gainChanges(carAt(document, third), carAt(document, fourth))?.changes.map((c) => c.id)
 */
export function gainChanges(
  before: Car,
  after: Car,
  course: LapCourse | null = null,
  moment: Moment = usualMoment(before.summary, after.summary),
): GainChanges | null {
  const [first, last] = [before.summary, after.summary]
  const found = gainPowers(before, after, moment)
  if (found.kind !== 'found') return null
  const { powers } = found
  const { build } = after
  const [carAfter, carBefore] = [after.geared, before.geared]
  const ratio = carAfter && carBefore ? curveRatio(after.bridges, carBefore, carAfter) : null
  const runAfter =
    carAfter && ratio !== null
      ? { ...carAfter.run, mass: massWithDriver(build, last[moment].mass).value }
      : null
  const runBefore =
    carAfter && carBefore && ratio !== null
      ? {
          ...carBefore.run,
          mass: massWithDriver(build, first[moment].mass).value,
          airDensity: carAfter.run.airDensity,
          curve: carBefore.run.curve.map((p) => ({ ...p, torque: p.torque * ratio })),
        }
      : null
  const earlier = new Set(before.swaps.map((entry) => entry.swap.id))
  const made = after.swaps
    .filter((entry) => !earlier.has(entry.swap.id))
    .map(({ swap, counted }) => ({
      id: swap.id,
      lines: moment === 'finished' ? counted : counted.filter((l) => l.fitted),
    }))
  const swaps: CarChange[] = made.flatMap(({ id, lines }) => {
    const { value: mass, sigma } = totalsOfStage([lines]).net
    if (Math.abs(mass) < LEAST_MASS) return []
    return [
      {
        id,
        mass,
        power: null,
        run: {},
        doubt: sigma / Math.abs(mass),
        doubts: timesDoubts(doubtsOfLines(lines), 1 / mass),
      },
    ]
  })
  const rest = last[moment].mass.value - first[moment].mass.value - swaps.reduce((sum, s) => sum + s.mass, 0)
  // One scale under both cars, and what was on it both times, is no doubt of what they differ by.
  const restDoubts = sumDoubts([
    { doubts: after.massByName[moment].doubts ?? NO_DOUBTS, slope: 1 },
    { doubts: before.massByName[moment].doubts ?? NO_DOUBTS, slope: -1 },
    { doubts: doubtsOfLines(made.flatMap(({ lines }) => lines)), slope: -1 },
  ])
  const gripDoubt =
    runBefore && runAfter
      ? ofChange(runBefore.grip, runAfter.grip, GRIP_DOUBT * Math.hypot(runBefore.grip, runAfter.grip))
      : 0
  const byChange = (by: Doubts, change: number): Doubts =>
    change === 0 ? NO_DOUBTS : timesDoubts(by, 1 / change)
  const [airBefore, airAfter] = [carBefore?.air, carAfter?.air]
  const named: Partial<Record<ChangeKey, Doubts>> = {
    power: byChange(powers.difference.doubts ?? NO_DOUBTS, powers.difference.value),
    grip: { [doubtName.figure('grip')]: gripDoubt },
    ...(airBefore &&
      airAfter && {
        drag: byChange(
          apart(airBefore.dragDoubts, airAfter.dragDoubts),
          airAfter.dragArea - airBefore.dragArea,
        ),
        downforce: byChange(
          apart(airBefore.downforceDoubts, airAfter.downforceDoubts),
          airAfter.front + airAfter.rear - airBefore.front - airBefore.rear,
        ),
      }),
    sits: { [doubtName.figure('height')]: SITS },
    springs: { [doubtName.figure('transferShare')]: SPRINGS },
    brakes: { [doubtName.figure('brakeFront')]: BRAKES },
  }
  const doubts: Readonly<Record<Exclude<ChangeKey, 'scales'>, number>> = {
    power: ofChange(powers.before.value, powers.after.value, powers.difference.sigma),
    gears: GEARS,
    grip: gripDoubt,
    drag: sigmaOf(named.drag ?? NO_DOUBTS),
    downforce: sigmaOf(named.downforce ?? NO_DOUBTS),
    sits: SITS,
    springs: SPRINGS,
    brakes: BRAKES,
  }
  const groups: readonly [Exclude<ChangeKey, 'scales'>, readonly (keyof Omit<LapCar, 'mass'>)[]][] = [
    ['power', ['curve', 'engineInertia', 'inertiaPulledIn', 'fittedPower']],
    [
      'gears',
      [
        'ratios',
        'finalDrive',
        'rollingRadius',
        'shiftSpeed',
        'shiftTime',
        'launchSpeed',
        'wheelInertia',
        'differential',
        'driveFront',
      ],
    ],
    ['grip', ['grip', 'frontOverRear', 'tyreSensitivity', 'tyreLoad', 'fittedGrip']],
    ['drag', ['dragArea', 'rollingResistance']],
    ['downforce', ['downforceFront', 'downforceRear']],
    ['sits', ['frontShare', 'massHeight']],
    ['springs', ['transferShare', 'trackFront', 'trackRear']],
    ['brakes', ['brakeFront', 'brakeUsed']],
  ]
  const others = groups.flatMap(([id, keys]): CarChange[] => {
    const power = id === 'power' && powers.difference.value !== 0 ? powers.after.value : null
    const changed = runBefore && runAfter ? keys.filter((k) => differs(runBefore[k], runAfter[k])) : []
    if (power === null && changed.length === 0) return []
    return [
      {
        id,
        mass: 0,
        power,
        run: runAfter ? pick(runAfter, changed) : {},
        doubt: doubts[id],
        doubts: named[id] ?? NO_DOUBTS,
      },
    ]
  })
  const scales: CarChange[] =
    Math.abs(rest) < LEAST_MASS
      ? []
      : [
          {
            id: 'scales',
            mass: rest,
            power: null,
            run: {},
            doubt: sigmaOf(restDoubts) / Math.abs(rest),
            doubts: timesDoubts(restDoubts, 1 / rest),
          },
        ]
  return {
    before: { mass: first[moment].mass.value, power: powers.before.value, run: runBefore, course },
    changes: [...swaps, ...others, ...scales],
    runLacks: runBefore ? null : carBefore && carAfter ? 'bridge' : 'gearsOrCurve',
  }
}

/**
 * What the earlier curve is multiplied by to stand beside the later one: 1 off one dyno, a bridge's ratio off two that
 * were bridged. A curve that was brought to a plan has the plan's power already.
 *
 * @returns `null` where they may not be compared
 */
function curveRatio(bridges: readonly BridgedDynos[], before: GearedCar, after: GearedCar): number | null {
  const isPlan = before.curveOf.planned !== null || after.curveOf.planned !== null
  if (isPlan || isSameDyno(before.day, after.day)) return 1
  return bridgeBetween(bridges, before.day, after.day)?.value ?? null
}
