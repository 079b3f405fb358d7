import { FORMAT_VERSION } from '@bold-ballast/contract'
import 'fake-indexeddb/auto'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { deviceStore } from '../store/device'
import { AnswerKeeper, type AnswerToKeep } from './AnswerKeeper'

/** Random letters: of these, packing takes nothing off. */
const noise = (bytes: number): string =>
  Array.from(crypto.getRandomValues(new Uint8Array(bytes)), (byte) =>
    byte.toString(16).padStart(2, '0'),
  ).join('')
const answer = (key: string, at: number, body: unknown = { says: key }): AnswerToKeep => ({
  key,
  personId: 'rosa',
  workshopId: null,
  endpoint: 'build',
  buildId: key,
  at,
  body,
})
const keysOf = async (keeper: AnswerKeeper) => (await keeper.list()).map(({ key }) => key).sort()

describe('what a device keeps of what the server said', () => {
  let keeper: AnswerKeeper
  beforeEach(async () => {
    keeper = new AnswerKeeper(deviceStore)
    await keeper.forget(() => true)
  })

  it('comes back as it was, with when it was so and the version of its records', async () => {
    expect(await keeper.keep(answer('a', 100, { mass: 2.5, name: 'Türhaut' }))).toBe(true)
    const found = await keeper.recall('a')
    expect(found?.body).toEqual({ mass: 2.5, name: 'Türhaut' })
    expect(found?.answer).toMatchObject({ at: 100, formatVersion: FORMAT_VERSION })
    await keeper.confirm('a', 500)
    expect((await keeper.recall('a'))?.answer.at).toBe(500)
    expect(await keeper.recall('b')).toBeNull()
  })

  it('is the last that was said', async () => {
    await keeper.keep(answer('a', 100, 1))
    await keeper.keep(answer('a', 200, 2))
    expect((await keeper.recall('a'))?.body).toBe(2)
    expect(await keysOf(keeper)).toEqual(['a'])
  })

  it('takes no more room than it may: what hasn’t been wanted for longest goes', async () => {
    const small = new AnswerKeeper(deviceStore, 8000, 4000)
    for (const [i, key] of ['a', 'b', 'c'].entries()) await small.keep(answer(key, i, noise(1800)))
    await small.recall('a')
    await small.keep(answer('d', 9, noise(1800)))
    // Hexadecimal letters are packed to half: each takes a little over 1,800 bytes, and four have room.
    expect(await keysOf(small)).toEqual(['a', 'b', 'c', 'd'])
    await small.keep(answer('e', 10, noise(1800)))
    expect(await keysOf(small)).toEqual(['a', 'c', 'd', 'e'])
    const taken = (await small.list()).reduce((sum, { size }) => sum + size, 0)
    expect(taken).toBeLessThanOrEqual(8000)
    expect(await small.recall('b')).toBeNull()
  })

  it('doesn’t keep one that would push out all others, nor an old state of it', async () => {
    const small = new AnswerKeeper(deviceStore, 8000, 4000)
    await small.keep(answer('a', 1, 'small'))
    await small.keep(answer('b', 2, 'small'))
    expect(await small.keep(answer('a', 3, noise(6000)))).toBe(false)
    expect(await keysOf(small)).toEqual(['b'])
  })

  it('is read without a word being written: a full device gives back what it knows', async () => {
    await keeper.keep(answer('a', 1, 'known'))
    const full = vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError')
    })
    expect((await keeper.recall('a'))?.body).toBe('known')
    expect(full).not.toHaveBeenCalled()
    full.mockRestore()
  })

  it('makes room build by build, the oldest first, and never of one that is looked at', async () => {
    const open = new AnswerKeeper(deviceStore, 8000, 4000, (buildId) => buildId === 'b1')
    for (const [i, id] of ['b1', 'b2', 'b3'].entries())
      await open.keep({ ...answer(id, i, noise(1800)), endpoint: 'build', buildId: id })
    await open.keep({ ...answer('list', 8), endpoint: 'builds', buildId: null })
    await open.keep({ ...answer('b4', 9, noise(2600)), endpoint: 'build', buildId: 'b4' })
    expect(await keysOf(open)).toEqual(['b1', 'b3', 'b4', 'list'])
    expect([await open.makeRoom(), await keysOf(open)]).toEqual([true, ['b1', 'b4', 'list']])
    expect([await open.makeRoom(), await keysOf(open)]).toEqual([true, ['b1', 'list']])
    expect(await open.makeRoom()).toBe(false)
  })

  it('forgets what it is told to, with what was said', async () => {
    await keeper.keep(answer('a', 1))
    await keeper.keep(answer('b', 2))
    await keeper.forget(({ key }) => key === 'a')
    expect(await keysOf(keeper)).toEqual(['b'])
    expect(await (await deviceStore()).getAllKeys('bodies')).toEqual(['b'])
  })
})
