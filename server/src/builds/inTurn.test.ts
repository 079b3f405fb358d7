import { describe, expect, it } from 'vitest'
import { inTurn } from './inTurn'

describe('inTurn', () => {
  it('does the work of one key one after the other, and that of others beside it', async () => {
    const done: string[] = []
    const work = (name: string, ms: number) => async () => {
      await new Promise((wait) => setTimeout(wait, ms))
      done.push(name)
    }
    await Promise.all([inTurn('a', work('a1', 30)), inTurn('a', work('a2', 0)), inTurn('b', work('b1', 0))])
    expect(done).toEqual(['b1', 'a1', 'a2'])
  })
  it('goes on after work that failed, which fails for who asked for it alone', async () => {
    const failed = inTurn('c', async () => Promise.reject(new Error('no')))
    const next = inTurn('c', async () => 'yes')
    await expect(failed).rejects.toThrow('no')
    await expect(next).resolves.toBe('yes')
  })
})
