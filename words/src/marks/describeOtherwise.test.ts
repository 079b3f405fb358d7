import { documentFrom, sampleBuild } from '@bold-ballast/contract/sampleBuild'
import { otherwiseRead } from '@bold-ballast/model'
import { describe, expect, it } from 'vitest'
import { sealedFiguresOf } from '../proof/sealedFiguresOf'
import { describeOtherwise, describeReckoning } from './describeOtherwise'

const newId = () => crypto.randomUUID()

/** A car that nobody weighed, with a mark that its guessed mass met before. */
function guessedCar(value: number) {
  const file = sampleBuild(newId)
  const [stage] = file.stages
  if (!stage) throw new Error('a build has a stage')
  file.weighIns = []
  file.lines = []
  file.swaps = []
  file.build.baseGrade = 'guess'
  file.marks = [
    {
      id: newId(),
      stageId: stage.id,
      measure: 'mass',
      comparator: 'atMost',
      value,
      tolerance: 0,
      weight: 1,
      conditionId: null,
      gear: null,
      place: '',
      part: '',
      speed: null,
    },
  ]
  return { document: documentFrom(file), stageId: stage.id, file }
}

describe('describeOtherwise', () => {
  it('says of a guess that met a mark what it was, what it is and why', () => {
    const { document } = guessedCar(9000)
    expect(otherwiseRead(document).map(({ was }) => was)).toEqual(['met'])
    const [said] = describeOtherwise(document)
    expect(said?.what).toMatch(/^Stage 1, .*: mass, at most 9,000 kg$/)
    expect(said?.was).toMatch(/kg, met$/)
    expect(said?.is).toMatch(/^points to met/)
    expect(said?.why).toContain('only what was measured does')
  })
  it('says nothing where nothing had a verdict', () => {
    const near = guessedCar(sampleBuild(newId).build.baseMass).document
    expect(describeOtherwise(near)).toEqual([])
  })
  it('sets a signed sheet beside what its records say today, and is silent where both say the same', () => {
    const { file, stageId } = guessedCar(9000)
    const figures = sealedFiguresOf(documentFrom(file), stageId)
    const sealWith = (verdict: 'met' | 'cantTell') => ({
      id: newId(),
      stageId,
      at: '2026-05-03T10:00:00Z',
      author: 'Bea',
      note: '',
      reopened: null,
      figures: {
        ...figures,
        marks: figures.marks.map((mark) => ({
          ...mark,
          verdict,
          says: verdict === 'met' ? 'met' : mark.says,
        })),
      },
    })
    const signed = documentFrom({ ...file, seals: [sealWith('met')] })
    // Said once, though the sheet and the guess both tell it.
    const said = describeOtherwise(signed)
    expect(said).toHaveLength(1)
    expect(said[0]?.was).toMatch(/met, as it was signed$/)
    const same = documentFrom({ ...file, seals: [sealWith('cantTell')] })
    expect(describeOtherwise(same).every(({ was }) => !was.includes('signed'))).toBe(true)
  })
})

describe('describeReckoning', () => {
  it('tells only what a build has', () => {
    const { document } = guessedCar(9000)
    const said = describeReckoning(document)
    expect(said.length).toBeGreaterThan(0)
    expect(said.join(' ')).not.toContain('coast-down')
    expect(describeReckoning({ ...document, marks: [], pulls: [], runs: [], courses: [] })).toEqual([])
  })
})
