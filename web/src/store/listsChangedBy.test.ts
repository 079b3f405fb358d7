import { describe, expect, it } from 'vitest'
import { listsChangedBy } from './api'

describe('listsChangedBy', () => {
  it('asks anew for what is made of the kinds that were changed, and for nothing else', () => {
    expect(listsChangedBy([{ kind: 'line' }])).toEqual(['Parts', 'Claims', 'Work'])
    expect(listsChangedBy([{ kind: 'dynoDay' }, { kind: 'gearset' }])).toEqual(['Columns', 'Gearsets'])
    expect(listsChangedBy([{ kind: 'mark' }, { kind: 'course' }])).toEqual(['Courses'])
  })
  it('asks for all that names its build where that may have another name', () => {
    expect(listsChangedBy([{ kind: 'build' }])).toEqual([
      'Parts',
      'Claims',
      'Instruments',
      'Gearsets',
      'Courses',
      'Work',
    ])
  })
})
