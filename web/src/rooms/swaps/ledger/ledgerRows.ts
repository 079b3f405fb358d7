import { LINE_KIND, SYSTEM, type Line, type Swap } from '@bold-ballast/contract'
import type { SwapWithLines } from '@bold-ballast/model'
import { lineSign, piecesOf, valueAt } from '@bold-ballast/core'

export type LedgerRow =
  | { readonly type: 'swap'; readonly id: string; readonly swap: Swap }
  | { readonly type: 'line'; readonly id: string; readonly line: Line; readonly counts: number }
  | { readonly type: 'entry'; readonly id: string; readonly swapId: string }

export const SORTS = {
  order: 'As entered',
  mass: 'Heaviest first',
  name: 'By name',
  grade: 'Least known first',
} as const
export type Sort = keyof typeof SORTS

const GRADE_ORDER = { guess: 0, claim: 1, measured: 2, proven: 3 }
const BY: Record<Exclude<Sort, 'order'>, (a: Line, b: Line) => number> = {
  mass: (a, b) => b.mass * b.quantity - a.mass * a.quantity,
  name: (a, b) => a.name.localeCompare(b.name),
  grade: (a, b) => GRADE_ORDER[a.grade] - GRADE_ORDER[b.grade] || b.mass * b.quantity - a.mass * a.quantity,
}

/** Rows of the grid: each swap with its lines, filtered and sorted, and the entry row where it is open. */
export function rowsOf(
  swaps: readonly SwapWithLines[],
  filter: string,
  sort: Sort,
  entryAt: string | null,
): LedgerRow[] {
  const words = filter.toLowerCase().split(/\s+/).filter(Boolean)
  const matches = (line: Line, swapName: string) => {
    const text =
      `${swapName} ${line.name} ${SYSTEM[line.system]} ${LINE_KIND[line.kind]} ${line.grade}`.toLowerCase()
    return words.every((w) => text.includes(w))
  }
  return swaps.flatMap(({ swap, lines, counted }): LedgerRow[] => {
    const counts = new Map(counted.map((l) => [l.id, lineSign(l) * l.mass * piecesOf(l)]))
    const kept = words.length === 0 ? [...lines] : lines.filter((l) => matches(l, swap.name))
    if (words.length > 0 && kept.length === 0) return []
    if (sort !== 'order') kept.sort(BY[sort])
    const entry: LedgerRow[] =
      entryAt === swap.id ? [{ type: 'entry', id: `entry-${swap.id}`, swapId: swap.id }] : []
    return [
      { type: 'swap', id: swap.id, swap },
      ...kept.map((line): LedgerRow => ({
        type: 'line',
        id: line.id,
        line,
        counts: valueAt(counts, line.id),
      })),
      ...entry,
    ]
  })
}
