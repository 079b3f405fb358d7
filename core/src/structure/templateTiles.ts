/** A sheet of paper, m. */
export interface Paper {
  readonly width: number
  readonly height: number
  /** What the printer leaves white, and what two sheets share. */
  readonly margin: number
  readonly overlap: number
}
export const A4: Paper = { width: 0.21, height: 0.297, margin: 0.01, overlap: 0.01 }
export const A3: Paper = { width: 0.297, height: 0.42, margin: 0.01, overlap: 0.01 }

export interface Tile {
  /** Such as B3: second row, third in it. */
  readonly label: string
  readonly row: number
  readonly column: number
  /** Corner of the drawing that stands at the sheet’s inner corner, m. */
  readonly x: number
  readonly y: number
}

const LETTERS = 26

/**
 * The sheets of paper that a drawing at true scale is printed on, row by row.
 *
 * @param width of the drawing, m
 * @throws {RangeError} for a drawing without size, or too big: over 26 rows
 * @source each sheet carries what lies between its margins, less what it shares with the next
 * @example templateTiles(1.6, 0.5, A4).length // 18
 */
export function templateTiles(width: number, height: number, paper: Paper): Tile[] {
  if (!(width > 0 && height > 0)) throw new RangeError('a drawing has a size above zero')
  const { step, count } = tilesAlong(width, height, paper)
  if (count.rows > LETTERS) throw new RangeError('the drawing is too big for so small a paper')
  return Array.from({ length: count.rows * count.columns }, (_, i) => {
    const [row, column] = [Math.floor(i / count.columns), i % count.columns]
    const label = `${String.fromCharCode(65 + row)}${column + 1}`
    return { label, row, column, x: column * step.x, y: row * step.y }
  })
}

function tilesAlong(width: number, height: number, paper: Paper) {
  const inner = { x: paper.width - 2 * paper.margin, y: paper.height - 2 * paper.margin }
  const step = { x: inner.x - paper.overlap, y: inner.y - paper.overlap }
  // The last sheet has nothing to share.
  const needed = (size: number, each: number) => Math.max(1, Math.ceil((size - paper.overlap) / each - 1e-9))
  return { step, count: { columns: needed(width, step.x), rows: needed(height, step.y) } }
}
