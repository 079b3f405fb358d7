import type { CourseSection } from './lineFromSections'

const NUMBER = '(\\d+(?:[.,]\\d+)?)'
const STRAIGHT = new RegExp(`^(?:s|straight)?\\s*${NUMBER}$`, 'i')
const CORNER = new RegExp(`^(l|left|r|right)\\s*${NUMBER}\\s*[\\s,;]\\s*${NUMBER}\\s*(°|deg)?$`, 'i')
const numberOf = (text: string) => Number(text.replace(',', '.'))

/**
 * The line of a course as it is written down: a straight by its length, a corner by its side, its radius, and its length
 * or angle.
 *
 * @param text one section a line: `420`, `r32 75` to the right, `l32 134°` to the left
 * @param metres what one of the lengths is
 * @returns sections in SI, and the lines that are none, counted from 1
 * @source arc length = radius · angle
 * @example courseFrom('420\nr32 90°', 1).sections[1] // { length: 50.27, radius: -32 }
 */
export function courseFrom(
  text: string,
  metres: number,
): { readonly sections: readonly CourseSection[]; readonly bad: readonly { line: number; text: string }[] } {
  const sections: CourseSection[] = []
  const bad: { line: number; text: string }[] = []
  text.split('\n').forEach((raw, i) => {
    const line = raw.trim()
    if (line === '') return
    const straight = STRAIGHT.exec(line)
    if (straight) return sections.push({ length: numberOf(straight[1]!) * metres, radius: null })
    const corner = CORNER.exec(line)
    if (!corner) return bad.push({ line: i + 1, text: line })
    const radius = numberOf(corner[2]!) * metres
    const second = numberOf(corner[3]!)
    return sections.push({
      length: corner[4] ? (radius * second * Math.PI) / 180 : second * metres,
      radius: corner[1]!.toLowerCase().startsWith('l') ? radius : -radius,
    })
  })
  return { sections, bad }
}
