import type { PartToCome } from '@bold-ballast/contract'

/**
 * Whether a part has come: it holds nothing up any more.
 *
 * @example isThere({ state: 'trialFitted' }) // true
 */
export const isThere = ({ state }: Pick<PartToCome, 'state'>): boolean =>
  state === 'arrived' || state === 'trialFitted' || state === 'fitted'

/**
 * Whether a part is still to come: it holds up what needs it.
 *
 * @example isToCome({ state: 'returned' }) // false
 */
export const isToCome = (part: Pick<PartToCome, 'state'>): boolean =>
  !isThere(part) && part.state !== 'returned'
