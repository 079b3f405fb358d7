import { describe, expect, it } from 'vitest'
import { metaOf } from '../records/field'
import { buildDocument, RECORDS, type BuildDocument } from '../records/kinds'
import { documentFrom, sampleBuild } from '../testing/sampleBuild'
import { editsFault, LOGGED_KINDS } from './editRights'
import { documentWithoutMoney, recordWithoutMoney, withMoneyOf } from './money'
import { login, newPassword } from './people'
import { may, RIGHTS, ROLES } from './rights'

describe('roles', () => {
  it('each may do what the next may, and more', () => {
    for (const right of RIGHTS) {
      const allowed = ROLES.map((one) => may(one, right))
      expect(allowed).toEqual([...allowed].sort((a, b) => Number(b) - Number(a)))
    }
    expect(RIGHTS.filter((right) => may('guest', right))).toEqual(['read'])
  })
  it('let helpers log what was measured and done, and nothing that is to be', () => {
    for (const plan of ['build', 'stage', 'swap', 'mark', 'optionSet', 'rulebook', 'branch'] as const)
      expect(LOGGED_KINDS).not.toContain(plan)
    for (const log of ['line', 'weighIn', 'pull', 'dynoDay', 'outing', 'service', 'seal'] as const)
      expect(LOGGED_KINDS).toContain(log)
  })
  it('say what is wrong, for the first edit that is', () => {
    const removal = { op: 'remove', kind: 'line', id: 'x', version: 1 } as const
    expect(editsFault('builder', [removal])).toBeNull()
    expect(editsFault('helper', [removal])).toContain('line')
    expect(editsFault('helper', [removal], () => true)).toBeNull()
    expect(editsFault('guest', [])).toContain('guest')
  })
})

describe('money', () => {
  const document: BuildDocument = documentFrom(sampleBuild(() => crypto.randomUUID()))

  it('taken out of a document leaves one of the same shape, and nothing twice', () => {
    const bare = documentWithoutMoney(document)
    expect(documentWithoutMoney(bare)).toEqual(bare)
    expect(buildDocument.safeParse(bare).error?.issues ?? []).toEqual([])
  })
  it('comes back to every record when it is written by somebody who doesn’t see it', () => {
    const swap = { ...document.swaps[0]!, cost: 1234 }
    const shown = recordWithoutMoney('swap', swap)!
    expect(shown.cost).toBeNull()
    expect(withMoneyOf('swap', { ...shown, name: 'Another' }, swap)).toEqual({ ...swap, name: 'Another' })
    expect(withMoneyOf('swap', shown, undefined).cost).toBeNull()
  })
  it('is known again in a list by name, and by its place where the name has changed', () => {
    const service = document.services[0]!
    const part = (name: string, price: number) => ({ name, quantity: 1, price })
    const before = { ...service, parts: [part('Filter', 11), part('Belt', 7)] }
    const typed = { ...service, parts: [part('Gasket', 0), part('Belt', 0), part('Filter', 0)] }
    expect(withMoneyOf('service', typed, before).parts.map((p) => p.price)).toEqual([0, 7, 11])
    const renamed = { ...service, parts: [part('Oil filter', 0), part('Belt', 0)] }
    expect(withMoneyOf('service', renamed, before).parts.map((p) => p.price)).toEqual([11, 7])
  })
  it('is not asked of a record that holds none', () => {
    const stage = document.stages[0]!
    expect(withMoneyOf('stage', stage, undefined)).toBe(stage)
    expect(metaOf(RECORDS.line.shape.mass).quantity).toBe('mass')
  })
})

describe('what somebody signs in with', () => {
  it('is written in one way', () => {
    expect(login.parse(' Rosa.Field@Example.org ')).toBe('rosa.field@example.org')
    for (const wrong of ['a', 'two words', '.dot', 'semi;colon', ''])
      expect(login.safeParse(wrong).success).toBe(false)
  })
  it('needs a password that is long rather than odd', () => {
    expect(newPassword.safeParse('three words will do').success).toBe(true)
    expect(newPassword.safeParse('Sh0rt!').success).toBe(false)
  })
})
