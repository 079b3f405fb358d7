import { describe, expect, it } from 'vitest'
import { oneAhead } from './oneAhead'

async function* numbers(asked: number[], end: { told: boolean }, fails = Infinity): AsyncGenerator<number> {
  try {
    for (let i = 0; i < 5; i += 1) {
      asked.push(i)
      if (i === fails) throw new Error('broken')
      yield i
    }
  } finally {
    end.told = true
  }
}

describe('oneAhead', () => {
  it('gives the same values in the same order, and asks for the next once it is told to', async () => {
    const asked: number[] = []
    const found: number[] = []
    for await (const { value, goOn } of oneAhead(numbers(asked, { told: false }))) {
      found.push(value)
      expect(asked.length).toBe(value + 1)
      // Twice is once, and whoever doesn't say so gets the next one all the same.
      if (value % 2 === 1) continue
      goOn()
      goOn()
      await new Promise((done) => setTimeout(done))
      expect(asked.length).toBe(Math.min(5, value + 2))
    }
    expect(found).toEqual([0, 1, 2, 3, 4])
  })
  it('throws in turn, after what came before', async () => {
    const found: number[] = []
    const read = async () => {
      for await (const { value, goOn } of oneAhead(numbers([], { told: false }, 2))) {
        goOn()
        found.push(value)
      }
    }
    await expect(read()).rejects.toThrow('broken')
    expect(found).toEqual([0, 1])
  })
  it('tells its source when nobody wants more', async () => {
    const end = { told: false }
    for await (const { value, goOn } of oneAhead(numbers([], end))) {
      goOn()
      if (value === 1) break
    }
    expect(end.told).toBe(true)
  })
})
