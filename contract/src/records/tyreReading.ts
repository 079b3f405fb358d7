import * as z from 'zod'
import { barometer, timeOfDay } from './airReading'
import { defineKind } from './defineKind'
import { field } from './field'
import * as f from './fields'
import { gauge } from './setup'

const celsius = z
  .number('Type a temperature, such as 78 °C.')
  .min(233, 'Below −40 °C: check the unit.')
  .max(473, 'Over 200 °C no tyre lives: check the unit.')
/** What a needle reads across a tread. */
export const tread = z.strictObject({
  inside: field(celsius, { quantity: 'temperature', label: 'Inside' }),
  middle: field(celsius, { quantity: 'temperature', label: 'Middle' }),
  outside: field(celsius, { quantity: 'temperature', label: 'Outside' }),
})

/** Pressures and tread temperatures of four tyres, before and straight after a run. SI. */
export const tyreReading = defineKind({
  name: 'tyreReading',
  within: 'stage',
  isLogged: true,
  words: { one: 'tyre readings', many: 'tyre readings' },
  sortedBy: 'date',
  most: 2000,
  fields: {
    date: f.date,
    time: field(timeOfDay, { label: 'Time' }),
    name: field(f.name, { label: 'Where and what run' }),
    setupId: f.linkTo('setup', 'Set-up sheet'),
    /** Of the air in the tyre when it was cold, K. */
    air: field(celsius, { quantity: 'temperature', label: 'Tyres cold at' }),
    /** Around the tyre, Pa; null for sea level. */
    barometer: field(barometer.nullable(), {
      quantity: 'pressure',
      label: 'Barometer',
      unit: 'kPa',
      hint: 'Empty: sea level',
    }),
    cold: field(f.corners(field(gauge.nullable(), { quantity: 'pressure' })), { label: 'Cold' }),
    hot: field(f.corners(field(gauge.nullable(), { quantity: 'pressure' })), { label: 'Hot' }),
    treads: field(f.corners(tread.nullable()), { label: 'Treads' }),
    note: f.note,
  },
})
