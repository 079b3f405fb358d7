import { itemAt } from '@bold-ballast/core'
import { FATE, LINE_KIND, type BuildDocument, type Line } from '@bold-ballast/contract'
import type { LedgerIndex } from '@bold-ballast/model'

export interface Source {
  readonly line: Line
  readonly stage: string
}

/** Every line before this one in the build, with the stage it stands in, newest first. */
function before(line: Line, ledger: LedgerIndex): Source[] {
  const found: Source[] = []
  for (const stage of ledger.stages) {
    for (const { lines } of ledger.swapsOf(stage.id)) {
      for (const other of lines) {
        if (other.id === line.id) return found.reverse()
        found.push({ line: other, stage: stage.name })
      }
    }
  }
  return found.reverse()
}

/**
 * Lines that this one may be the same thing as: what came off may go on or be carried over, what went on may come
 * off or move. Those of the same name stand first.
 */
export function sourcesFor(line: Line, ledger: LedgerIndex): Source[] {
  const wanted = line.kind === 'on' || line.kind === 'carried' ? ['off'] : ['on', 'carried', 'moved']
  const same = (s: Source) => s.line.name.toLowerCase() === line.name.toLowerCase()
  const fitting = before(line, ledger).filter((s) => wanted.includes(s.line.kind))
  return [...fitting.filter(same), ...fitting.filter((s) => !same(s))].slice(0, 60)
}

/** What happened to a thing, oldest first: each line it was, as a sentence. */
export function historyOf(
  line: Line,
  view: BuildDocument,
  ledger: LedgerIndex,
): { id: string; says: string }[] {
  const byId = new Map(view.lines.map((l) => [l.id, l]))
  byId.set(line.id, line)
  const stageOf = new Map(
    ledger.stages.flatMap((stage) =>
      ledger.swapsOf(stage.id).map(({ swap }) => [swap.id, stage.name] as const),
    ),
  )
  const chain: Line[] = []
  const seen = new Set<string>()
  // Back to where it came from first, then forth along whatever came of it.
  for (
    let at: Line | undefined = line;
    at && !seen.has(at.id);
    at = at.fromLine ? byId.get(at.fromLine) : undefined
  ) {
    seen.add(at.id)
    chain.unshift(at)
  }
  for (;;) {
    const next = [...byId.values()].find((l) => l.fromLine === itemAt(chain, -1).id && !seen.has(l.id))
    if (!next) break
    seen.add(next.id)
    chain.push(next)
  }
  return chain.map((l) => ({
    id: l.id,
    says: `${l.name}: ${LINE_KIND[l.kind]} in ${stageOf.get(l.swapId) ?? 'a stage that is gone'}${l.kind === 'off' && l.fate !== 'unsaid' ? `, ${FATE[l.fate]}` : ''}${l.fitted ? '' : ', not done yet'}`,
  }))
}
