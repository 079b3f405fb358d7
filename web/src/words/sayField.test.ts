import { METRIC, US } from '@bold-ballast/core'
import { describe, expect, it } from 'vitest'
import { sayField, sayValue } from './sayField'

describe('sayField', () => {
  it('says fields in the builder’s words', () => {
    expect(sayField('plannedWheelPower')).toBe('planned wheel power')
    expect(sayField('fitted')).toBe('done')
  })
})

describe('sayValue', () => {
  it('says quantities in the units chosen', () => {
    expect(sayValue('line', 'mass', 19.0509, US, {})).toBe('42.0 lb')
    expect(sayValue('line', 'mass', 19.0509, METRIC, {})).toMatch(/^19\.\d+ kg$/)
    expect(sayValue('mark', 'value', 200e3, METRIC, { measure: 'wheelPower' })).toMatch(/^200(\.0)? kW$/)
  })
  it('says choices, yes and no, nothing, and lists', () => {
    expect(sayValue('line', 'kind', 'carried', METRIC, {})).toBe('carried over')
    expect(sayValue('dynoDay', 'kind', 'hub', METRIC, {})).toBe('Hub dyno')
    expect(sayValue('line', 'fitted', true, METRIC, {})).toBe('yes')
    expect(sayValue('line', 'sigma', null, METRIC, {})).toBe('nothing')
    expect(sayValue('pull', 'points', [1, 2, 3], METRIC, {})).toBe('3 points')
  })
  it('says places, corners and conditions part by part', () => {
    expect(sayValue('line', 'position', { x: 1.2, y: 0, z: 0.5 }, METRIC, {})).toBe('1200 0 500 mm')
    const corners = { frontLeft: 232, frontRight: 218, rearLeft: 204, rearRight: 226 }
    expect(sayValue('weighIn', 'corners', corners, METRIC, {})).toMatch(
      /^front left 232.* kg, front right 218/,
    )
    expect(sayValue('weighIn', 'condition', { fuel: 0.02, driver: 82 }, METRIC, {})).toMatch(
      /^fuel 20.* l, driver 82.* kg$/,
    )
  })
})
