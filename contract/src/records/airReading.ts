import * as z from 'zod'
import { field } from './field'
import * as f from './fields'

const temperature = z
  .number('Type a temperature, such as 19 °C.')
  .min(223, 'Below −50 °C: check the unit.')
  .max(343, 'Above 70 °C: check the unit.')
export const barometer = z
  .number('Type what the barometer reads, such as 101.2 kPa.')
  .min(50_000, 'Below 50 kPa: check the unit.')
  .max(115_000, 'Above 115 kPa: is that gauge pressure?')

/** The air as somebody read it. */
export const airReading = z.strictObject({
  temperature: field(temperature, { quantity: 'temperature', label: 'Air temperature' }),
  pressure: field(barometer, {
    quantity: 'pressure',
    label: 'Barometer',
    unit: 'kPa',
    hint: 'As read there; not for sea level',
  }),
  humidity: field(f.share, { label: 'Relative humidity' }),
})

export const timeOfDay = field(
  z
    .string('Write a time as 14:30.')
    .regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'Write a time as 14:30.')
    .nullable(),
  { isTime: true },
)
