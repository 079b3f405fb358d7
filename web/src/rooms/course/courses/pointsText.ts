import { readNumber } from '@bold-ballast/core'

export interface TypedPoint {
  readonly x: number
  readonly y: number
  readonly z: number | null
}

/** Points as they are typed: east, north and, where it is known, up; one on a line, in metres. */
export const pointsAsText = (points: readonly TypedPoint[]): string =>
  points.map(({ x, y, z }) => (z === null ? `${x} ${y}` : `${x} ${y} ${z}`)).join('\n')

/** Points off such a text, and the lines that are none, counted from 1. */
export function pointsFromText(text: string): {
  readonly points: readonly TypedPoint[]
  readonly bad: readonly { readonly line: number; readonly text: string }[]
} {
  const points: TypedPoint[] = []
  const bad: { line: number; text: string }[] = []
  text.split('\n').forEach((raw, i) => {
    const line = raw.trim()
    if (line === '') return
    const [x, y, z, ...more] = line.split(/[\s;]+|,\s+/).map((part) => readNumber(part))
    const isRead = more.length === 0 && typeof x === 'number' && typeof y === 'number' && z !== null
    if (isRead) points.push({ x, y, z: z ?? null })
    else bad.push({ line: i + 1, text: line })
  })
  return { points, bad }
}
