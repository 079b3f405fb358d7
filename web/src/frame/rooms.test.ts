import { describe, expect, it } from 'vitest'
import { addressedStage, roomPath } from './rooms'

describe('addressedStage', () => {
  it('reads back the stage of a room’s address, and of none where there is none', () => {
    expect(addressedStage(roomPath('b1', 's1', 'swaps?view=forecast'))).toBe('s1')
    expect(addressedStage('/builds/b1')).toBeNull()
    expect(addressedStage('/')).toBeNull()
  })
})
