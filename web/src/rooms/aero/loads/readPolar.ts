import { readNumber, type PolarPoint, itemAt } from '@bold-ballast/core'

const DEG = Math.PI / 180
const MOST = 40

/** Tabs and semicolons part for sure; blanks do where no comma stands before them, and then commas are decimal ones. */
function cellsOf(line: string): string[] {
  const text = line.trim()
  if (/[\t;]/.test(text)) return text.split(/[\t;]/)
  return /^[^,\s]+(,\d+)?(\s+[^,\s]+(,\d+)?)+$/.test(text) ? text.split(/\s+/) : text.split(/,\s*/)
}

/**
 * A polar from pasted text: angle in degrees, C_L and C_D on each line, parted by tabs, commas, semicolons or blanks.
 *
 * Lines without three figures are taken for headings; the points come in order of their angles.
 */
export function readPolar(text: string): { readonly points: PolarPoint[] } | { readonly problem: string } {
  const points = text
    .split('\n')
    .map(cellsOf)
    .flatMap((cells): PolarPoint[] => {
      const figures = cells.filter((c) => c !== '').map((c) => readNumber(c.replace(/°$/, '')))
      const [angle, lift, drag] = figures
      return angle == null || lift == null || drag == null ? [] : [{ angle: angle * DEG, lift, drag }]
    })
    .sort((a, b) => a.angle - b.angle)
  if (points.length < 2) return { problem: 'Two lines or more are wanted, such as 4, 0.92, 0.061.' }
  if (points.length > MOST) return { problem: `At most ${MOST} points; every other line would do.` }
  const twice = points.find((p, i) => i > 0 && p.angle === itemAt(points, i - 1).angle)
  if (twice) return { problem: `${(twice.angle / DEG).toFixed(1)}° stands twice.` }
  return { points }
}
