import { describe, expect, it } from 'vitest'
import { commonFault } from './commonPasswords'

describe('passwords that are tried first', () => {
  it.each([
    'passwordpassword',
    'password123456',
    'aaaaaaaaaaaa',
    'qwertyuiopas',
    '098765432109',
    'abcabcabcabc',
    'rosa.field1234',
    'BoldBallast2026!',
  ])('%s is one', (password) => expect(commonFault(password, 'rosa.field')).not.toBeNull())
  it.each(['three words will do', 'xK9#vLq2!mZr', 'les vélos rouillent'])('%s is none', (password) =>
    expect(commonFault(password, 'rosa.field')).toBeNull(),
  )
})
