import type { AxleEnd, BalanceChange } from '@bold-ballast/core'
import type { CarStance } from './carStance'
import { barStiffness } from './barStiffness'
import { AXLE_ENDS } from './carStance'
import type { Suspension } from '@bold-ballast/contract'

/** A change that a builder may make to the balance in roll, and what it is. */
export interface AskedChange {
  /** The same change has the same key. */
  readonly key: string
  readonly change: BalanceChange
  readonly what:
    | { readonly kind: 'barOff' | 'barOn'; readonly end: AxleEnd }
    | { readonly kind: 'hole'; readonly end: AxleEnd; readonly setting: string }
    | { readonly kind: 'bar'; readonly end: AxleEnd; readonly stiffness: number }
    | { readonly kind: 'spring'; readonly end: AxleEnd; readonly rate: number }
    | { readonly kind: 'track'; readonly end: AxleEnd; readonly by: number }
    | { readonly kind: 'rollCentre'; readonly end: AxleEnd; readonly by: number }
    | { readonly kind: 'tyre'; readonly end: AxleEnd; readonly by: number }
    | { readonly kind: 'height'; readonly by: number }
    | { readonly kind: 'back'; readonly by: number }
}

/** How much of each is asked about, where nobody says otherwise. */
const SPRING_TIMES = [0.85, 1.15] as const
const WIDER = 0.01
const RAISED = -0.02
const LOWER = -0.02
const BACK = 0.02
/** A tyre softer by as much as 0.2 bar may make it (common practice). */
const SOFTER_TYRE = 0.9

/**
 * Everything that may be turned on a car for its balance in roll: bars off and in other holes, springs, tracks, roll
 * centres, tyres, the height of its centre.
 *
 * @example balanceChanges(car.stance, null).length // 14
 */
export function balanceChanges(stance: CarStance, suspension: Suspension | null): AskedChange[] {
  const { rollCar } = stance
  const asked: AskedChange[] = []
  const ask = (key: string, change: BalanceChange, what: AskedChange['what']) =>
    asked.push({ key, change, what })
  for (const end of AXLE_ENDS) {
    const axle = rollCar[end]
    const { spring, track } = stance[end]
    const said = suspension?.[end].bar ?? null
    if (stance[end].barIs === 'on')
      ask(`${end} bar off`, { axle: end, figure: 'bar', to: 0 }, { kind: 'barOff', end })
    for (const setting of said?.settings ?? []) {
      if (!said || (stance[end].barIs === 'on' && setting.name === stance[end].barSetting)) continue
      const to = barStiffness(said, setting, track)
      ask(
        `${end} bar ${setting.name}`,
        { axle: end, figure: 'bar', to },
        stance[end].barIs === 'on' ? { kind: 'hole', end, setting: setting.name } : { kind: 'barOn', end },
      )
    }
    for (const times of SPRING_TIMES)
      ask(
        `${end} spring ${times}`,
        { axle: end, figure: 'wheelRate', to: axle.wheelRate * times },
        { kind: 'spring', end, rate: spring.value * times },
      )
    ask(
      `${end} track`,
      { axle: end, figure: 'track', to: axle.track + WIDER },
      { kind: 'track', end, by: WIDER },
    )
    ask(
      `${end} roll centre`,
      { axle: end, figure: 'rollCentre', to: axle.rollCentre + RAISED },
      { kind: 'rollCentre', end, by: RAISED },
    )
    if (stance[end].tyre)
      ask(
        `${end} tyre`,
        { axle: end, figure: 'tyreRate', to: axle.tyreRate * SOFTER_TYRE },
        { kind: 'tyre', end, by: SOFTER_TYRE - 1 },
      )
  }
  ask('height', { axle: null, figure: 'height', to: rollCar.centre.z + LOWER }, { kind: 'height', by: LOWER })
  ask('back', { axle: null, figure: 'back', to: rollCar.centre.x + BACK }, { kind: 'back', by: BACK })
  return asked
}
