import { formatNumber, fromSi, unitOf } from '@bold-ballast/core'

const MM = unitOf('length', 'mm')
/** Millimetres as a drawing has them: finer below a centimetre. */
export const mm = (m: number) => (m > 0.999 ? 'over 999' : formatNumber(fromSi(m, MM), m < 0.01 ? 1 : 0))
/** A size that is no deflection: whole millimetres, however long. */
export const sizeMm = (m: number) => formatNumber(fromSi(m, MM), 0)
export const times = (n: number) => (n > 99 ? 'over 99' : formatNumber(n, n < 1 ? 2 : 1))
export const tone = (safety: number, wanted: number) =>
  safety >= wanted ? 'text-zinc' : safety >= 1 ? 'text-ochre' : 'text-oxide'
