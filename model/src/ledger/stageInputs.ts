import type { StageInputs } from '@bold-ballast/core'
import { carFacts } from '../car/carFacts'
import { geometryOf, type GeometryOf } from '../car/geometryOf'
import { countedLines } from './countedLines'
import { dynoErrors, instrumentNamed } from './instrumentNamed'
import type { BuildDocument, Line, Stage, Swap } from '@bold-ballast/contract'

export interface SwapWithLines {
  readonly swap: Swap
  readonly lines: readonly Line[]
  /** The same lines as they count: allowances drawn down, shared errors said. */
  readonly counted: ReturnType<typeof countedLines>
}

const byOrder = (a: { order: number; id: string }, b: { order: number; id: string }) =>
  a.order - b.order || (a.id < b.id ? -1 : 1)

/** The ledger of a document, put in order once: stages, their swaps, their lines. */
export interface LedgerIndex {
  readonly stages: readonly Stage[]
  readonly swapsOf: (stageId: string) => readonly SwapWithLines[]
}

/** @param document any build document; it is not changed */
export function ledgerIndex(
  document: Pick<BuildDocument, 'build' | 'stages' | 'swaps' | 'lines'> &
    Partial<Pick<BuildDocument, 'instruments'>>,
): LedgerIndex {
  const linesBySwap = new Map<string, Line[]>()
  for (const line of document.lines) {
    const list = linesBySwap.get(line.swapId)
    if (list) list.push(line)
    else linesBySwap.set(line.swapId, [line])
  }
  const { doubts, lean } = document.build
  const errors = { doubts, lean, instruments: document.instruments ?? [] }
  const swapsByStage = new Map<string, SwapWithLines[]>()
  for (const swap of [...document.swaps].sort(byOrder)) {
    const lines = (linesBySwap.get(swap.id) ?? []).sort(byOrder)
    const entry = { swap, lines, counted: countedLines(lines, errors) }
    const list = swapsByStage.get(swap.stageId)
    if (list) list.push(entry)
    else swapsByStage.set(swap.stageId, [entry])
  }
  return { stages: [...document.stages].sort(byOrder), swapsOf: (stageId) => swapsByStage.get(stageId) ?? [] }
}

/** A document as the fold in core wants it. */
export function stageInputs(
  document: BuildDocument,
  index: LedgerIndex = ledgerIndex(document),
  geometry: GeometryOf | null = geometryOf(document, index.stages),
): StageInputs {
  const { instruments } = document
  return {
    build: carFacts(document),
    ...(geometry && { buildOf: geometry.buildOf, cutOf: geometry.cutOf }),
    stages: index.stages,
    linesOf: (stageId) => index.swapsOf(stageId).flatMap(({ counted }) => counted),
    weighIns: document.weighIns.map((weighIn) => {
      const scale = instrumentNamed(instruments, weighIn.scale, ['pads', 'weighbridge'])
      return scale ? { ...weighIn, own: scale.ownError } : weighIn
    }),
    dynoDays: document.dynoDays.map((day) => ({
      ...day,
      ...dynoErrors(instruments, day),
    })),
    pulls: document.pulls,
  }
}
