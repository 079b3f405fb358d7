import { readNumber } from '../units/readNumber'

/**
 * Reads points as a person types or pastes them: an engine speed and a figure on each line.
 *
 * @param text lines such as `3000 185`, `3.500; 192,5` or `4000<tab>201`; empty lines and a title are skipped
 * @param options x: what the first figure is, with its article; fromZero: that it may be zero, as a time may
 * @returns the pairs in the order they stand, and what is wrong by line
 * @example typedPoints('3000 185\nabc 1').bad // [{ line: 2, problem: '“abc” is not a number' }]
 */
export function typedPoints(
  text: string,
  {
    x: first = 'an engine speed',
    fromZero = false,
  }: { readonly x?: string; readonly fromZero?: boolean } = {},
): {
  pairs: { x: number; y: number; line: number }[]
  bad: { line: number; problem: string }[]
} {
  const pairs: { x: number; y: number; line: number }[] = []
  const bad: { line: number; problem: string }[] = []
  text.split(/\r?\n/).forEach((row, i) => {
    const line = i + 1
    const cells = row
      .trim()
      .split(/[;\t]\s*|\s+|,\s+/)
      .filter(Boolean)
    // A title above the figures is no mistake.
    if (cells.length === 0 || (pairs.length === 0 && !/\d/.test(row))) return
    if (cells.length < 2) return void bad.push({ line, problem: `${first} and a figure are wanted` })
    const [x, y] = [readNumber(cells[0]!), readNumber(cells[1]!)]
    if (x === null || y === null)
      return void bad.push({ line, problem: `“${x === null ? cells[0] : cells[1]}” is not a number` })
    if (fromZero ? x < 0 : x <= 0)
      return void bad.push({ line, problem: `${first} is ${fromZero ? 'not below' : 'above'} zero` })
    pairs.push({ x, y, line })
  })
  const seen = new Map<number, number>()
  for (const { x, line } of pairs) {
    if (seen.has(x))
      bad.push({ line, problem: `${first.replace(/^an? /, '')} ${x} stands on line ${seen.get(x)} already` })
    else seen.set(x, line)
  }
  return { pairs: pairs.filter((p) => seen.get(p.x) === p.line), bad }
}
