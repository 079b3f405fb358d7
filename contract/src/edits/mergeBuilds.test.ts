import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { buildDocument, type BuildDocument } from '../records/kinds'
import {
  documentFrom,
  sampleBuild,
  sampleLine,
  sampleOuting,
  sampleSetup,
  sampleSwap,
} from '../testing/sampleBuild'
import { applyEdits } from './applyEdits'
import { drivenFault } from './drivenFault'
import type { Edit } from './edit'
import { mergeBuilds, type BuildMerge, type MergeChoice } from './mergeBuilds'
import { removalOf } from './removalOf'

const newId = () => crypto.randomUUID()
const start = (): BuildDocument => documentFrom(sampleBuild(newId, { swaps: 2, linesEach: 3 }))

/** A document with edits carried out as a server does: versions rise. */
const done = (document: BuildDocument, edits: readonly Edit[]): BuildDocument =>
  applyEdits(
    document,
    edits.map((edit) =>
      edit.op === 'put'
        ? ({ ...edit, record: { ...edit.record, version: edit.record.version + 1 } } as Edit)
        : edit,
    ),
  )
const set = <K extends 'line' | 'swap' | 'stage'>(
  document: BuildDocument,
  kind: K,
  at: number,
  more: object,
): BuildDocument => {
  const list = { line: document.lines, swap: document.swaps, stage: document.stages }[kind]
  const record = list[at % list.length]!
  return done(document, [{ op: 'put', kind, record: { ...record, ...more } } as Edit])
}
const idsOf = (document: BuildDocument) => new Set([...document.lines, ...document.swaps].map(({ id }) => id))

describe('bringing a build home', () => {
  it('takes over what only one side changed, and does nothing the second time', () => {
    const base = start()
    const mine = set(base, 'line', 0, { mass: 7 })
    const theirs = set(base, 'line', 1, { mass: 9 })
    const merge = mergeBuilds(base, theirs, mine)
    expect(merge.conflicts).toEqual([])
    const home = done(theirs, merge.edits)
    expect(home.lines.map((l) => l.mass).slice(0, 2)).toEqual([7, 9])
    // The answer was lost, and it is brought again.
    expect(mergeBuilds(base, home, mine)).toEqual({ edits: [], conflicts: [], kept: [] })
  })
  it('puts together what both changed in different fields', () => {
    const base = start()
    const merge = mergeBuilds(
      base,
      set(base, 'line', 0, { name: 'Hatch' }),
      set(base, 'line', 0, { mass: 7 }),
    )
    const [edit] = merge.edits
    expect(edit).toMatchObject({ op: 'put', record: { name: 'Hatch', mass: 7, version: 2 } })
  })
  it('leaves to a person what both changed otherwise, and does what is chosen', () => {
    const base = start()
    const [mine, theirs] = [set(base, 'line', 0, { mass: 7 }), set(base, 'line', 0, { mass: 9 })]
    const { id } = base.lines[0]!
    const merge = mergeBuilds(base, theirs, mine)
    expect(merge.edits).toEqual([])
    expect(merge.conflicts).toMatchObject([{ id, why: 'both', mine: { mass: 7 }, theirs: { mass: 9 } }])
    const choose = (choice: MergeChoice) => mergeBuilds(base, theirs, mine, new Map([[id, choice]]))
    expect(choose('theirs')).toMatchObject({ edits: [], conflicts: [] })
    expect(choose('mine').edits).toMatchObject([{ record: { mass: 7, version: 2 } }])
  })
  it('asks where one side removed what the other changed', () => {
    const base = start()
    const [line] = base.lines
    const removed = done(base, removalOf(base, 'line', line!.id))
    const changed = set(base, 'line', 0, { mass: 7 })
    expect(mergeBuilds(base, removed, changed).conflicts).toMatchObject([{ why: 'both', theirs: null }])
    expect(mergeBuilds(base, changed, removed).conflicts).toMatchObject([{ why: 'both', mine: null }])
    const choice = new Map([[line!.id, 'mine' as const]])
    expect(done(removed, mergeBuilds(base, removed, changed, choice).edits).lines).toContainEqual(
      expect.objectContaining({ id: line!.id, mass: 7 }),
    )
  })
  it('loses nothing that was added to what the other side removed', () => {
    const base = start()
    const [swap] = base.swaps
    const line = { ...sampleLine(swap!.id, newId(), 9), version: 0 }
    const added = done(base, [{ op: 'put', kind: 'line', record: line }])
    const removed = done(base, removalOf(base, 'swap', swap!.id))
    for (const [theirs, mine] of [
      [added, removed],
      [removed, added],
    ] as const) {
      const merge = mergeBuilds(base, theirs, mine)
      const home = done(theirs, merge.edits)
      expect(merge.kept).toEqual([{ kind: 'swap', id: swap!.id }])
      expect(home.swaps.some(({ id }) => id === swap!.id)).toBe(true)
      expect(home.lines.filter((l) => l.swapId === swap!.id).map(({ id }) => id)).toEqual([line.id])
    }
  })
  it('leaves alone what has been frozen at home', () => {
    const base = start()
    const stageId = base.swaps[0]!.stageId
    const seal = {
      id: newId(),
      stageId,
      at: '2026-11-28T10:00:00Z',
      author: 'Rosa',
      figures: {} as BuildDocument['seals'][number]['figures'],
      reopened: null,
      note: '',
      version: 1,
    }
    const theirs = { ...base, seals: [seal] }
    const merge = mergeBuilds(base, theirs, set(base, 'line', 0, { mass: 7 }))
    expect(merge.edits).toEqual([])
    expect(merge.conflicts).toMatchObject([{ why: 'frozen' }])
    // Choosing it doesn’t open the stage.
    const choice = new Map([[base.lines[0]!.id, 'mine' as const]])
    expect(mergeBuilds(base, theirs, set(base, 'line', 0, { mass: 7 }), choice).edits).toEqual([])
  })

  describe('with a set-up sheet that was driven on', () => {
    const withSheet = () => {
      const file = sampleBuild(newId, { swaps: 1, linesEach: 1 })
      const stageId = file.stages[0]!.id
      const sheet = sampleSetup(stageId, newId(), 1)
      file.setups.push(sheet)
      const base = documentFrom(file)
      const barAt = (brakeBar: number, on = base) =>
        done(on, [{ op: 'put', kind: 'setup', record: { ...on.setups[0]!, brakeBar } }])
      const driven = (on: BuildDocument) =>
        done(on, [
          {
            op: 'put',
            kind: 'outing',
            record: { ...sampleOuting(stageId, newId(), { setupId: sheet.id }), version: 0 },
          },
        ])
      return { base, id: sheet.id, barAt, driven }
    }
    it('leaves it at home as it was driven on there, whatever is chosen, and takes the rest over', () => {
      const { base, id, barAt, driven } = withSheet()
      const theirs = driven(base)
      const mine = set(barAt(0.55), 'line', 0, { mass: 7 })
      const merge = mergeBuilds(base, theirs, mine)
      expect(merge.conflicts).toMatchObject([{ id, why: 'driven', isSettled: true }])
      expect(merge.edits).toMatchObject([{ kind: 'line', record: { mass: 7 } }])
      const chosen = mergeBuilds(base, theirs, mine, new Map([[id, 'mine' as const]]))
      expect(drivenFault(theirs, chosen.edits)).toBeNull()
      expect(done(theirs, chosen.edits).setups[0]!.brakeBar).toBeNull()
    })
    it('asks which it was where it was driven on away, and was set otherwise at home since', () => {
      const { base, id, barAt, driven } = withSheet()
      const [theirs, mine] = [barAt(0.6), driven(base)]
      const merge = mergeBuilds(base, theirs, mine)
      expect(merge.conflicts).toMatchObject([{ id, why: 'driven', isSettled: false }])
      const choose = (choice: MergeChoice) =>
        done(theirs, mergeBuilds(base, theirs, mine, new Map([[id, choice]])).edits)
      expect(choose('mine').setups[0]!.brakeBar).toBeNull()
      expect(choose('theirs').setups[0]!.brakeBar).toBe(0.6)
      expect(choose('mine').outings).toHaveLength(1)
    })
    it('brings it back where it was driven on away and removed at home', () => {
      const { base, id, driven } = withSheet()
      const theirs = done(base, removalOf(base, 'setup', id))
      const merge = mergeBuilds(base, theirs, driven(base))
      expect(merge).toMatchObject({ conflicts: [], kept: [{ kind: 'setup', id }] })
      const home = done(theirs, merge.edits)
      expect(home.setups).toMatchObject([{ id }])
      expect(home.outings).toMatchObject([{ setupId: id }])
    })
    it('asks nothing where only its name differs', () => {
      const { base, driven } = withSheet()
      const named = done(base, [{ op: 'put', kind: 'setup', record: { ...base.setups[0]!, name: 'Dry' } }])
      expect(mergeBuilds(base, named, driven(base)).conflicts).toEqual([])
      expect(mergeBuilds(base, driven(base), named).conflicts).toEqual([])
    })
  })
})

/** What a person does somewhere. */
const deed = fc.record({
  where: fc.constantFrom('home', 'one', 'two'),
  what: fc.constantFrom('weigh', 'rename', 'add', 'addSwap', 'remove', 'removeSwap', 'note'),
  at: fc.nat(11),
  mass: fc.integer({ min: 1, max: 99 }),
})
const step = fc.oneof(
  { weight: 3, arbitrary: deed },
  { weight: 1, arbitrary: fc.record({ sync: fc.constantFrom('one' as const, 'two' as const) }) },
)

function act(
  document: BuildDocument,
  { what, at, mass }: { what: string; at: number; mass: number },
): readonly Edit[] {
  const [line, swap] = [
    document.lines[at % Math.max(1, document.lines.length)],
    document.swaps[at % Math.max(1, document.swaps.length)],
  ]
  const stage = document.stages[at % document.stages.length]!
  switch (what) {
    case 'weigh':
      return line ? [{ op: 'put', kind: 'line', record: { ...line, mass } }] : []
    case 'rename':
      return line ? [{ op: 'put', kind: 'line', record: { ...line, name: `Part ${mass}` } }] : []
    case 'add':
      return swap
        ? [{ op: 'put', kind: 'line', record: { ...sampleLine(swap.id, newId(), mass), version: 0 } }]
        : []
    case 'addSwap':
      return [{ op: 'put', kind: 'swap', record: { ...sampleSwap(stage.id, newId()), version: 0 } }]
    case 'remove':
      return line ? removalOf(document, 'line', line.id) : []
    case 'removeSwap':
      return swap ? removalOf(document, 'swap', swap.id) : []
    default:
      return [{ op: 'put', kind: 'stage', record: { ...stage, note: `Note ${mass}` } }]
  }
}

/** Chooses as a person might, by what is written, so that it doesn’t matter who asks. */
const chosen = (merge: BuildMerge): Map<string, MergeChoice> =>
  new Map(
    merge.conflicts.map(({ id, mine, theirs }) => [
      id,
      JSON.stringify(mine ?? '') > JSON.stringify(theirs ?? '') ? 'mine' : 'theirs',
    ]),
  )

describe('three installations, whatever is done where and brought home when', () => {
  it('end alike, with nothing lost and nothing twice', () => {
    fc.assert(
      fc.property(fc.array(step, { minLength: 1, maxLength: 40 }), fc.boolean(), (steps, isTurned) => {
        const first = start()
        const at = { home: first, one: first, two: first }
        const base = { one: first, two: first }
        const added = new Set<string>()
        const removed = new Set<string>()
        const sync = (who: 'one' | 'two') => {
          const look = mergeBuilds(base[who], at.home, at[who])
          const merge = mergeBuilds(base[who], at.home, at[who], chosen(look))
          expect(merge.conflicts).toEqual([])
          const home = done(at.home, merge.edits)
          // The same again, as after an answer that was lost, does nothing but ask what was asked.
          const again = mergeBuilds(base[who], home, at[who], chosen(mergeBuilds(base[who], home, at[who])))
          if (look.conflicts.length === 0 && merge.kept.length === 0) expect(again.edits).toEqual([])
          at.home = at[who] = base[who] = home
        }
        for (const one of steps) {
          if ('sync' in one) sync(one.sync)
          else {
            const edits = act(at[one.where], one)
            for (const edit of edits)
              if (edit.op === 'remove') removed.add(edit.id)
              else if (edit.record.version === 0) added.add(edit.record.id)
            at[one.where] = done(at[one.where], edits)
          }
        }
        for (const who of isTurned ? (['two', 'one', 'two'] as const) : (['one', 'two', 'one'] as const))
          sync(who)
        expect(at.one).toEqual(at.home)
        expect(at.two).toEqual(at.home)
        const ids = idsOf(at.home)
        for (const id of [...added, ...idsOf(first)]) if (!removed.has(id)) expect(ids.has(id)).toBe(true)
        const list = [...at.home.lines, ...at.home.swaps].map(({ id }) => id)
        expect(new Set(list).size).toBe(list.length)
        expect(buildDocument.safeParse(at.home).error?.issues ?? []).toEqual([])
        // Whatever hangs from something hangs from something that is there.
        const swaps = new Set(at.home.swaps.map(({ id }) => id))
        expect(at.home.lines.every((line) => swaps.has(line.swapId))).toBe(true)
      }),
      { numRuns: 300 },
    )
  })
  it('whichever comes first, where they changed different records', () => {
    fc.assert(
      fc.property(fc.array(deed, { maxLength: 12 }), (deeds) => {
        const first = start()
        const half = (place: number) => {
          // Each has swaps of its own to work on.
          let document = first
          for (const one of deeds.filter((_, i) => i % 2 === place)) {
            const own = document.lines.filter((l) => l.swapId === first.swaps[place]!.id)
            const line = own[one.at % Math.max(1, own.length)]
            if (line)
              document = done(document, [{ op: 'put', kind: 'line', record: { ...line, mass: one.mass } }])
          }
          return document
        }
        const [one, two] = [half(0), half(1)]
        const bring = (list: readonly BuildDocument[]) =>
          list.reduce((home, mine) => done(home, mergeBuilds(first, home, mine).edits), first)
        const masses = (document: BuildDocument) => document.lines.map(({ id, mass }) => [id, mass])
        expect(masses(bring([one, two]))).toEqual(masses(bring([two, one])))
      }),
    )
  })
})
