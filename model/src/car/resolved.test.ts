import type { Component, Sizing } from '@bold-ballast/contract'
import { sampleComponent } from '@bold-ballast/contract/sampleBuild'
import { describe, expect, it } from 'vitest'
import { carriedAt } from './carriedAt'
import { fittedAt } from './fittedAt'

describe('carriedAt', () => {
  const stages = [{ id: 'a' }, { id: 'b' }, { id: 'c' }]
  const sizing = (stageId: string) => ({ stageId }) as Sizing
  it('is the stage’s own or the newest before it, never a later one', () => {
    expect(carriedAt([sizing('a'), sizing('b')], stages, 'c')?.stageId).toBe('b')
    expect(carriedAt([sizing('a'), sizing('b')], stages, 'a')?.stageId).toBe('a')
    expect(carriedAt([sizing('c')], stages, 'b')).toBeNull()
  })
})

describe('fittedAt', () => {
  const stages = [{ id: 'a' }, { id: 'b' }]
  const component = (id: string, stageId: string, replaces: string | null = null) =>
    ({ ...sampleComponent(stageId, id), replaces, version: 1 }) as Component
  it('has what is fitted by then, less what is replaced by then', () => {
    const all = [component('box', 'a'), component('clutch', 'a'), component('box two', 'b', 'box')]
    expect(fittedAt(all, stages, 'a').map((c) => c.id)).toEqual(['box', 'clutch'])
    expect(fittedAt(all, stages, 'b').map((c) => c.id)).toEqual(['box two', 'clutch'])
  })
})
