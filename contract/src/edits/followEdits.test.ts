import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { BuildDocument } from '../records/kinds'
import { documentFrom, sampleBuild } from '../testing/sampleBuild'
import { applyEdits } from './applyEdits'
import type { Edit } from './edit'
import { followEdits } from './followEdits'

const start: BuildDocument = documentFrom(sampleBuild(() => crypto.randomUUID()))

/** A change as a server would be sent it next, to one of the lines. */
const nextEdit = (document: BuildDocument, at: number, isRemoval: boolean, mass: number): Edit => {
  const line = document.lines[at % document.lines.length]
  if (!line)
    return { op: 'put', kind: 'line', record: { ...start.lines[0]!, id: crypto.randomUUID(), version: 0 } }
  return isRemoval
    ? { op: 'remove', kind: 'line', id: line.id, version: line.version }
    : { op: 'put', kind: 'line', record: { ...line, mass } }
}
/** The document as the server has it after that. */
const after = (document: BuildDocument, edit: Edit): BuildDocument =>
  applyEdits(document, [
    edit.op === 'put'
      ? ({ ...edit, record: { ...edit.record, version: edit.record.version + 1 } } as Edit)
      : edit,
  ])

const changes = fc.array(
  fc.record({ at: fc.nat(20), isRemoval: fc.boolean(), mass: fc.integer({ min: 1, max: 90 }) }),
  {
    minLength: 1,
    maxLength: 12,
  },
)

describe('following what others do', () => {
  it('leads to what the server has, however often each is told', () =>
    fc.assert(
      fc.property(changes, fc.nat(3), (list, repeats) => {
        let server = start
        let here: BuildDocument | null = start
        for (const { at, isRemoval, mass } of list) {
          const edit = nextEdit(server, at, isRemoval, mass)
          server = after(server, edit)
          for (let i = 0; i <= repeats; i += 1) here = here && followEdits(here, [edit])
        }
        expect(here).toEqual(server)
      }),
    ))
  it('notices that something was missed', () => {
    const [line] = start.lines
    const late: Edit = { op: 'put', kind: 'line', record: { ...line!, version: line!.version + 1 } }
    expect(followEdits(start, [late])).toBeNull()
    const gone: Edit = { op: 'remove', kind: 'line', id: line!.id, version: line!.version + 2 }
    expect(followEdits(start, [gone])).toBeNull()
  })
  it('does nothing where all of it is here', () => {
    const [line] = start.lines
    const old: Edit = { op: 'put', kind: 'line', record: { ...line!, version: line!.version - 1 } }
    expect(followEdits(start, [old])).toBe(start)
    const gone: Edit = { op: 'remove', kind: 'line', id: crypto.randomUUID(), version: 4 }
    expect(followEdits(start, [gone])).toBe(start)
  })
})
