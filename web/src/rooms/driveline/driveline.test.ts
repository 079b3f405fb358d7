import { sampleComponent } from '@bold-ballast/contract/sampleBuild'
import { METRIC, US } from '@bold-ballast/core'
import { describe, expect, it } from 'vitest'
import { componentCsv, componentRows } from './links/componentRows'
import { outingRows } from './life/outingRows'
import { asShelf, radiusOf, type ShelfSet } from './useShelf'

const newId = () => crypto.randomUUID()
const place = { stageId: newId(), order: 3 }

describe('componentRows', () => {
  it('reads names with ratings in any unit, and lives', () => {
    const text = [
      'component,rated in,shaft,rating,life in,expected life,spread (%)',
      'Gearbox,Torque,into the gearbox,330 lb·ft,,,',
      'Turbo,power,,320 kW,,,',
      'Pads,,,,hours,6,20',
    ].join('\n')
    const { records, bad } = componentRows(text, place, METRIC, newId)
    expect(bad).toEqual([])
    expect(records.map((r) => [r.name, r.kind, r.shaft, r.order])).toEqual([
      ['Gearbox', 'torque', 'gearbox', 3],
      ['Turbo', 'power', null, 4],
      ['Pads', 'torque', null, 5],
    ])
    expect(records[0]!.rating).toBeCloseTo(447.4, 1)
    expect(records[2]!.life).toMatchObject({ measure: 'hours', expected: 21_600, spread: 0.2 })
  })
  it('names each bad row: a rating on an unknown shaft, one without rating or life, one that is no figure', () => {
    const text = [
      'component,shaft,rating',
      'Box,at the moon,400',
      'Nothing,,',
      'Joint,propshaft,strong',
      'Good,propshaft,1500',
    ].join('\n')
    const { records, bad } = componentRows(text, place, METRIC, newId)
    expect(records.map((r) => r.name)).toEqual(['Good'])
    expect(bad.map((b) => b.line)).toEqual([2, 3, 4])
    expect(bad[0]!.problem).toMatch(/Choose the shaft/)
    expect(bad[1]!.problem).toMatch(/Type a rating, or a life/)
    expect(bad[2]!.problem).toMatch(/“strong” is not a torque/)
  })
  it('takes no word that it doesn’t know for another: row, column and the known words are said', () => {
    const { records, bad } = componentRows(
      'component,rated in,shaft,rating,known by,life in,expected life\nBox,toque,gearbox,400,,,\nPads,,,,,lapps,30\nHub,torque,gearbox,90,gess,,',
      place,
      METRIC,
      newId,
    )
    expect(records).toEqual([])
    expect(bad.map((b) => b.line)).toEqual([2, 3, 4])
    expect(bad[0]!.problem).toMatch(/rated in: “toque” is not known\. Known are .*“Torque”/)
    expect(bad[1]!.problem).toMatch(/life in: “lapps” is not known\. Known are .*“laps/)
    expect(bad[2]!.problem).toMatch(/known by: “gess” is not known\. Known are “guess”, “claim”/)
  })
  it('reads back what the room writes, in either system', () => {
    const own = {
      ...sampleComponent(place.stageId, newId(), 0),
      version: 1,
      name: 'Box, five-speed',
      mass: 32.5,
      life: {
        measure: 'hours' as const,
        expected: 72_000,
        spread: 0.4,
        usedBefore: 3600,
        since: '2026-03-01',
      },
    }
    for (const units of [METRIC, US]) {
      const { records, bad } = componentRows(componentCsv([own], units), place, units, newId)
      expect(bad).toEqual([])
      expect(records[0]).toMatchObject({ name: own.name, mass: 32.5, life: own.life, shaft: 'gearbox' })
      expect(records[0]!.rating).toBeCloseTo(own.rating!, 1)
    }
  })
})

describe('outingRows', () => {
  it('reads a season, and names a day that is none', () => {
    const { records, bad } = outingRows(
      'date,name,planned,hours,laps\n2026-04-01,Quarry Hill,no,2.5,30\nMay,Loop,no,1,2\n2026-12-01,Final,yes,90 min,',
      place.stageId,
      newId,
    )
    expect(records.map((r) => [r.name, r.planned, r.amounts.hours, r.amounts.laps])).toEqual([
      ['Quarry Hill', false, 9000, 30],
      ['Final', true, 5400, 0],
    ])
    expect(bad).toEqual([{ line: 3, problem: expect.stringContaining('year-month-day') }])
  })
})

describe('outingRows, strictly', () => {
  it('takes no word for no that it doesn’t know', () => {
    const { records, bad } = outingRows('date,name,planned\n2026-04-01,Loop,maybe', place.stageId, newId)
    expect(records).toEqual([])
    expect(bad).toEqual([{ line: 2, problem: 'planned: “maybe” is not known. Known are “yes”, “no”' }])
  })
})

describe('asShelf', () => {
  const one = (name: string, set: ShelfSet['set']): ShelfSet => ({ id: newId(), name, set, build: null })
  const tyre = { kind: 'tyre' as const, size: '265/35R18', rollOut: null, diameter: null, growth: 0.005 }
  it('takes every set to where it is tried', () => {
    const shelf = asShelf([
      one('Box', { kind: 'gearbox', ratios: [3, 2] }),
      one('Drives', { kind: 'finalDrive', ratios: [4.1, 4.44] }),
      one('Quick change', { kind: 'between', ratios: [1, 1.09] }),
      one('Tyre', tyre),
    ])
    expect(shelf.gearboxes).toEqual([{ name: 'Box', ratios: [3, 2] }])
    expect(shelf.finalDrives.map((f) => f.name)).toEqual(['final drive 4.1', 'final drive 4.44'])
    expect(shelf.between.map((b) => b.name)).toEqual(['Quick change 1.00', 'Quick change 1.09'])
    expect(shelf.tyres[0]!.radius).toBeCloseTo(0.3117, 4)
  })
  it('knows a tyre by its roll-out before its size', () =>
    expect(radiusOf({ ...tyre, rollOut: 2 })).toBeCloseTo(2 / (2 * Math.PI), 9))
})
