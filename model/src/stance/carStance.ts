import type { Build, Setup, Suspension } from '@bold-ballast/contract'
import {
  dampingAt,
  dampingRatio,
  itemAt,
  known,
  motionRatio,
  rideFrequency,
  springsInSeries,
  springsOf,
  standingLoad,
  wheelRate,
  weakerGrade,
  type AxleEnd,
  type BumpRubber,
  type CornerSuspension,
  type Grade,
  type Known,
  type RollAxle,
  type RollCar,
  type RollCarSigma,
  type StandingCar,
} from '@bold-ballast/core'
import { barStiffness } from './barStiffness'

export const AXLE_ENDS = ['front', 'rear'] as const

/** One axle of a car on its springs: what is on the sheet, and what follows from it. SI. */
export interface AxleStance {
  /** As fitted: by the set-up sheet where it says one. */
  readonly spring: Known
  readonly helper: { readonly rate: number; readonly travel: number } | null
  readonly ratio: Known
  /** How the ratio changes with travel, 1/m. */
  readonly ratioChange: number
  readonly isMeasuredByPairs: boolean
  readonly damperRatio: number
  readonly tyre: Known | null
  /** What the bar adds at the axle, N·m/rad; a guess of nothing where none is known. */
  readonly bar: Known
  /** The hole or blade that it stands in; empty where it is off, or there is none. */
  readonly barSetting: string
  /** Is there a bar at all, and is it on. */
  readonly barIs: 'on' | 'off' | 'none' | 'notSaid'
  readonly rollCentre: Known
  readonly unsprung: Known
  readonly unsprungHeight: number
  readonly track: number
  /** At the wheel, without and with its tyre. */
  readonly wheel: Known
  readonly withTyre: Known
  /** What one corner carries of the body, kg. */
  readonly sprung: Known
  /** Hz */
  readonly ride: Known
  readonly rideWithTyre: Known
  /** Of the damper at the clicks of the sheet; null without its own sheet, or clicks. */
  readonly damping: { readonly bump: number | null; readonly rebound: number | null }
  readonly corner: CornerSuspension
}

export interface CarStance {
  readonly front: AxleStance
  readonly rear: AxleStance
  /** Where springs and ratios come from: a stage's suspension, the springs typed before there was one, or 2 Hz. */
  readonly from: 'suspension' | 'springs' | 'assumed'
  readonly rollCar: RollCar
  readonly rollSigma: RollCarSigma
  readonly standing: StandingCar
}

/** What the figures of an axle are where nobody has said any (common practice), each a guess. */
const USUAL = {
  rollCentre: { front: 0.05, rear: 0.1 },
  /** Of the car's mass, both wheels. */
  unsprungShare: 0.07,
  wheelRadius: 0.31,
} as const
/** A tyre that is left out gives way by nothing that counts, N/m. */
const RIGID_TYRE = 1e8

/** What a spring's rate, and a ratio that nobody measured over the travel, are off by, as shares (common practice). */
const SPRING_KNOWN: Readonly<Record<Grade, number>> = {
  guess: 0.2,
  claim: 0.05,
  measured: 0.01,
  proven: 0.01,
}
const RATIO_KNOWN: Readonly<Record<Grade, number>> = {
  guess: 0.05,
  claim: 0.05,
  measured: 0.02,
  proven: 0.02,
}

/** How far off a roll centre is, m: nobody knows it better than it was measured or drawn (common practice). */
const ROLL_CENTRE_SIGMA: Readonly<Record<Grade, number>> = {
  guess: 0.03,
  claim: 0.02,
  measured: 0.008,
  proven: 0.005,
}
/** A tyre's rate changes with pressure, camber and wear: no figure of it is better than this share (common practice). */
const TYRE_KNOWN = 0.1

interface StanceInputs {
  /** The build as the stage has it. */
  readonly build: Build
  readonly suspension: Suspension | null
  readonly setup: Setup | null
  /** Driver aboard. */
  readonly mass: Known
  readonly centre: { readonly x: Known; readonly z: Known }
}

/** A product of two figures: their relative doubts add in quadrature. */
const times = (value: number, grade: Grade, ...shares: readonly number[]): Known =>
  known(value, grade, Math.abs(value) * Math.hypot(...shares))
const relative = ({ value, sigma }: Known) => (value === 0 ? 0 : sigma / Math.abs(value))

/** What a bar adds at its axle in the hole that the sheet says, or the first there is. */
function barOf(
  said: Suspension[AxleEnd]['bar'],
  set: Setup['bars'][AxleEnd] | null,
  track: number,
): Pick<AxleStance, 'bar' | 'barSetting' | 'barIs'> {
  const nothing = known(0, 'guess', 0)
  if (!said) return { bar: nothing, barSetting: '', barIs: set?.isOn ? 'notSaid' : 'none' }
  if (set && !set.isOn) return { bar: nothing, barSetting: '', barIs: 'off' }
  const setting = said.settings.find((s) => s.name === set?.setting) ?? itemAt(said.settings, 0)
  const stiffness = barStiffness(said, setting, track)
  // The fourth power of a diameter and the square of an arm: a bar worked out is known to no better than a twentieth.
  const sigma =
    setting.stiffness === null ? Math.max(0.05, known(1, said.grade).sigma) : known(1, said.grade).sigma
  return { bar: known(stiffness, said.grade, stiffness * sigma), barSetting: setting.name, barIs: 'on' }
}

function axleOf(
  end: AxleEnd,
  { build, suspension, setup, mass, centre }: StanceInputs,
  assumed: number | null,
): AxleStance {
  const said = suspension?.[end] ?? null
  const typed = build.springs?.[end] ?? null
  const track = end === 'front' ? build.trackFront : build.trackRear
  const share = end === 'front' ? 1 - centre.x.value / build.wheelbase : centre.x.value / build.wheelbase
  const pairs = said && said.pairs.length > 0 ? motionRatio(said.pairs) : null
  const ratioValue = typed?.motionRatio ?? 1
  const ratioGrade = said?.ratioGrade ?? 'guess'
  const ratio = pairs
    ? known(ratioValue, 'measured', Math.max(0.01 * ratioValue, (pairs.sigma ?? 0.001) / 0.03))
    : known(ratioValue, ratioGrade, ratioValue * RATIO_KNOWN[ratioGrade])
  const springGrade = said?.springGrade ?? (typed ? 'claim' : 'guess')
  const springValue = typed?.springRate ?? assumed ?? 1
  const spring = known(springValue, springGrade, springValue * SPRING_KNOWN[springGrade])
  const tyreRate = typed?.tyreRate ?? null
  const tyre =
    tyreRate === null
      ? null
      : known(
          tyreRate,
          said?.tyreGrade ?? 'guess',
          tyreRate * Math.max(TYRE_KNOWN, known(1, said?.tyreGrade ?? 'guess').sigma),
        )
  const unsprung = said
    ? known(said.unsprung, said.unsprungGrade)
    : known(USUAL.unsprungShare * mass.value, 'guess', 0.3 * USUAL.unsprungShare * mass.value)
  const rollCentre = said
    ? known(said.rollCentre, said.rollGrade, ROLL_CENTRE_SIGMA[said.rollGrade])
    : known(USUAL.rollCentre[end], 'guess', 0.05)
  const wheelValue = wheelRate(springValue, ratioValue, null)
  const wheel = times(
    wheelValue,
    weakerGrade(spring.grade, ratio.grade),
    relative(spring),
    2 * relative(ratio),
  )
  const withTyreValue = tyre ? springsInSeries(wheelValue, tyre.value) : wheelValue
  const withTyre = known(
    withTyreValue,
    weakerGrade(wheel.grade, tyre?.grade ?? wheel.grade),
    // ∂k/∂k_w = (k/k_w)², and the same of the tyre.
    Math.hypot(
      (withTyreValue / wheelValue) ** 2 * wheel.sigma,
      tyre ? (withTyreValue / tyre.value) ** 2 * tyre.sigma : 0,
    ),
  )
  const corner = Math.max(1, (mass.value * share - unsprung.value) / 2)
  const sprung = known(
    corner,
    weakerGrade(mass.grade, unsprung.grade),
    Math.hypot(mass.sigma * share, unsprung.sigma) / 2,
  )
  const frequency = (rate: Known): Known =>
    times(
      rideFrequency(rate.value, corner),
      weakerGrade(rate.grade, sprung.grade),
      relative(rate) / 2,
      relative(sprung) / 2,
    )
  const damperRatio = said?.damperRatio ?? ratioValue
  const left = end === 'front' ? 'frontLeft' : 'rearLeft'
  const clicks = setup?.dampers[left] ?? null
  const rated = (way: 'bump' | 'rebound') => {
    const at = clicks?.[way] ?? null
    return said?.damper && at !== null ? dampingAt(said.damper.points, way, at) : null
  }
  const helper = helperOf(said, setup?.springs[end].helper ?? null)
  const packer = setup?.packers[end] ?? 0
  const rubber: BumpRubber | null = said?.rubber
    ? { gap: Math.max(0, said.rubber.gap - packer), points: said.rubber.points }
    : null
  return {
    spring,
    helper,
    ratio,
    ratioChange: pairs?.change ?? 0,
    isMeasuredByPairs: pairs !== null,
    damperRatio,
    tyre,
    ...barOf(said?.bar ?? null, setup?.bars[end] ?? null, track),
    rollCentre,
    unsprung,
    unsprungHeight: USUAL.wheelRadius,
    track,
    wheel,
    withTyre,
    sprung,
    ride: frequency(wheel),
    rideWithTyre: frequency(withTyre),
    damping: { bump: rated('bump'), rebound: rated('rebound') },
    corner: {
      standing: Math.max(1, standingLoad(mass.value, share, unsprung.value)),
      spring: springValue,
      helper,
      ratio: { atRest: ratioValue, change: pairs?.change ?? 0 },
      damperRatio,
      rubber,
      droop: said?.droop ?? null,
      bump: said?.bump ?? null,
    },
  }
}

/** A helper as the suspension has it, with the rate that the sheet says. */
const helperOf = (said: Suspension[AxleEnd] | null, rate: number | null) =>
  said?.helper ? { rate: rate ?? said.helper.rate, travel: said.helper.travel } : null

const rollAxle = (axle: AxleStance): RollAxle => ({
  track: axle.track,
  wheelRate: axle.wheel.value,
  tyreRate: axle.tyre?.value ?? RIGID_TYRE,
  bar: axle.bar.value,
  rollCentre: axle.rollCentre.value,
  unsprung: axle.unsprung.value,
  unsprungHeight: axle.unsprungHeight,
})
/** Tracks are taped to a few millimetres (common practice). */
const TRACK_SIGMA = 0.003
const rollSigma = (axle: AxleStance) => ({
  track: TRACK_SIGMA,
  wheelRate: axle.wheel.sigma,
  tyreRate: axle.tyre?.sigma ?? 0,
  bar: axle.bar.sigma,
  rollCentre: axle.rollCentre.sigma,
  unsprung: axle.unsprung.sigma,
})

/**
 * A car on its springs: rates, ratios and bars as a stage and its set-up sheet have them, and what follows from them.
 *
 * @example carStance({ build, suspension, setup, mass, centre }).front.ride.value // 2.408
 */
export function carStance(inputs: StanceInputs): CarStance {
  const { build, suspension, mass, centre } = inputs
  const usual = build.springs
    ? null
    : springsOf({ ...build, springs: null }, centre.x.value, mass.value).rates
  const front = axleOf('front', inputs, usual?.frontLeft ?? null)
  const rear = axleOf('rear', inputs, usual?.rearLeft ?? null)
  const rollCar: RollCar = {
    mass: mass.value,
    wheelbase: build.wheelbase,
    centre: { x: centre.x.value, z: centre.z.value },
    front: rollAxle(front),
    rear: rollAxle(rear),
  }
  const standing = (axle: AxleStance) => ({
    corner: axle.corner,
    tyreRate: axle.tyre?.value ?? null,
    roll: rollAxle(axle),
  })
  return {
    front,
    rear,
    from: suspension ? 'suspension' : build.springs ? 'springs' : 'assumed',
    rollCar,
    rollSigma: {
      mass: mass.sigma,
      centre: { x: centre.x.sigma, z: centre.z.sigma },
      front: rollSigma(front),
      rear: rollSigma(rear),
    },
    standing: {
      mass: mass.value,
      wheelbase: build.wheelbase,
      centre: rollCar.centre,
      front: standing(front),
      rear: standing(rear),
    },
  }
}

/** A damper's share of critical, at the wheel; `null` where its sheet or the clicks are not known. */
export function dampingShare(axle: AxleStance, way: 'bump' | 'rebound'): number | null {
  const rate = axle.damping[way]
  return rate === null ? null : dampingRatio(rate, axle.damperRatio, axle.wheel.value, axle.sprung.value)
}
