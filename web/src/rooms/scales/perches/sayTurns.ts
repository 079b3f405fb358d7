import { formatNumber } from '@bold-ballast/core'

const GLYPHS: Record<string, string> = { '0.25': '¼', '0.5': '½', '0.75': '¾' }

/** Turns as they are counted at the car: `1¼ up`. */
export function sayTurns(turns: number): string {
  if (turns === 0) return 'leave'
  const size = Math.abs(turns)
  const whole = Math.floor(size)
  const part = GLYPHS[String(size - whole)]
  const words = part ? `${whole || ''}${part}` : formatNumber(size, size === whole ? 0 : 2)
  return `${words} ${turns > 0 ? 'up' : 'down'}`
}
