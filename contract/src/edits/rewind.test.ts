import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { BuildDocument } from '../records/kinds'
import { documentFrom, sampleBuild, sampleLine, sampleSwap } from '../testing/sampleBuild'
import { applyEdits } from './applyEdits'
import { changesBetween } from './changesBetween'
import type { Edit } from './edit'
import { inverseOf } from './inverseOf'
import { rewind } from './rewind'

const newId = () => crypto.randomUUID()
const key = (d: BuildDocument) =>
  JSON.stringify({
    build: d.build,
    swaps: [...d.swaps].sort((a, b) => a.id.localeCompare(b.id)),
    lines: [...d.lines].sort((a, b) => a.id.localeCompare(b.id)),
  })

/** A batch that somebody could make of a document, from three numbers. */
function someEdits(document: BuildDocument, [what, which, much]: readonly [number, number, number]): Edit[] {
  const line = document.lines[which % Math.max(1, document.lines.length)]
  const [stage] = document.stages
  if (what === 0 || !line) {
    const swap = sampleSwap(stage!.id, newId(), which)
    return [
      { op: 'put', kind: 'swap', record: { ...swap, version: 0 } },
      { op: 'put', kind: 'line', record: { ...sampleLine(swap.id, newId()), mass: much, version: 0 } },
    ]
  }
  if (what === 1) return [{ op: 'put', kind: 'line', record: { ...line, mass: much } }]
  if (what === 2) return [{ op: 'remove', kind: 'line', id: line.id, version: line.version }]
  return [{ op: 'put', kind: 'build', record: { ...document.build, name: `Name ${much}` } }]
}

describe('rewind', () => {
  it('is the state that was saved at that time, for any history and any time', () => {
    const number = fc.integer({ min: 0, max: 50 })
    const step = fc.tuple(fc.integer({ min: 0, max: 3 }), number, number)
    fc.assert(
      fc.property(fc.array(step, { minLength: 1, maxLength: 25 }), number, (steps, back) => {
        let document = documentFrom(sampleBuild(newId))
        const saved = [document]
        const inverses: Edit[][] = []
        for (const one of steps) {
          const edits = someEdits(document, one)
          inverses.unshift(inverseOf(document, edits))
          document = applyEdits(document, edits)
          saved.push(document)
        }
        const count = back % (steps.length + 1)
        const then = rewind(document, inverses.slice(0, count))
        // A record that came back keeps the version with which it comes back; everything else is as it was.
        const bare = (d: BuildDocument) => key(d).replace(/"version":\d+/g, '')
        expect(bare(then)).toBe(bare(saved[steps.length - count]!))
      }),
      { numRuns: 80 },
    )
  })
})

describe('changesBetween', () => {
  const before = documentFrom(sampleBuild(newId))
  it('finds what was added, changed and removed, and nothing else', () => {
    const [line, other] = before.lines
    const after = applyEdits(before, [
      { op: 'put', kind: 'line', record: { ...line!, mass: 99 } },
      { op: 'remove', kind: 'line', id: other!.id, version: 1 },
      { op: 'put', kind: 'swap', record: { ...sampleSwap(before.stages[0]!.id, newId(), 7), version: 1 } },
      { op: 'put', kind: 'build', record: { ...before.build, note: 'New' } },
    ])
    const found = changesBetween(before, after)
    expect(found.map((c) => [c.kind, c.before !== null, c.after !== null])).toEqual([
      ['build', true, true],
      ['swap', false, true],
      ['line', true, true],
      ['line', true, false],
    ])
    expect(changesBetween(before, before)).toEqual([])
  })
})
