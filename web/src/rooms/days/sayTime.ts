/** A lap as a stopwatch shows it, to a hundredth: 58.31, 1:26.40. */
export function sayTime(seconds: number): string {
  const hundredths = Math.round(seconds * 100)
  const minutes = Math.floor(hundredths / 6000)
  const rest = ((hundredths - minutes * 6000) / 100).toFixed(2)
  return minutes === 0 ? rest : `${minutes}:${rest.padStart(5, '0')}`
}
