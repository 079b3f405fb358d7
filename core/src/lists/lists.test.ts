import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { itemAt } from './itemAt'
import { itemWhere } from './itemWhere'
import { valueAt } from './valueAt'

describe('itemAt', () => {
  it('is Array.at wherever there is an item, and says so where there is none', () =>
    fc.assert(
      fc.property(fc.array(fc.integer()), fc.integer({ min: -12, max: 12 }), (list, index) => {
        if (index < list.length && index >= -list.length) expect(itemAt(list, index)).toBe(list.at(index))
        else expect(() => itemAt(list, index)).toThrow(RangeError)
      }),
    ))
  it('keeps an item that is nothing, and refuses places between', () => {
    expect(itemAt([null], 0)).toBeNull()
    expect(() => itemAt([1, 2], 0.5)).toThrow('no item 0.5 in a list of 2')
    expect(() => itemAt([1, 2], Number.NaN)).toThrow(RangeError)
  })
})

describe('itemWhere', () => {
  it('is the first that is as wanted, also when it is nothing', () => {
    expect(itemWhere([3, 5, 7], (n) => n > 3)).toBe(5)
    expect(itemWhere([1, undefined], (n) => n === undefined)).toBeUndefined()
  })
  it('says that none is', () => expect(() => itemWhere([1, 2], (n) => n > 2)).toThrow('None of 2'))
})

describe('valueAt', () => {
  it('keeps a value that is nothing, and names the key that is missing', () => {
    expect(valueAt(new Map([['rear', null]]), 'rear')).toBeNull()
    expect(() => valueAt(new Map([['rear', 1]]), 'front')).toThrow('nothing under front')
  })
})
