import { sampleElement } from '@bold-ballast/contract/sampleBuild'
import { elementAreas, SHEETS, type CoastFit } from '@bold-ballast/core'
import { describe, expect, it } from 'vitest'
import { bodyByCoast, coastVerdict } from './coastVerdict'
import { panelUnderAir } from './panelUnderAir'
import type { Panelled } from './panelFigures'
import type { RideResult } from './rideResults'
import { elementByRide, nearestRide } from './ridesLearned'

const element = (more: object = {}) => ({ ...sampleElement('s', crypto.randomUUID()), version: 1, ...more })
const fit = (value: number, sigma: number) =>
  ({ dragArea: { value, sigma }, rolling: { value: 0.014, sigma: 0.0002 } }) as unknown as CoastFit

describe('coastVerdict', () => {
  it('adds what no scatter of the line shows, and agrees within two uncertainties', () => {
    const near = coastVerdict(fit(0.8, 0.01), 0.82)
    expect(near.dragArea.sigma).toBeCloseTo(Math.hypot(0.01, 0.024), 12)
    expect(near.off).toBeCloseTo(-0.02, 12)
    expect(near.agrees).toBe(true)
    expect(coastVerdict(fit(0.8, 0.01), 0.6).agrees).toBe(false)
  })
  it('says nothing about a sheet without drag', () =>
    expect(coastVerdict(fit(0.8, 0.01), 0)).toMatchObject({ off: null, agrees: false }))
})

describe('bodyByCoast', () => {
  it('gives the body what the others don’t drag: the sheet then says what was measured', () => {
    const body = element({ kind: 'body', span: 1.7, chord: 1.2, drag: 0.35 })
    const others = 0.06
    const sheet = elementAreas(body).dragArea + others
    const next = bodyByCoast(
      body,
      sheet,
      { value: 0.9, sigma: 0.03 },
      { name: 'Airfield', date: '2026-05-01' },
    )
    expect(elementAreas(next).dragArea + others).toBeCloseTo(0.9, 3)
    expect(next.grade).toBe('measured')
    expect(next.from).toBe('Coast-down, Airfield, 2026-05-01: C_D·A 0.900 ±0.030 m² for the whole car')
  })
})

describe('rides', () => {
  const ride = (angle: number | null, wingId: string | null = 'w') => ({ angle, wingId }) as RideResult
  const wing = element({ id: 'w', wing: { angle: 0.17, holes: { from: 0, to: 0.3, step: 0.02 } } })
  it('take the one nearest to how the wing is set; none of none', () => {
    const rides = [ride(0.1), ride(0.18), ride(0.3)]
    expect(nearestRide(rides, [wing])).toBe(rides[1])
    expect(nearestRide([], [wing])).toBeNull()
  })
  it('multiply what was corrected before, within what a record may hold', () => {
    const learned = { lift: 1.2, drag: 1.1, liftSpread: 0.08, dragSpread: 0.0001 }
    const once = elementByRide(element({ correction: null, from: 'typed' }), learned, 'Log')
    expect(once.correction).toEqual({ lift: 1.2, drag: 1.1, liftSpread: 0.08, dragSpread: 0.01 })
    expect(once.from).toBe('Log; before it: typed')
    expect(elementByRide(once, learned, 'Log').correction).toMatchObject({ lift: 1.44, drag: 1.21 })
  })
})

describe('panelUnderAir', () => {
  const panel = {
    sheet: 'plywood',
    stockId: null,
    thickness: 0.012,
    lay: 'along',
    spanAlong: 0.5,
    spanAcross: 0.4,
    overhang: 0.08,
    rearWidth: null,
    under: 0.2,
    cornerRadius: 0,
    struts: null,
  }
  const splitter = element({ kind: 'splitter', span: 1.6, chord: 0.15, panel }) as unknown as Panelled
  const sheets = (['plywood', 'aluminium'] as const).flatMap((name) =>
    name in SHEETS ? [{ name, material: SHEETS[name as 'plywood'] }] : [],
  )
  const loads = { gust: 1.25, kerb: 1.2, wanted: 2 }
  const at = (q: number) => panelUnderAir(splitter, sheets, (s) => s.name === 'plywood', loads, q, 40)

  it('loads with the pressure of the air, and with gusts and kerbs on top', () => {
    expect(at(2000).steady).toBeCloseTo(2 * at(1000).steady, 9)
    expect(at(1000).pressure).toBeCloseTo(at(1000).even * 1.5, 9)
  })
  it('takes the lightest sheet that holds and bends no more than its own does', () => {
    const { lightest, allowed, rows, own } = at(1500)
    expect(rows).toContainEqual(own)
    for (const r of rows.filter((r) => r.safety >= 2 && Math.max(r.bends, r.droops) <= allowed))
      expect(r.mass).toBeGreaterThanOrEqual(lightest!.mass)
  })
  it('never names a sandwich that is thinner than practice trusts at that speed', () => {
    const fluted = [...sheets, { name: 'corrugated' as const, material: SHEETS.corrugated }]
    for (const [speed, least] of [
      [40, 0.006],
      [55, 0.01],
    ] as const) {
      const { rows, lightest } = panelUnderAir(
        splitter,
        fluted,
        (s) => s.name === 'plywood',
        loads,
        100,
        speed,
      )
      expect(rows.filter((r) => r.sheet.name === 'corrugated')).toHaveLength(2)
      expect(lightest).toMatchObject({ sheet: { name: 'corrugated' }, thickness: least })
    }
  })
  it('weighs on it as a person does at a speed that goes with the root of the load', () =>
    expect(at(4000).personSpeed).toBeCloseTo(at(1000).personSpeed / 2, 9))
})
