import { describe, expect, it } from 'vitest'
import fc from 'fast-check'
import {
  documentFrom,
  sampleBuild,
  sampleDrive,
  sampleLine,
  sampleSwap,
} from '@bold-ballast/contract/sampleBuild'
import {
  adoption,
  afterTrying,
  applyEdits,
  branchToWrite,
  buildFile,
  fileOf,
  partsOf,
  readAt,
  sameRecord,
  triedDocument,
  triedEdits,
  withNewIds,
  type Branch,
  type BuildDocument,
  type Edit,
  type Mark,
} from '@bold-ballast/contract'
import {
  judgeTried,
  ledgerIndex,
  markFigures,
  readBranch,
  readUntried,
  startBranch,
  stageInputs,
  triedFigure,
  whatIfEdits,
} from '@bold-ballast/model'
import { known, stageSummaries } from '@bold-ballast/core'

let counter = 0
const newId = () => `00000000-0000-4000-9000-${String((counter += 1)).padStart(12, '0')}`
const CENTRE = { x: 1.2, y: 0, z: 0.5 }

/** A build of one stage that is all fitted, with gears. */
function build(fitted = true): BuildDocument {
  const file = sampleBuild(newId, { swaps: 2, linesEach: 2 })
  const [stage] = file.stages
  return documentFrom({
    ...file,
    lines: file.lines.map((line) => ({ ...line, fitted })),
    drivetrains: [{ id: newId(), stageId: stage!.id, drive: sampleDrive(), note: '' }],
  })
}
const begin = (document: BuildDocument, name = 'Shorter final drive'): Branch => {
  const { stages } = ledgerIndex(document)
  const [reached] = stageSummaries(stageInputs(document))
  const from = { stageId: stages[0]!.id, name, reached: reached! }
  return { ...startBranch(document, stages, from, newId), version: 1 }
}
/** The branch with one more thing turned. */
const turn = (document: BuildDocument, branch: Branch, tweak: Parameters<typeof whatIfEdits>[3]): Branch => {
  const read = readBranch(document, branch)!
  const more = whatIfEdits(read.document, read.ledger.stages, readAt(branch), tweak, newId)
  return {
    ...branch,
    edits: afterTrying(document, triedEdits(branch), more) as unknown as Branch['edits'],
  }
}

describe('something tried', () => {
  it('is a step of its own after a stage that was reached, and the stage itself while that is a plan', () => {
    const reached = begin(build())
    expect(reached.stepId).not.toBeNull()
    expect(readBranch(build(), { ...reached, edits: [] })).toBeNull()
    expect(begin(build(false))).toMatchObject({ stepId: null, edits: [] })
  })
  it('leaves the build as it is until it is taken over, and then makes it what was tried', () => {
    const document = build()
    const before = JSON.stringify(document)
    const branch = turn(document, turn(document, begin(document), { what: 'finalDrive', value: 4.7 }), {
      what: 'kilos',
      mass: -25,
      at: CENTRE,
    })
    const tried = triedDocument(document, branch)
    expect(JSON.stringify(document)).toBe(before)
    expect(tried.stages).toHaveLength(2)
    expect(tried.drivetrains.find((d) => d.stageId === branch.stepId)?.drive.finalDrive).toBe(4.7)
    expect(document.drivetrains).toHaveLength(1)
    const { edits, lost } = adoption(document, branch)
    expect(lost).toEqual([])
    expect(sameRecord(applyEdits(document, edits), tried)).toBe(true)
  })
  it('takes a thing back to nothing when it is turned back', () => {
    const document = build(false)
    const there = turn(document, begin(document), { what: 'kilos', mass: 12, at: CENTRE })
    expect(there.edits).toHaveLength(2)
    expect(turn(document, there, { what: 'kilos', mass: 0, at: CENTRE }).edits).toEqual([])
    const { finalDrive } = sampleDrive()
    const geared = turn(document, begin(document), { what: 'finalDrive', value: 5 })
    expect(turn(document, geared, { what: 'finalDrive', value: finalDrive }).edits).toEqual([])
  })
  it('goes along with what changes in the build, and leaves out what has lost its place', () => {
    const document = build(false)
    const [swap] = document.swaps
    const line = { ...sampleLine(swap!.id, newId(), 9), version: 0 }
    const branch = {
      ...begin(document),
      edits: [{ op: 'put', kind: 'line', record: line }] as unknown as Branch['edits'],
    }
    const renamed = applyEdits(document, [
      { op: 'put', kind: 'stage', record: { ...document.stages[0]!, name: 'Another name' } },
    ])
    expect(triedDocument(renamed, branch).stages[0]!.name).toBe('Another name')
    const without = applyEdits(document, [{ op: 'remove', kind: 'swap', id: swap!.id, version: 1 }])
    expect(adoption(without, branch)).toMatchObject({ edits: [], lost: [{ kind: 'line' }] })
  })
  it('takes the versions of today along when it is taken over', () => {
    const document = build(false)
    const line = document.lines[0]!
    const branch = {
      ...begin(document),
      edits: [{ op: 'put', kind: 'line', record: { ...line, mass: 9 } }] as unknown as Branch['edits'],
    }
    const later = applyEdits(document, [{ op: 'put', kind: 'line', record: { ...line, version: 7 } }])
    expect(adoption(later, branch).edits).toMatchObject([{ record: { mass: 9, version: 7 } }])
  })
  it('says exactly what the stage says while nothing was turned, for any kilos twice over', () => {
    fc.assert(
      fc.property(fc.double({ min: -80, max: 80, noNaN: true }), (mass) => {
        const document = build()
        const branch = begin(document)
        const asked = {
          measure: 'mass',
          conditionId: null,
          gear: null,
          place: '',
          part: '',
          speed: null,
        } as const
        const start = markFigures(readBranch(document, { ...branch, stepId: null, edits: [] })!.car, asked)
        const untried = markFigures(readUntried(document, branch)!.car, asked)
        expect(triedFigure(start, untried, untried)).toEqual({ value: start.value, change: 0 })
        const tried = turn(document, branch, { what: 'kilos', mass, at: CENTRE })
        const { change } = triedFigure(start, untried, markFigures(readBranch(document, tried)!.car, asked))
        expect(change).toBeCloseTo(Math.abs(mass) < 0.05 ? 0 : mass, 6)
      }),
      { numRuns: 40 },
    )
  })
  it('adds what it changes to what was shown, in doubt only as far as the change is', () => {
    const shown = { value: known(1114, 'proven', 2), planned: known(1105, 'measured', 4), evidence: true }
    const plan = (value: number, sigma: number) => ({
      value: known(value, 'claim', sigma),
      planned: known(value, 'claim', sigma),
      evidence: false,
    })
    const tried = triedFigure(shown, plan(1105, 4), plan(1090, 5))
    expect(tried).toMatchObject({ change: -15, value: { value: 1099, sigma: Math.hypot(2, 3) } })
    const mark = { comparator: 'atMost', value: 1107, tolerance: 0 } as Mark
    expect(judgeTried(tried, mark).verdict).toBe('met')
    expect(judgeTried({ value: null, change: null }, mark).because).toBe('nothing')
  })
  it('starts from the figure of the stage, though only a part of that was shown', () => {
    // Power that was pulled over a mass by the plan: 204 kW/t, where the plan alone says 188.
    const start = { value: known(204, 'claim', 6), planned: known(188, 'claim', 7), evidence: false }
    const plan = (value: number) => ({
      value: known(value, 'claim', 7),
      planned: known(value, 'claim', 7),
      evidence: false,
    })
    expect(triedFigure(start, plan(188), plan(188))).toEqual({ value: start.value, change: 0 })
    expect(triedFigure(start, plan(188), plan(190))).toMatchObject({ value: { value: 206 }, change: 2 })
  })
  it('comes through a file and a copy of it under new ids with everything where it belongs', () => {
    const document = build()
    const branch = turn(document, begin(document), { what: 'kilos', mass: -25, at: CENTRE })
    const file = buildFile.parse(fileOf({ ...document, branches: [branch] }))
    const copy = documentFrom(withNewIds(file, newId))
    const [own] = copy.branches
    expect(own!.stageId).toBe(copy.stages[0]!.id)
    const tried = triedDocument(copy, own!)
    const step = tried.stages.find((s) => s.id === own!.stepId)
    const swap = tried.swaps.find((s) => s.stageId === step!.id)
    expect(tried.lines.find((l) => l.swapId === swap!.id)).toMatchObject({ kind: 'off', mass: 25 })
    const ids = (d: BuildDocument) => new Set(partsOf(d, 'line').map((l) => l.id))
    expect([...ids(tried)].filter((id) => ids(document).has(id))).toEqual([])
  })
  it('is refused with nonsense, a seal or another branch in it', () => {
    const { version: _v, ...branch } = begin(build(false))
    const swap = { ...sampleSwap(branch.stageId, newId()), version: 0 }
    const fault = (edits: unknown[]) =>
      branchToWrite.safeParse({ ...branch, edits }).error?.issues[0]?.path.slice(0, 2)
    expect(fault([{ op: 'put', kind: 'swap', record: swap } satisfies Edit])).toBeUndefined()
    expect(fault([{ op: 'put', kind: 'swap', record: { ...swap, name: '' } }])).toEqual(['edits', 0])
    expect(fault([{ op: 'put', kind: 'branch', record: { ...branch, version: 0 } }])).toEqual(['edits', 0])
    expect(fault([{ op: 'put', kind: 'seal', record: {} }])).toEqual(['edits', 0])
  })
})
