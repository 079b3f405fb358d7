import type { SYSTEMS, BuildDocument, Line } from '@bold-ballast/contract'
import { isThere } from './isThere'

type System = (typeof SYSTEMS)[number]

/** Money in the build's currency: what is spent, what is owed, what is still to find and how far off that may be, ±. */
export interface Money {
  readonly spent: number
  readonly ordered: number
  readonly toFind: number
  readonly sigma: number
}
export interface MoneyRow extends Money {
  readonly stageId: string
  readonly system: System
}
export interface BudgetOfStage {
  readonly stageId: string
  /** Null for the whole stage. */
  readonly system: System | null
  readonly amount: number
  readonly money: Money
}

/** How far off a price is by what is known of it, one standard uncertainty: as grades everywhere. */
const OFF = { guess: 0.2, claim: 0.07, measured: 0 } as const
const NONE: Money = { spent: 0, ordered: 0, toFind: 0, sigma: 0 }

/**
 * Sums of money. What is to be found is off by each price on its own.
 *
 * @example sumOfMoney([{ spent: 1, ordered: 0, toFind: 4, sigma: 3 }, { spent: 2, ordered: 0, toFind: 5, sigma: 4 }]).sigma // 5
 */
export const sumOfMoney = (all: readonly Money[]): Money =>
  all.reduce(
    (sum, one) => ({
      spent: sum.spent + one.spent,
      ordered: sum.ordered + one.ordered,
      toFind: sum.toFind + one.toFind,
      sigma: Math.hypot(sum.sigma, one.sigma),
    }),
    NONE,
  )

const largestSystem = (lines: readonly Line[]): System =>
  lines.reduce<Line | null>((best, line) => (!best || line.mass > best.mass ? line : best), null)?.system ??
  'other'

/**
 * What each stage has cost and will, by system: parts to come, swaps that name no such parts, waits, services with their parts,
 * what days cost; less what was sold. Of a swap whose parts are listed as parts to come, those count, not its own figure.
 *
 * @example sumOfMoney(moneyOfStages(document)).ordered // 0
 */
export function moneyOfStages(document: BuildDocument): MoneyRow[] {
  const rows: MoneyRow[] = []
  const add = (stageId: string, system: System, money: Partial<Money>) =>
    rows.push({ stageId, system, ...NONE, ...money })
  const linesOf = new Map<string, Line[]>()
  for (const line of document.lines) {
    const list = linesOf.get(line.swapId)
    if (list) list.push(line)
    else linesOf.set(line.swapId, [line])
  }
  const swapOfLine = new Map(document.lines.map((line) => [line.id, line.swapId]))
  const listed = new Set(
    document.parts.flatMap((p) => (p.lineId && p.price !== null ? (swapOfLine.get(p.lineId) ?? []) : [])),
  )
  for (const part of document.parts) {
    if (part.price === null || part.state === 'returned') continue
    const isPaid = part.priceGrade === 'measured'
    // What was owed and never came isn’t paid for.
    const cost = part.price * (isThere(part) ? (part.came ?? part.quantity) : part.quantity)
    const mending = part.findings.reduce((sum, f) => sum + (f.cost ?? 0), 0)
    if (isPaid || isThere(part)) add(part.stageId, part.system, { spent: cost })
    else if (part.state === 'ordered') add(part.stageId, part.system, { ordered: cost })
    else add(part.stageId, part.system, { toFind: cost, sigma: cost * OFF[part.priceGrade] })
    // What was found is mended before the part is fitted, or comes on top.
    if (mending > 0 && part.state !== 'fitted')
      add(part.stageId, part.system, { toFind: mending, sigma: mending * OFF.guess })
  }
  for (const swap of document.swaps) {
    if (swap.cost === null || listed.has(swap.id)) continue
    const lines = linesOf.get(swap.id) ?? []
    const isDone = lines.length > 0 && lines.every((line) => line.fitted)
    const system = largestSystem(lines)
    if (isDone) add(swap.stageId, system, { spent: swap.cost })
    else add(swap.stageId, system, { toFind: swap.cost, sigma: Math.abs(swap.cost) * OFF.claim })
  }
  // A swap’s own cost is less what was sold already.
  const uncounted = new Map(
    document.swaps.filter((s) => s.cost === null || listed.has(s.id)).map((s) => [s.id, s.stageId]),
  )
  for (const line of document.lines) {
    const stageId = uncounted.get(line.swapId)
    if (stageId && line.fate === 'sold' && line.soldFor !== null)
      add(stageId, line.system, { spent: -line.soldFor * line.quantity })
  }
  for (const wait of document.waits)
    if (wait.cost !== null) {
      if (wait.backOn !== null) add(wait.stageId, 'other', { spent: wait.cost })
      else if (wait.givenOn !== null) add(wait.stageId, 'other', { ordered: wait.cost })
      else add(wait.stageId, 'other', { toFind: wait.cost, sigma: wait.cost * OFF.claim })
    }
  for (const service of document.services) {
    const cost = service.parts.reduce((sum, p) => sum + p.price * p.quantity, 0)
    if (cost > 0) add(service.stageId, 'other', { spent: cost })
  }
  for (const { stageId, planned, cost, fuelCost, tyreCost } of document.outings) {
    const sum = (cost ?? 0) + (fuelCost ?? 0) + (tyreCost ?? 0)
    if (sum > 0) add(stageId, 'other', planned ? { toFind: sum, sigma: sum * OFF.claim } : { spent: sum })
  }
  return rows
}

/**
 * Each budget beside what it is for.
 *
 * @example budgetsOf(document, moneyOfStages(document)).length // 0
 */
export const budgetsOf = (
  document: Pick<BuildDocument, 'budgets'>,
  rows: readonly MoneyRow[],
): BudgetOfStage[] =>
  document.budgets.map(({ stageId, system, amount }) => ({
    stageId,
    system,
    amount,
    money: sumOfMoney(
      rows.filter((row) => row.stageId === stageId && (system === null || row.system === system)),
    ),
  }))
