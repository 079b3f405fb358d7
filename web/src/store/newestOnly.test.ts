import { describe, expect, it } from 'vitest'
import { newestOnly } from './newestOnly'

describe('questions of which only the newest is asked', () => {
  it('asks what came last once the one before is answered, and nothing between', async () => {
    const open: (() => void)[] = []
    const answered: string[] = []
    const ask = newestOnly(
      (n: number) => new Promise<string>((done) => open.push(() => done(`${n}!`))),
      (n, answer) => answered.push(`${n} ${answer}`),
    )
    const all = ask(1)
    void ask(2)
    void ask(3)
    expect(open).toHaveLength(1)
    open[0]!()
    await Promise.resolve().then(() => Promise.resolve())
    await new Promise((done) => setTimeout(done))
    expect(open).toHaveLength(2)
    open[1]!()
    await all
    expect(answered).toEqual(['1 1!', '3 3!'])
  })

  it('asks on after one that went wrong', async () => {
    const answered: number[] = []
    const ask = newestOnly(
      (n: number) => (n === 1 ? Promise.reject(new Error('no')) : Promise.resolve(n)),
      (n) => answered.push(n),
    )
    await expect(ask(1)).rejects.toThrow('no')
    await ask(2)
    expect(answered).toEqual([2])
  })
})
