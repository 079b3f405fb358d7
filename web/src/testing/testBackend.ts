import { applyEdits, newBuild, type BuildDocument, type Edit, type EditBatch } from '@bold-ballast/contract'
import { documentFrom, sampleForm, sampleLine, sampleSwap } from '@bold-ballast/contract/sampleBuild'

/** A document for tests: one stage, one swap, two lines, all at version 1. */
export function sampleDocument(): BuildDocument {
  const newId = () => crypto.randomUUID()
  const file = newBuild({ ...sampleForm, baseMass: 1000 }, newId)
  const swap = sampleSwap(file.stages[0]!.id, newId())
  const lines = [0, 1].map((i) => sampleLine(swap.id, newId(), i))
  return documentFrom({ ...file, swaps: [swap], lines })
}

type Mood = 'well' | 'away' | 'lostAnswer' | 'refuses'

/**
 * Stands in for the server in store tests: keeps one document, counts versions, answers conflicts with both
 * sides, and can be away, lose an answer, or refuse.
 */
export class TestBackend {
  mood: Mood = 'well'
  readonly batches: EditBatch[] = []
  private readonly results = new Map<string, unknown>()

  constructor(public document: BuildDocument) {}

  readonly fetch = async (request: Request): Promise<Response> => {
    const json = (status: number, body: unknown) =>
      new Response(JSON.stringify(body), { status, headers: { 'content-type': 'application/json' } })
    if (this.mood === 'away') throw new TypeError('fetch failed')
    if (request.method === 'GET') return json(200, this.document)
    const batch = (await request.json()) as EditBatch
    if (this.mood === 'refuses')
      return json(500, {
        type: '/problems/unexpected',
        title: 'That went wrong here',
        status: 500,
        detail: 'Nothing was changed.',
      })
    const before = this.results.get(batch.id)
    if (before) return json(200, before)
    const conflicts = batch.edits.flatMap((edit) => this.conflictOf(edit))
    if (conflicts.length > 0)
      return json(409, {
        type: '/problems/conflict',
        title: 'Changed',
        status: 409,
        detail: 'Changed by somebody else.',
        conflicts,
      })
    this.batches.push(batch)
    const stamped = batch.edits.map((e) =>
      e.op === 'put' ? { ...e, record: { ...e.record, version: e.record.version + 1 } } : e,
    ) as Edit[]
    this.document = applyEdits(this.document, stamped)
    const versions = stamped.flatMap((e) =>
      e.op === 'put' ? [{ kind: e.kind, id: e.record.id, version: e.record.version }] : [],
    )
    const result = { id: batch.id, versions }
    this.results.set(batch.id, result)
    if (this.mood === 'lostAnswer') {
      this.mood = 'well'
      throw new TypeError('the answer was lost')
    }
    return json(200, result)
  }

  private conflictOf(edit: Edit): object[] {
    const id = edit.op === 'put' ? edit.record.id : edit.id
    const theirs = edit.kind === 'line' ? this.document.lines.find((l) => l.id === id) : undefined
    const version = edit.op === 'put' ? edit.record.version : edit.version
    if (edit.kind !== 'line' || (theirs?.version ?? 0) === version) return []
    return [{ kind: 'line', id, yours: edit.op === 'put' ? edit.record : null, theirs: theirs ?? null }]
  }
}
