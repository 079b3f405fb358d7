import { RECORDS } from '@bold-ballast/contract'
import { arbitraryOf } from '@bold-ballast/contract/testing/arbitraryOf'
import { METRIC, US } from '@bold-ballast/core'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { columnsOf } from './columnsOf'
import { csvList } from './csvList'
import { csvOf, unguarded } from './csvText'

describe('csvText', () => {
  it('makes formulas plain text and back, whatever stands before them', () =>
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom("'", '=', '+', '-', '@', ' ', '\t', 'a', '＝', '1'), { maxLength: 6 }),
        (signs) => {
          const text = signs.join('')
          const [, written = ''] = csvOf(['n'], [[text]]).split(/\n([^]*)\n$/)
          const cell = written.startsWith('"') ? written.slice(1, -1).replace(/""/g, '"') : written
          expect(cell).not.toMatch(/^[\s]*[=+\-@＝]/)
          expect(unguarded(cell)).toBe(text)
        },
      ),
    ))
})

describe('columnsOf', () => {
  it('calls a column by its label, with the unit', () => {
    const columns = columnsOf(RECORDS.outing, METRIC)
    expect(Object.entries(columns).map(([path, { title }]) => [path, title])).toEqual([
      ['name', 'where and what'],
      ['date', 'date'],
      ['planned', 'still to come'],
      ['amounts.hours', 'ran, running (h)'],
      ['amounts.laps', 'ran, laps or runs'],
      ['amounts.launches', 'ran, launches, clutch kicks'],
      ['amounts.trackDays', 'ran, track days'],
      ['amounts.heatCycles', 'ran, heat cycles'],
      ['bestLap', 'best lap (s)'],
      ['quarterMile', 'standing 402 m (s)'],
      ['topSpeed', 'highest speed (km/h)'],
      ['cost', 'entry and the like'],
      ['fuelCost', 'fuel'],
      ['tyreCost', 'tyres used up'],
      ['result.place', 'result, place'],
      ['result.of', 'result, of'],
      ['result.points', 'result, points'],
      ['note', 'notes'],
    ])
  })
  it('writes and reads any kind without a word more', () =>
    fc.assert(
      fc.property(arbitraryOf(RECORDS.course), fc.constantFrom(METRIC, US), (course, units) => {
        const list = csvList(RECORDS.course, columnsOf(RECORDS.course, units))
        // Lists within a record, and its line, have no columns.
        const { id, order, sections, line, corners, sectors, stretches } = course
        const { records, bad } = list.read(list.write([course], { units }), { units }, ({ fields }) => ({
          id,
          order,
          sections,
          line,
          corners,
          sectors,
          stretches,
          width: null,
          note: '',
          ...fields,
        }))
        expect(bad).toEqual([])
        expect(records).toEqual([course])
      }),
    ))
})

describe('csvList', () => {
  const list = csvList(RECORDS.outing, columnsOf(RECORDS.outing, METRIC))
  const read = (text: string) =>
    list.read(text, { units: METRIC }, ({ fields }) => ({ id: crypto.randomUUID(), ...fields }))
  it('says the title, what was typed and what is known', () => {
    const { bad } = read('where and what,date,still to come\nLoop,2026-04-01,perhaps')
    expect(bad[0]!.line).toBe(2)
    expect(bad[0]!.problem).toMatch(/still to come: “perhaps” is not known\. Known are “yes”, “no”/)
  })
  it('reads what others separate by semicolons or tabs, with the unit that the title says', () => {
    for (const sign of [';', '\t']) {
      const text = ['date', 'where and what', 'best lap (s)'].join(sign)
      const { bad } = read(`${text}\n${['2026-04-01', 'Loop', 'soon'].join(sign)}`)
      expect(bad[0]!.problem).toMatch(/best lap \(s\): “soon” is not a time/)
    }
  })
  it('has no column for a field that there isn’t', () =>
    expect(() => csvList(RECORDS.outing, { moon: { title: 'moon', reads: /moon/ } })).toThrow(TypeError))
})
