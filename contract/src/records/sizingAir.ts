import * as z from 'zod'
import { field } from './field'
import * as f from './fields'

const barometer = field(f.between('Type a pressure, such as 101.3 kPa.', 50_000, 115_000, '50 to 115 kPa'), {
  quantity: 'pressure',
  unit: 'kPa',
})
const temperature = (such: string) =>
  field(f.between(`Type a temperature, such as ${such}.`, 223, 343, '−50 to 70 °C'), {
    quantity: 'temperature',
  })
export const outsideTemperature = temperature('20 °C')
const lost = (such: string, most: number, range: string) =>
  field(f.between(`Type a pressure, such as ${such}.`, 0, most, range), { quantity: 'pressure', unit: 'kPa' })
const rating = field(f.watts.nullable(), { hint: 'The maker’s figure, or empty' })

const intercooler = z.strictObject({
  effectiveness: field(f.share, { label: 'Effectiveness', hint: '60 to 80 %' }),
  pressureLoss: field(lost('8 kPa', 1e5, '0 to 100 kPa'), { label: 'Pressure lost in it' }),
  rating: field(rating, { label: 'Rated to, crank' }),
})

const islandPoint = z.strictObject({
  flow: field(f.between('Type a flow, such as 0.2 kg/s.', 0.001, 5, '0.001 to 5 kg/s'), {
    quantity: 'massFlow',
    label: 'Flow',
  }),
  ratio: field(f.between('Type a pressure ratio, such as 2.2.', 1, 8, '1 to 8'), {
    quantity: 'number',
    label: 'Pressure ratio',
  }),
  efficiency: field(f.between('Type a share, such as 74 %.', 0.3, 0.9, '30 to 90 %'), {
    quantity: 'share',
    label: 'Efficiency',
  }),
})
const compressor = z.strictObject({
  count: field(f.count(4, 'At most four.'), { label: 'How many' }),
  island: field(z.array(islandPoint).max(40, 'At most 40 points.'), { label: 'Map', many: 'points' }),
  /** The air that its map was drawn for. */
  reference: field(
    z.strictObject({
      pressure: field(barometer, { label: 'Its map is drawn for', hint: 'As the map says' }),
      temperature: field(temperature('15 °C'), { label: 'And air of' }),
    }),
    { label: 'Air of its map' },
  ),
  rating: field(rating, { label: 'Each rated to, crank' }),
})

/** The way of the air into the engine. */
export const air = z.strictObject({
  outside: field(
    z.strictObject({
      pressure: field(barometer, { label: 'Barometer' }),
      temperature: field(outsideTemperature, { label: 'Outside air' }),
    }),
    { label: 'Outside' },
  ),
  inletLoss: field(lost('2 kPa', 30_000, '0 to 30 kPa'), { label: 'Lost in the filter' }),
  intercooler: field(intercooler.nullable(), { label: 'Intercooler' }),
  compressor: field(compressor.nullable(), { label: 'Compressor' }),
})
