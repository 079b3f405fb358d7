import { type BuildSummary } from '@bold-ballast/contract'
import { summarise } from '@bold-ballast/model'
import { documentFrom, sampleBuild } from '@bold-ballast/contract/sampleBuild'
import { describe, expect, it } from 'vitest'
import { chooseBuilds } from './chooseBuilds'

const named = (name: string, more: Partial<BuildSummary> = {}): BuildSummary => ({
  ...summarise(documentFrom(sampleBuild(() => crypto.randomUUID()))),
  name,
  ...more,
})
const weighing = (name: string, kg: number) => {
  const build = named(name)
  const [stage] = build.stages
  const mass = { ...stage!.standing.mass, value: kg }
  return { ...build, stages: [{ ...stage!, standing: { ...stage!.standing, mass } }] }
}
const names = (builds: readonly BuildSummary[]) => builds.map((b) => b.name)

describe('chooseBuilds', () => {
  const builds = [
    named('Wren 10', { car: 'Hatch' }),
    named('Köbolt', { discipline: 'drift' }),
    named('wren 9'),
  ]
  it('finds all words, wherever they stand, whatever their case and marks', () => {
    expect(names(chooseBuilds(builds, 'kobolt', 'newest'))).toEqual(['Köbolt'])
    expect(names(chooseBuilds(builds, ' DRIFT bought ', 'newest'))).toEqual(['Köbolt'])
    expect(names(chooseBuilds(builds, 'wren hatch', 'newest'))).toEqual(['Wren 10'])
    expect(chooseBuilds(builds, 'wren kobolt', 'newest')).toEqual([])
    expect(chooseBuilds(builds, '', 'newest')).toEqual([...builds].reverse())
  })
  it('orders names as a person would, and leaves the list as it was', () => {
    expect(names(chooseBuilds(builds, '', 'name'))).toEqual(['Köbolt', 'wren 9', 'Wren 10'])
    expect(names(builds)).toEqual(['Wren 10', 'Köbolt', 'wren 9'])
  })
  it('puts the lightest first, and what can’t be worked out last', () => {
    const cars = [
      { ...weighing('broken', 1), fault: { why: 'cantBeSummarised' as const } },
      weighing('heavy', 1300),
      weighing('light', 900),
    ]
    expect(names(chooseBuilds(cars, '', 'lightest'))).toEqual(['light', 'heavy', 'broken'])
    // None of them has any power: they stay as they were.
    expect(names(chooseBuilds(cars, '', 'strongest'))).toEqual(['broken', 'heavy', 'light'])
  })
})
