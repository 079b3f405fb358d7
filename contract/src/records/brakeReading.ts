import * as z from 'zod'
import { discTemperature } from './brakes'
import { defineKind } from './defineKind'
import { field } from './field'
import * as f from './fields'

const lining = field(f.length('14 mm', 0, 0.05, '0 to 50 mm').nullable(), { unit: 'mm' })
const hot = field(discTemperature('420 °C').nullable(), { quantity: 'temperature' })
const bar = z
  .number('Type a pressure, such as 45 bar.')
  .min(0, 'Not below zero.')
  .max(3e7, 'Over 300 bar: check the unit.')

/** What was measured on brakes: linings, discs, and pressures in both lines at one moment. SI. */
export const brakeReading = defineKind({
  name: 'brakeReading',
  within: 'stage',
  isLogged: true,
  words: { one: 'brake readings', many: 'brake readings' },
  sortedBy: 'date',
  most: 2000,
  fields: {
    date: f.date,
    name: field(f.name, { label: 'Where and after what' }),
    /** Since the linings were new. */
    laps: field(z.int('Type laps.').min(0, 'Not below zero.').max(100_000, 'Beyond counting.').nullable(), {
      quantity: 'number',
      label: 'Laps on the pads',
      hint: 'Since new',
    }),
    linings: field(f.corners(lining), { label: 'Thinner lining' }),
    discs: field(f.corners(hot), { label: 'Disc, straight after' }),
    pressures: field(
      z
        .strictObject({
          front: field(bar, { quantity: 'pressure', unit: 'bar', label: 'Front line' }),
          rear: field(bar, { quantity: 'pressure', unit: 'bar', label: 'Rear line' }),
        })
        .nullable(),
      { label: 'Logged pressures' },
    ),
    note: f.note,
  },
})
