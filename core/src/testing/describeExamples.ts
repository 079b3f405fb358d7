import { join } from 'node:path'
import { describe, expect, it } from 'vitest'
import { asSaid } from './asSaid'
import { examplesBelow, expectedOf, runExample } from './runExamples'

type Values = Readonly<Record<string, unknown>>

/**
 * Runs the examples of all comments below a folder, and holds what comes out against what they say.
 *
 * @param shared what all of them may call
 * @param values by file, what its examples call by a name of their own
 */
export function describeExamples(
  folder: string,
  shared: object,
  values: Readonly<Record<string, Values>>,
): void {
  const examples = examplesBelow(folder)
  describe('the examples of comments', () => {
    it.each(examples)('$file: $code', async ({ file, code, says }) => {
      const own = (await import(/* @vite-ignore */ join(folder, `${file}.ts`))) as object
      const result = runExample(code, { ...shared, ...own, ...values[file] })
      const expected = expectedOf(says)
      if (expected) expect(result).toEqual(asSaid(expected.value, says))
      else expect(result).not.toBeUndefined()
    })
    it('have no values left over that none of them calls', () => {
      const unused = Object.entries(values).flatMap(([file, named]) => {
        const text = examples.filter((e) => e.file === file).map((e) => e.code)
        return Object.keys(named)
          .filter((name) => !text.some((code) => new RegExp(`\\b${name}\\b`).test(code)))
          .map((name) => `${file} ${name}`)
      })
      expect(unused).toEqual([])
    })
  })
}
