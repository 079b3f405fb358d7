import { formatNumber } from '@bold-ballast/core'

/** Minutes and seconds, to a hundredth. */
export function sayLap(time: number): string {
  if (time < 60) return `${formatNumber(time, 2)} s`
  // In hundredths, so that 59.996 is a minute more and no sixty seconds.
  const hundredths = Math.round(time * 100)
  const minutes = Math.floor(hundredths / 6000)
  return `${minutes}:${((hundredths - minutes * 6000) / 100).toFixed(2).padStart(5, '0')} min`
}
