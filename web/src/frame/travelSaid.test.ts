import { type RecordChange } from '@bold-ballast/contract'
import { wordingOf } from '@bold-ballast/words'
import { describe, expect, it } from 'vitest'
import { sampleDocument } from '../testing/testBackend'
import { travelSaid } from './travelSaid'

const document = sampleDocument()
const line = document.lines[0]!
const step = { buildId: document.build.id, label: 'Change it', done: [], inverse: [] }
const wording = wordingOf(document)
const said = (changes: readonly RecordChange[], way: 'undo' | 'redo' = 'undo') =>
  travelSaid(way, { step, became: 'done', changes }, wording)
const change = (before: RecordChange['before'], after: RecordChange['after']): RecordChange => ({
  kind: 'line',
  id: line.id,
  before,
  after,
})

describe('what undo says', () => {
  it('names the figure that it put back', () =>
    expect(said([change({ ...line, name: 'Bench', mass: 1.5 }, { ...line, name: 'Bench', mass: 19 })])).toBe(
      'Undone: Change it. “Bench”, mass of one piece: 1.5 kg → 19.0 kg.',
    ))
  it('says what is gone again and what is there again', () => {
    expect(said([change({ ...line, name: 'Bench' }, null)])).toBe('Undone: Change it. “Bench” is gone again.')
    expect(said([change(null, { ...line, name: 'Bench' })], 'redo')).toBe(
      'Done again: Change it. “Bench” is there again.',
    )
  })
  it('counts what is too much to say in passing', () => {
    const many = Array.from({ length: 5 }, () => change({ ...line, name: 'Bench' }, null))
    expect(said(many)).toMatch(/; and 2 more\.$/)
  })
  it('says why a step wasn’t taken', () => {
    const why = (became: 'away' | 'overtaken') => travelSaid('undo', { step, became, changes: [] }, wording)
    expect(why('overtaken')).toBe('Not undone: Change it. Somebody has changed it since.')
    expect(why('away')).toMatch(/isn’t here yet/)
  })
})
