import type { Outing } from '@bold-ballast/contract'
import { documentFrom } from '@bold-ballast/contract/sampleBuild'
import { sigmaOf } from '@bold-ballast/core'
import { describe, expect, it } from 'vitest'
import { foldBuild } from '../ledger/foldBuild'
import { wholeCar } from '../testing/wholeCar'
import { carAt } from './carAt'
import { launchesOf } from './launches'
import { lifeAt } from './lifeAt'

const { file, stageId } = wholeCar()
const document = documentFrom(file)
const { ledger, summaries } = foldBuild(document)
const car = carAt(document, stageId)

describe('launchesOf', () => {
  const launches = launchesOf(car.geared!, summaries[0]!, 20, 0.02)
  it('tries every 500 rpm that the curve has, and holds the best against all', () => {
    const rpm = launches.tried.map((l) => Math.round((l.launchSpeed * 30) / Math.PI))
    expect(rpm.every((n) => n % 500 === 0)).toBe(true)
    expect(rpm[0]).toBe(2000)
    for (const l of launches.tried)
      if (l.time !== null) expect(launches.best!.time).toBeLessThanOrEqual(l.time + 0.0051)
  })
  it('is in doubt by at least its model', () =>
    expect(sigmaOf(launches.doubts)).toBeGreaterThan(0.02 * launches.best!.time))
  it('knows no force of a clutch that nobody rated', () => {
    const { drive } = car.geared!
    const unrated = launchesOf(
      { ...car.geared!, drive: { ...drive, clutchTorque: null } },
      summaries[0]!,
      20,
      0.02,
    )
    expect(unrated.clutchForce).toBeNull()
    const rated = launchesOf(
      { ...car.geared!, drive: { ...drive, clutchTorque: 400 } },
      summaries[0]!,
      20,
      0.02,
    )
    expect(rated.clutchForce).toBeCloseTo((400 * rated.overall) / rated.starter.rollingRadius, 9)
  })
})

describe('lifeAt', () => {
  it('counts days that were driven, not those that are planned, of this stage and before', () => {
    const part = {
      ...document.components[0]!,
      life: { measure: 'trackDays' as const, expected: 10, spread: 0.3, usedBefore: 0, since: null },
    }
    const outing = (date: string, planned: boolean): Outing => ({
      id: crypto.randomUUID(),
      version: 1,
      stageId,
      name: 'Strip',
      date,
      planned,
      topSpeed: null,
      setupId: null,
      courseId: null,
      cost: null,
      result: null,
      take: [],
      fuelCost: null,
      tyreCost: null,
      amounts: { hours: 1, laps: 0, launches: 3, trackDays: 2, heatCycles: 1 },
      note: '',
      bestLap: null,
      quarterMile: null,
    })
    const view = { services: [], outings: [outing('2026-05-01', false), outing('2026-06-01', true)] }
    const life = lifeAt(view, ledger.stages, ledger.stages[0]!, [part])
    expect(life.next?.date).toBe('2026-06-01')
    expect(life.rows[0]!.item.used).toBe(view.outings[0]!.amounts.trackDays)
    expect(
      lifeAt(
        { ...view, outings: [{ ...view.outings[0]!, stageId: 'later' }] },
        ledger.stages,
        ledger.stages[0]!,
        [part],
      ).outings,
    ).toEqual([])
  })
})
