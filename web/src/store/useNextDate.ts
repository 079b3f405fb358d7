import { itemAt } from '@bold-ballast/core'
import type { WorkReckoned } from '@bold-ballast/model'
import { useReckoned } from './useWorkOutcome'

/** The next date that stands fast, as a target of the reckoned work; null for none. */
export function useNextDate(): { readonly reckoned: WorkReckoned; readonly target: number } | null {
  const reckoned = useReckoned()
  const target = reckoned.targets.findIndex(({ date }) => date !== null)
  return target < 0 || !itemAt(reckoned.targets, target).date ? null : { reckoned, target }
}
