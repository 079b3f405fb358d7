import type { Measure } from '@bold-ballast/core'
import { describe, expect, it } from 'vitest'
import { stageNamed } from '@bold-ballast/contract'
import { sampleBuild } from '@bold-ballast/contract/sampleBuild'
import type { Asked } from '../measures/MeasureOfCar'
import { askedFor as ask, figuresOf, wholeCar as whole } from '../testing/wholeCar'

const newId = () => crypto.randomUUID()

describe('markFigures', () => {
  it('knows nothing of a car that nobody has typed, and does not fall over', () => {
    const { figures } = figuresOf(sampleBuild(newId))
    const unknown: Measure[] = [
      ...(['crossShare', 'meanPower', 'quarterMile', 'topSpeed', 'driftWindow', 'weakestLink'] as const),
      ...(['aeroBalance', 'classFails', 'price', 'hours', 'noise', 'lapTime'] as const),
    ]
    for (const measure of unknown) expect(figures(ask(measure)).value).toBeNull()
    expect(figures(ask('downforce', { speed: 50 })).value).toBeNull()
    expect(figures(ask('groundGap', { speed: 50 })).value).toBeNull()
    expect(figures(ask('frontShare'))).toMatchObject({ evidence: false })
    expect(figures(ask('mass')).value).not.toBeNull()
  })
  it('works out what gears, curve and sheet say', () => {
    const { figures } = figuresOf(whole().file)
    const value = (measure: Measure, more: Partial<Asked> = {}) => figures(ask(measure, more)).value!.value
    // Speed at the limiter in second: 740 rad/s over 1.9 · 4.1, on 300 mm.
    expect(value('topSpeed', { gear: 2 })).toBeCloseTo((740 * 0.3) / (1.9 * 4.1), 0)
    expect(value('topSpeed')).toBeGreaterThan(value('topSpeed', { gear: 2 }))
    expect(figures(ask('topSpeed', { gear: 9 })).value).toBeNull()
    expect(value('quarterMile')).toBeGreaterThan(10)
    expect(value('quarterMile')).toBeLessThan(20)
    // 1.6 × 0.3 m² · 0.8 at 50 m/s of standard air.
    expect(value('downforce', { speed: 50 })).toBeCloseTo((0.384 * 0.5 * 1.225 * 2500) / 9.80665, 1)
    expect(value('downforce', { speed: 100 })).toBeCloseTo(4 * value('downforce', { speed: 50 }), 6)
    expect(value('groundGap', { speed: 70 })).toBeLessThan(value('groundGap', { speed: 20 }))
    expect(value('meanPower')).toBeGreaterThan(0)
    expect(value('weakestLink')).toBeGreaterThan(0)
  })
  it('takes a mass to another condition, and the best lap of a place', () => {
    const { file, stageId } = whole()
    const id = newId()
    file.conditions.push({ id, name: 'Full', order: 0, fuel: 0.05, driver: 90, amounts: {} })
    const outing = (name: string, bestLap: number | null, planned = false) => ({
      id: newId(),
      stageId,
      name,
      date: '2026-05-01',
      planned,
      bestLap,
      quarterMile: null,
      topSpeed: null,
      setupId: null,
      courseId: null,
      cost: null,
      result: null,
      take: [],
      fuelCost: null,
      tyreCost: null,
      note: '',
      amounts: { hours: 0, laps: 5, launches: 0, trackDays: 1, heatCycles: 1 },
    })
    file.outings.push(
      outing('Loop, May', 72),
      outing('Loop, June', 71.5),
      outing('Pad', 40),
      outing('Loop', 1, true),
    )
    const { figures } = figuresOf(file)
    const shift = figures(ask('mass', { conditionId: id })).value!.value - figures(ask('mass')).value!.value
    expect(shift).toBeCloseTo((0.05 - file.build.reference.fuel) * 745 + 90, 6)
    expect(figures(ask('lapTime', { place: 'loop' })).value!.value).toBe(71.5)
    expect(figures(ask('lapTime', { place: 'nowhere' })).value).toBeNull()
  })
  it('a second stage without a pull of its own proves nothing by the first one’s', () => {
    const { file } = whole()
    file.stages.push({ ...stageNamed('Second', 1, newId()) })
    expect(figuresOf(file, 0).figures(ask('meanPower')).evidence).toBe(true)
    expect(figuresOf(file, 1).figures(ask('meanPower'))).toMatchObject({ evidence: false })
    expect(figuresOf(file, 1).figures(ask('meanPower')).value).not.toBeNull()
  })
  it('counts rules that fail, and says nothing while one can’t be told', () => {
    const { file, stageId } = whole()
    const rulebookId = newId()
    const rule = (measure: 'noise' | 'massWithDriver', limit: number) => ({
      id: newId(),
      measure,
      comparator: 'atMost' as const,
      limit,
      wording: '',
      clause: '',
    })
    file.rulebooks.push({
      id: rulebookId,
      name: 'Class',
      order: 0,
      date: '2026-01-01',
      edition: '',
      note: '',
      rules: [rule('massWithDriver', 500), rule('noise', 98)],
    })
    const scrutiny = {
      id: newId(),
      stageId,
      rulebookId,
      roofHeight: null,
      bumperFront: null,
      bumperRear: null,
      overallWidth: null,
      groundClearance: null,
      tyreWidth: null,
      cageOutside: null,
      cageWall: null,
      noise: null as number | null,
      note: '',
    }
    file.scrutinies.push(scrutiny)
    expect(figuresOf(file).figures(ask('classFails'))).toMatchObject({ value: { value: 1 }, evidence: false })
    scrutiny.noise = 120
    expect(figuresOf(file).figures(ask('classFails'))).toMatchObject({ value: { value: 2 }, evidence: true })
    expect(figuresOf(file).figures(ask('noise')).value!.value).toBe(120)
  })
})
