import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { formFromText, formText } from './formText'

describe('formText', () => {
  it('keeps a part that was just opened, and one whose figure can’t be read, apart from one that is closed', () => {
    const values = {
      rating: NaN,
      mass: undefined,
      life: null,
      parts: [undefined, NaN, null, { lift: undefined }],
    }
    const back = formFromText(formText(values)) as typeof values
    expect(back).toEqual(values)
    expect('mass' in back).toBe(true)
    expect('lift' in (back.parts[3] as object)).toBe(true)
  })
  it('gives back whatever a form holds', () => {
    const leaf = fc.oneof(
      fc.string(),
      fc.boolean(),
      fc.constant(null),
      fc.constant(undefined),
      fc.constant(NaN),
      fc.double({ noNaN: true, noDefaultInfinity: true }).map((n) => n + 0),
    )
    const name = fc.constantFrom('a', 'b', 'c', 'name', 'list')
    const values = fc.dictionary(name, fc.oneof(leaf, fc.array(leaf), fc.dictionary(name, leaf)), {
      noNullPrototype: true,
    })
    fc.assert(
      fc.property(values, (form) => {
        expect(formFromText(formText(form))).toEqual(form)
      }),
    )
  })
})
