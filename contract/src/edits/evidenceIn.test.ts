import { describe, expect, it } from 'vitest'
import { evidenceIn } from './evidenceIn'
import { removalOf } from './removalOf'
import { documentFrom, sampleBuild, sampleDynoDay, samplePull } from '../testing/sampleBuild'

const randomUUID = () => crypto.randomUUID()
const plain = documentFrom(sampleBuild(randomUUID))
const stageId = plain.stages[0]!.id
const day = sampleDynoDay(stageId, randomUUID())
const document = {
  ...plain,
  lines: plain.lines.map((line, i) => ({
    ...line,
    grade: i === 0 ? ('measured' as const) : ('guess' as const),
  })),
  dynoDays: [{ ...day, version: 1 }],
  pulls: [0, 1].map((i) => ({ ...samplePull(day.id, randomUUID(), i), version: 1 })),
}

describe('what a removal takes of what was measured', () => {
  it('counts it by kind, a line only where it was weighed', () =>
    expect(evidenceIn(document, removalOf(document, 'stage', stageId))).toEqual([
      '1 weighed line',
      '1 dyno day',
      '2 pulls',
    ]))
  it('is nothing where only what is planned goes, or nothing', () => {
    const guessed = removalOf(document, 'line', document.lines[1]!.id)
    expect(guessed).toHaveLength(1)
    expect(evidenceIn(document, guessed)).toEqual([])
    expect(evidenceIn(document, [])).toEqual([])
  })
})
