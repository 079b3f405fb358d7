import {
  bareSchema,
  isArray,
  isKeyed,
  isObject,
  isTuple,
  isUnion,
  KINDS,
  metaOf,
  RECORDS,
  REGISTRY,
  type Kind,
} from '@bold-ballast/contract'
import { METRIC, US } from '@bold-ballast/core'
import { describe, expect, it } from 'vitest'
import type * as z from 'zod'
import { describeValue } from './describeValue'
import { differingFields } from './differingFields'
import { fieldLabel } from './fieldLabel'
import { formatMoney } from './formatMoney'
import { recordName } from './recordName'

const metric = { units: METRIC, currency: 'EUR' }

/** What is not known how to say, by its path. */
function unsaid(schema: z.core.$ZodType, path: string): string[] {
  const meta = metaOf(schema)
  if (meta.whole) return []
  const bare = bareSchema(schema)
  const { type } = bare._zod.def
  if (isObject(bare))
    return Object.entries(bare._zod.def.shape).flatMap(([name, inner]) => {
      const said = metaOf(inner)
      const at = `${path}.${name}`
      const nameless = said.label || said.isHidden || PARTS.has(name) ? [] : [`${at} has no label`]
      return [...nameless, ...unsaid(inner, at)]
    })
  if (isArray(bare)) return unsaid(bare._zod.def.element, `${path}[]`)
  if (isTuple(bare)) return bare._zod.def.items.flatMap((item, i) => unsaid(item, `${path}[${i}]`))
  if (isKeyed(bare)) return unsaid(bare._zod.def.valueType, `${path}{}`)
  if (isUnion(bare)) {
    const objects = bare._zod.def.options.filter((o) => isObject(bareSchema(o)))
    if (objects.length > 0) return objects.flatMap((o, i) => unsaid(o, `${path}|${i}`))
    return meta.quantity ? [] : [`${path} has no quantity`]
  }
  if (type === 'number') return meta.quantity ? [] : [`${path} has no quantity`]
  if (type === 'enum') {
    const values = Object.values((bare as z.core.$ZodEnum)._zod.def.entries).map(String)
    return values.filter((v) => !meta.words?.[v]).map((v) => `${path} has no word for ${v}`)
  }
  if (meta.link && !(meta.link in REGISTRY)) return [`${path} links to ${meta.link}`]
  return []
}
/** Points of curves and logs are read as columns of their table, which says what they are. */
const PARTS: ReadonlySet<string> = new Set(['time', 'speed', 'front', 'rear', 'held'])

describe('every field of every kind', () => {
  it.each(KINDS)('of a %s is known how to be said', (kind: Kind) => {
    expect(REGISTRY[kind].words.one).not.toBe('')
    expect(unsaid(RECORDS[kind], kind)).toEqual([])
  })
})

describe('fieldLabel', () => {
  it('says fields in the builder’s words', () => {
    expect(fieldLabel('stage', 'plannedWheelPower')).toBe('planned wheel power')
    expect(fieldLabel('line', 'fitted')).toBe('done')
    expect(fieldLabel('line', 'sigma')).toBe('± one standard uncertainty')
  })
})

describe('describeValue', () => {
  it('says quantities in the units chosen', () => {
    expect(describeValue('line', 'mass', 19.0509, { units: US }, {})).toBe('42.0 lb')
    expect(describeValue('line', 'mass', 19.0509, metric, {})).toMatch(/^19\.\d+ kg$/)
    expect(describeValue('mark', 'value', 200e3, metric, { measure: 'wheelPower' })).toMatch(/^200(\.0)? kW$/)
    expect(describeValue('mark', 'value', 12_500, metric, { measure: 'price' })).toBe('12,500 EUR')
  })
  it('says what has no unit as the number it is: a gear, a speed, a count', () => {
    expect(describeValue('dynoDay', 'gear', 3, metric, {})).toBe('3')
    expect(describeValue('mark', 'speed', 200 / 3.6, metric, {})).toBe('200.0 km/h')
    expect(describeValue('component', 'rating', 450, metric, { kind: 'torque' })).toBe('450.0 N·m')
    expect(
      describeValue('component', 'replacement', { name: 'Six-speed', rating: 650 }, metric, {
        kind: 'torque',
      }),
    ).toBe('replaced by Six-speed, its rating 650.0 N·m')
  })
  it('says choices, yes and no, nothing, and lists', () => {
    expect(describeValue('line', 'kind', 'carried', metric, {})).toBe('carried over')
    expect(describeValue('dynoDay', 'kind', 'hub', metric, {})).toBe('Hub dyno')
    expect(describeValue('line', 'fitted', true, metric, {})).toBe('yes')
    expect(describeValue('line', 'sigma', null, metric, {})).toBe('nothing')
    expect(describeValue('pull', 'points', [1, 2, 3], metric, {})).toBe('3 points')
    expect(describeValue('sheetStock', 'thicknesses', [0.01, 0.02], metric, {})).toBe('10 mm; 20 mm')
  })
  it('says places, corners and conditions part by part', () => {
    expect(describeValue('line', 'position', { x: 1.2, y: 0, z: 0.5 }, metric, {})).toBe('1200 0 500 mm')
    const corners = { frontLeft: 232, frontRight: 218, rearLeft: 204, rearRight: 226 }
    expect(describeValue('weighIn', 'readings', { method: 'fourPads', corners }, metric, {})).toMatch(
      /^how Four pads at once, corners front left 232.* kg, front right 218/,
    )
    expect(describeValue('weighIn', 'condition', { fuel: 0.02, driver: 82 }, metric, {})).toMatch(
      /^fuel 20.* l, driver 82.* kg$/,
    )
  })
  it('names what an id stands for', () => {
    const nameOf = (kind: string, id: string) => (kind === 'component' && id === 'a' ? 'Gearbox' : null)
    expect(describeValue('component', 'replaces', 'a', { ...metric, nameOf }, {})).toBe('Gearbox')
    expect(describeValue('component', 'replaces', 'b', { ...metric, nameOf }, {})).toBe('another component')
    expect(
      describeValue('condition', 'amounts', { c: 0.5 }, { ...metric, nameOf: () => 'Coolant' }, {}),
    ).toBe('Coolant 50.00 %')
  })
})

describe('differingFields', () => {
  it('goes down to the figure that was changed, and leaves out what only the program needs', () => {
    const drive = { finalDrive: 4.1, shiftTime: 0.3, layout: null }
    expect(
      differingFields(
        'drivetrain',
        { id: 'a', version: 1, drive },
        { id: 'a', version: 2, drive: { ...drive, finalDrive: 4.3 } },
        metric,
      ),
    ).toEqual([{ label: 'drive, final drive', before: '4.1', after: '4.3' }])
  })
  it('says the whole where the other version has none of it, or was read in another way', () => {
    const [whole] = differingFields('line', { said: null }, { said: { mass: 5, grade: 'guess' } }, metric)
    expect(whole).toEqual({
      label: 'said before',
      before: 'nothing',
      after: 'mass 5.0 kg, known by guess',
    })
    const axles = { method: 'axles', front: 450, rear: 400 }
    const [read] = differingFields(
      'weighIn',
      { readings: { method: 'fourPads', corners: {} } },
      { readings: axles },
      metric,
    )
    expect(read).toMatchObject({ label: 'readings', after: expect.stringMatching(/front axle 450/) })
  })
})

describe('recordName', () => {
  it('is the name, or what tells it from the others', () => {
    expect(recordName('swap', { name: 'Seats', date: '2026-05-17' }, metric)).toBe('Seats')
    expect(recordName('dynoDay', { dyno: 'Hub cell', date: '2026-05-17' }, metric)).toBe(
      'Hub cell, 2026-05-17',
    )
    expect(recordName('weighIn', { date: '2026-05-17' }, metric)).toBe('2026-05-17')
    expect(recordName('setup', { order: 4, name: 'Longmere, dry' }, metric)).toBe('4, Longmere, dry')
    expect(recordName('setup', { order: 5, name: '', date: '2026-05-17' }, metric)).toBe('5, 2026-05-17')
    expect(recordName('mark', { measure: 'mass' }, metric)).toBe('Mass')
    expect(recordName('sizing', {}, metric)).toBe('')
  })
})

describe('formatMoney', () => {
  it('writes cents only where there are some', () => {
    expect(formatMoney(1250, 'EUR')).toBe('1,250 EUR')
    expect(formatMoney(12.5, '')).toBe('12.50')
  })
})
