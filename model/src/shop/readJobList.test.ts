import { describe, expect, it } from 'vitest'
import { readJobList } from './readJobList'

const known = {
  jobs: [{ id: 'e', name: 'Exhaust off', state: 'toDo' as const }],
  parts: [],
  people: ['Ines'],
}
const idOf = (place: number) => `new ${place + 1}`

describe('a list of jobs, as somebody wrote it down', () => {
  it('loses its dashes, numbers and boxes, and its empty lines', () => {
    const list = readJobList(
      '1. hood off 1h\n\n- [ ] engine out 6h Ines\r\n• 2 h seats out\n* [x] carpets',
      known,
      idOf,
    )
    expect(list.map(({ line }) => line.name)).toEqual(['Hood off', 'Engine out', 'Seats out', 'Carpets'])
    expect(list.map(({ line }) => line.workTime)).toEqual([3600, 21_600, 7200, null])
  })
  it('links to what stands above it, and to what is there', () => {
    const list = readJobList('drop subframe 3h after exhaust\nbushes pressed 2h after subframe', known, idOf)
    expect(list.map(({ line }) => line.after.map(({ id }) => id))).toEqual([['e'], ['new 1']])
  })
  it('says what nothing is called, and takes the job all the same', () => {
    const [one] = readJobList('bleed brakes after the moon', known, idOf)
    expect(one?.line).toMatchObject({ name: 'Bleed brakes', unknown: [{ kind: 'job', name: 'the moon' }] })
  })
})
