import type { RecordOf } from '@bold-ballast/contract'

export type ElementForm = RecordOf<'aeroElement'>

const DEG = Math.PI / 180
export const USUAL = 'Usual for its kind; nobody measured this one'
/** A wing of one foil with holes from 0 to 14°. */
export const blankWing = (): NonNullable<ElementForm['wing']> => ({
  foils: 1,
  angle: 6 * DEG,
  endPlate: 0.2,
  gurney: 0,
  polar: [],
  holes: { from: 0, to: 14 * DEG, step: 2 * DEG },
})
