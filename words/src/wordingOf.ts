import { PART_KINDS, partsOf, type BuildDocument } from '@bold-ballast/contract'
import type { Wording } from './wording'

/**
 * How values of a build are said: in its units and its currency, with its records by their names.
 *
 * @example describeValue('line', 'mass', 19.05, wordingOf(document), line)
 */
export const wordingOf = (document: BuildDocument): Wording => ({
  units: document.build.units,
  currency: document.build.currency,
  nameOf: (kind, id) => {
    const part = PART_KINDS.find((one) => one === kind)
    const record = part && partsOf(document, part).find((r) => r.id === id)
    return record && 'name' in record ? record.name : null
  },
})
