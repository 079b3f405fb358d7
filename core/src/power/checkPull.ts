import { ICE_POINT } from '../units/constants'
import { peaksOf, type PullPoint } from './pull'
import type { ChannelValues } from './pullChannels'

/** What the log of a pull should stay within. */
export interface PullLimits {
  /** λ under load. */
  readonly richest: number
  readonly leanest: number
  /** Oil pressure for every 1,000 rpm, Pa. */
  readonly oilPer1000: number
  /** Coolant by the end of the pull, K. */
  readonly coolant: number
}

/** Common practice: 10 psi for every 1,000 rpm, warm means 70 °C; boosted engines are run richer. */
export const usualLimits = (boosted: boolean): PullLimits => ({
  richest: boosted ? 0.7 : 0.8,
  leanest: boosted ? 0.9 : 0.95,
  oilPer1000: 69_000,
  coolant: 343.15,
})

export interface PullGears {
  readonly limiter: number | null
  /** Of the gear the pull was made in. */
  readonly overall: number | null
  /** All gears of the car by name, engine turns for one of the wheel. */
  readonly overalls: readonly { readonly name: string; readonly ratio: number }[]
  readonly rollingRadius: number | null
}

export interface PullFault {
  readonly kind: 'limiter' | 'lambda' | 'oil' | 'coolant' | 'units' | 'gear' | 'hubTorque'
  /** Where it starts, rad/s, when it has a place. */
  readonly speed: number | null
  readonly says: string
}

export interface PullToCheck {
  readonly points: readonly PullPoint[] | null
  readonly channels: ChannelValues | null
  readonly peakPower: number | null
  readonly peakPowerSpeed: number | null
  readonly peakTorque: number | null
  readonly peakTorqueSpeed: number | null
}

const rpm = (speed: number) => `${(Math.round((speed * 30) / Math.PI / 10) * 10).toLocaleString('en-GB')} rpm`
const UNIT_MISTAKES = [
  { power: 1.34102, torque: 1, says: 'power in hp taken for kW' },
  { power: 1 / 1.34102, torque: 1, says: 'power in kW taken for hp' },
  { power: 1, torque: 1 / 1.35582, says: 'torque in lb·ft taken for N·m' },
  { power: 1, torque: 1.35582, says: 'torque in N·m taken for lb·ft' },
] as const

/**
 * Looks a pull over for what can't be right or shouldn't be: typed peaks that contradict each other, hub
 * torque taken for engine torque, a gear that the speeds don't fit, a peak at the limiter, a mixture or an oil
 * pressure outside the safe band, coolant that never warmed up.
 *
 * @param pull curve with channels, or typed peaks; SI
 * @param limits the safe band
 * @param gears what is known of limiter and gears; what is null is not checked
 * @returns the faults, each in one sentence with its engine speed; none for a pull that looks right
 * @source P = T·ω; the bands are common practice
 * @example checkPull(pull, usualLimits(true), gears)[0]?.says
 */
export function checkPull(pull: PullToCheck, limits: PullLimits, gears: PullGears): PullFault[] {
  if (!pull.points || pull.points.length === 0) return checkTyped(pull, gears)
  const { points, channels } = pull
  const faults: PullFault[] = [...hubTorque(peaksOf(points).torque.value, points, gears)]
  const { power } = peaksOf(points)
  const { limiter } = gears
  if (limiter !== null && power.speed >= 0.985 * limiter)
    faults.push({
      kind: 'limiter',
      speed: power.speed,
      says: `Peak power stands at the limiter (${rpm(power.speed)}): the engine may make more above it, and this is no peak.`,
    })
  if (!channels) return faults
  const mostTorque = peaksOf(points).torque.value
  const loaded = points.map((p) => p.torque > 0.5 * mostTorque)
  const firstWhere = (
    values: readonly (number | null)[] | undefined,
    wrong: (v: number, p: PullPoint) => boolean,
  ) => values?.findIndex((v, i) => v !== null && loaded[i] && wrong(v, points[i]!)) ?? -1

  const { richest: rich, leanest: lean } = limits
  const tooLean = firstWhere(channels.lambda, (v) => v > lean)
  if (tooLean >= 0) faults.push(mixture(points, channels.lambda!, tooLean, 'lean', lean, loaded))
  const tooRich = firstWhere(channels.lambda, (v) => v < rich)
  if (tooRich >= 0) faults.push(mixture(points, channels.lambda!, tooRich, 'rich', rich, loaded))
  const dry = firstWhere(
    channels.oilPressure,
    (v, p) => v < limits.oilPer1000 * ((p.speed * 30) / Math.PI / 1000),
  )
  if (dry >= 0)
    faults.push({
      kind: 'oil',
      speed: points[dry]!.speed,
      says: `Oil pressure is ${bar(channels.oilPressure![dry]!)} at ${rpm(points[dry]!.speed)}; ${bar((limits.oilPer1000 * ((points[dry]!.speed * 30) / Math.PI)) / 1000)} is wanted there. Stop and find out why.`,
    })
  const warm = (channels.coolant ?? []).filter((v) => v !== null)
  const warmest = Math.max(...warm)
  if (warm.length > 0 && warmest < limits.coolant)
    faults.push({
      kind: 'coolant',
      speed: null,
      says: `Coolant never warmed up: ${celsius(warmest)} at most, ${celsius(limits.coolant)} is wanted before a pull counts.`,
    })
  return [...faults, ...gearMisfit(points, channels.roadSpeed, gears)]
}

const bar = (pascal: number) => `${(pascal / 1e5).toFixed(1)} bar`
const celsius = (kelvin: number) => `${(kelvin - ICE_POINT).toFixed(0)} °C`

function mixture(
  points: readonly PullPoint[],
  lambda: readonly (number | null)[],
  at: number,
  way: 'lean' | 'rich',
  limit: number,
  loaded: readonly boolean[],
): PullFault {
  const beyond = lambda.map((v, i) =>
    v !== null && loaded[i] ? (way === 'lean' ? v - limit : limit - v) : -Infinity,
  )
  const worst = beyond.indexOf(Math.max(...beyond))
  return {
    kind: 'lambda',
    speed: points[at]!.speed,
    says: `Mixture is too ${way} from ${rpm(points[at]!.speed)}: λ ${lambda[worst]!.toFixed(2)} at ${rpm(points[worst]!.speed)}, ${limit.toFixed(2)} is the ${way === 'lean' ? 'leanest' : 'richest'} allowed.`,
  }
}

/** Torque at the hubs is a gear's ratio too large for an engine. */
function hubTorque(most: number, points: readonly PullPoint[], { overall }: PullGears): PullFault[] {
  const last = points.at(-1)!
  // No car's engine makes over 2,000 N·m at 5,000 rpm; hubs behind a gear show that easily.
  if (overall === null || most < 1500 || last.speed < 400) return []
  return [
    {
      kind: 'hubTorque',
      speed: null,
      says: `${Math.round(most).toLocaleString('en-GB')} N·m looks like torque at the hubs. Behind ${overall.toFixed(2)} to 1 that is ${Math.round(most / overall)} N·m at the engine.`,
    },
  ]
}

function gearMisfit(
  points: readonly PullPoint[],
  roadSpeed: readonly (number | null)[] | undefined,
  { overall, overalls, rollingRadius }: PullGears,
): PullFault[] {
  if (!roadSpeed || overall === null || rollingRadius === null) return []
  const seen = points
    .flatMap((p, i) => (roadSpeed[i] && roadSpeed[i] > 3 ? [(p.speed * rollingRadius) / roadSpeed[i]] : []))
    .sort((a, b) => a - b)
  const ratio = seen[Math.floor(seen.length / 2)]
  if (ratio === undefined || Math.abs(ratio / overall - 1) <= 0.04) return []
  const fits = overalls.find((g) => Math.abs(g.ratio / ratio - 1) <= 0.04)
  return [
    {
      kind: 'gear',
      speed: null,
      says: `Engine and road speed stand at ${ratio.toFixed(2)} to 1; the gear of this day is ${overall.toFixed(2)}. ${fits ? `It was ${fits.name}.` : 'No gear of the car fits: check the units of the road speed, or the tyre.'}`,
    },
  ]
}

/** Typed peaks must allow each other: at its peak torque no engine makes more than its peak power. */
function checkTyped(pull: PullToCheck, gears: PullGears): PullFault[] {
  const { peakPower, peakPowerSpeed, peakTorque, peakTorqueSpeed } = pull
  const faults: PullFault[] = []
  if (gears.limiter !== null && peakPowerSpeed !== null && peakPowerSpeed > 0.985 * gears.limiter)
    faults.push({
      kind: 'limiter',
      speed: peakPowerSpeed,
      says: `Peak power stands at or after the limiter (${rpm(gears.limiter)}).`,
    })
  if (peakPower === null || peakTorque === null) return faults
  const allowed = (power: number, torque: number) =>
    (peakTorqueSpeed === null || torque * peakTorqueSpeed <= power * 1.01) &&
    (peakPowerSpeed === null || power / peakPowerSpeed <= torque * 1.01)
  if (allowed(peakPower, peakTorque)) return faults
  const because = UNIT_MISTAKES.filter((m) => allowed(peakPower / m.power, peakTorque / m.torque)).map(
    (m) => m.says,
  )
  const gear = gears.overalls.find(({ ratio }) => allowed(peakPower, peakTorque / ratio))
  const why = gear && because.length === 0 ? [`torque at the hubs behind ${gear.name}`] : because
  faults.push({
    kind: 'units',
    speed: null,
    says: `Peak power and peak torque can’t both be right: P = T·ω would be broken. ${why.length > 0 ? `It would fit with ${why.join(', or with ')}.` : 'Check the figures and their engine speeds.'}`,
  })
  return faults
}
