import { describe, expect, it } from 'vitest'
import { readJobLine } from './readJobLine'
import { toMake, withAnswers, type NameAnswer } from './withAnswers'

const line = readJobLine('weld feet 6h Bo after moon landing needs gold leaf', {
  jobs: [],
  parts: [],
  people: [],
})
const answer = (name: string, as: NameAnswer['as']): NameAnswer => ({ name, as, id: `id of ${name}` })

describe('names that weren’t found', () => {
  it('become who works on it and what it waits for', () => {
    const answers = [answer('Bo', 'person'), answer('Moon landing', 'job'), answer('gold leaf', 'part')]
    expect(withAnswers(line, answers)).toMatchObject({
      name: 'Weld feet',
      who: ['Bo'],
      after: [{ id: 'id of Moon landing', name: 'Moon landing' }],
      parts: [{ id: 'id of gold leaf', name: 'Gold leaf' }],
      unknown: [],
    })
    expect(toMake([line, line], answers, 'part')).toEqual([{ id: 'id of gold leaf', name: 'Gold leaf' }])
    expect(toMake([line], [answer('something else', 'job')], 'job')).toEqual([])
  })
  it('are a part of the job’s name where somebody says so', () =>
    expect(withAnswers(line, [answer('Bo', 'words')])).toMatchObject({ name: 'Weld feet Bo', who: [] }))
  it('stay unknown where nobody has answered', () => expect(withAnswers(line, [])).toEqual(line))
})
