import type { Limit, Run } from '@bold-ballast/contract'
import { itemAt } from '@bold-ballast/core'
import { runHealth, type Health } from './runHealth'

/** Steps of a shakedown, one after the other. */
export const SHAKEDOWN = ['bedIn', 'shake60', 'shake80', 'shake100'] as const
export type ShakedownStep = (typeof SHAKEDOWN)[number]

export interface Shakedown {
  /** The last step that was driven. */
  readonly after: ShakedownStep
  /** What it is to be next; the same again where the last one found something; null once all are done. */
  readonly next: ShakedownStep | null
  readonly isRefused: boolean
  readonly health: Health
}

const stepOf = (run: Pick<Run, 'purpose'>) => SHAKEDOWN.find((step) => step === run.purpose)

/**
 * The step of a shakedown that is offered after the last one that was driven, or refused: nobody goes quicker with a
 * reading beyond its limit.
 *
 * @returns null where no shakedown was begun
 * @example shakedown([], document.limits) // null
 */
export function shakedown(runs: readonly Run[], limits: readonly Limit[]): Shakedown | null {
  const last = runs.filter((run) => !run.planned && stepOf(run)).at(-1)
  const after = last && stepOf(last)
  if (!last || !after) return null
  const { health } = runHealth(last, limits)
  const place = SHAKEDOWN.indexOf(after)
  const further = place + 1 < SHAKEDOWN.length ? itemAt(SHAKEDOWN, place + 1) : null
  return { after, health, isRefused: health !== 'go', next: health === 'go' ? further : after }
}
