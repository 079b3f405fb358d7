import type { DynoDay, Pull } from '@bold-ballast/contract'
import { describe, expect, it } from 'vitest'
import { curveUnder, figuresUnder } from './pullFigures'

const hot = { temperature: 308.15, pressure: 95_000, humidity: 0 }
const day = (more: Partial<DynoDay> = {}) =>
  ({
    id: 'd',
    stageId: 's',
    date: '2026-01-01',
    dyno: 'D',
    kind: 'hub',
    repeatability: 0.01,
    fuel: '',
    ethanol: null,
    air: [{ time: null, ...hot }],
    sheetCorrection: 'observed',
    note: '',
    version: 1,
    ...more,
  }) as DynoDay
const pull = (more: Partial<Pull> = {}) =>
  ({
    id: 'p',
    dynoDayId: 'd',
    name: 'P',
    order: 0,
    grade: 'measured',
    standsForStage: false,
    points: [{ speed: 600, torque: 200 }],
    peakPower: null,
    peakPowerSpeed: null,
    peakTorque: null,
    peakTorqueSpeed: null,
    note: '',
    version: 1,
    ...more,
  }) as Pull

describe('figures of a pull', () => {
  it('keeps observed and corrected apart: J1349 at 35 °C and 95.0 kPa is × 1.0701', () => {
    expect(figuresUnder(pull(), day(), 'observed')!.power).toBe(120_000)
    expect(figuresUnder(pull(), day(), 'j1349')!.power! / 120_000).toBeCloseTo(1.0701, 3)
  })
  it('takes a corrected sheet back to what was observed, and on to another rule', () => {
    const sheet = day({ sheetCorrection: 'j1349' })
    expect(figuresUnder(pull(), sheet, 'observed')!.power! * 1.0701).toBeCloseTo(120_000, -2)
    expect(
      figuresUnder(pull(), sheet, 'iso1585')!.power! / figuresUnder(pull(), sheet, 'observed')!.power!,
    ).toBeCloseTo(1.0718, 3)
  })
  it('says nothing without the air', () => {
    const blind = day({ sheetCorrection: 'j607', air: [] })
    expect(figuresUnder(pull(), blind, 'observed')).toBeNull()
    expect(figuresUnder(pull(), blind, 'j607')!.power).toBe(120_000)
    expect(curveUnder(pull(), day({ air: [] }), 'j1349')).toBeNull()
  })
  it('corrects typed peaks, too', () => {
    const typed = pull({ points: null, peakPower: 100_000, peakTorque: 150, peakPowerSpeed: 650 })
    expect(figuresUnder(typed, day(), 'observed')).toEqual({
      power: 100_000,
      powerSpeed: 650,
      torque: 150,
      torqueSpeed: null,
    })
    expect(figuresUnder(typed, day(), 'j1349')!.torque).toBeCloseTo(160.5, 0)
    expect(curveUnder(typed, day(), 'observed')).toBeNull()
  })
})
