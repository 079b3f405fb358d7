import { isRising } from '@bold-ballast/core'
import * as z from 'zod'
import { choice, field } from './field'
import * as f from './fields'

const pressure = field(f.between('Type a pressure, such as 3 bar.', 1e4, 3e6, '0.1 to 30 bar'), {
  quantity: 'pressure',
  unit: 'bar',
})
const flow = field(f.between('Type a flow, such as 1,000 cc/min.', 1e-8, 5e-3, '1 cc/min to 300 l/min'), {
  quantity: 'volumeFlow',
})
const voltage = field(f.between('Type a voltage, such as 13.5 V.', 5, 60, '5 to 60 V'), {
  quantity: 'voltage',
})

const injectors = z.strictObject({
  count: field(f.count(24), { label: 'Injectors' }),
  flow: field(flow, { label: 'Flow of each', unit: 'cc/min' }),
  ratedPressure: field(pressure, { label: 'Measured at' }),
  deadTime: field(f.between('Type a time, such as 0.0009 s.', 0, 0.01, '0 to 10 ms'), {
    quantity: 'time',
    unit: 'ms',
    label: 'Dead time',
    hint: 'At the running voltage',
  }),
  maxDuty: field(f.between('Type a share, such as 85 %.', 0.1, 1, '10 to 100 %'), {
    quantity: 'share',
    label: 'Open at most',
  }),
})

const curve = z
  .strictObject({
    voltage: field(voltage, { label: 'Its sheet was made at' }),
    points: field(
      z
        .array(
          z.strictObject({
            pressure: field(pressure, { label: 'Against' }),
            flow: field(flow.or(z.literal(0)), { quantity: 'volumeFlow', label: 'It gives', unit: 'l/h' }),
          }),
        )
        .min(2, 'A curve needs two points or more.')
        .max(20, 'At most 20 points.'),
      { label: 'Curve', many: 'points' },
    ),
  })
  .refine(({ points }) => isRising(points.map((p) => p.pressure)), {
    path: ['points'],
    message: 'Write the points from the lowest pressure to the highest, each once.',
  })

const pump = z.strictObject({
  name: f.name,
  count: field(f.count(6, 'At most six.'), { label: 'How many of it' }),
  curve: field(curve, { label: 'Curve' }),
})

/** Injectors, pumps and the line between them. */
export const fuel = z.strictObject({
  injectors: field(injectors, { label: 'Injectors' }),
  pumps: field(z.array(pump).min(1, 'At least one pump.').max(4, 'At most four kinds of pump.'), {
    label: 'Pumps',
  }),
  voltage: field(voltage, { label: 'Voltage at the pumps', hint: 'Under load' }),
  railPressure: field(pressure, { label: 'Rail pressure' }),
  regulator: choice(
    ['referenced', 'fixed'],
    { referenced: 'follows the manifold', fixed: 'fixed, to the outside air' },
    'Regulator',
    'Choose whether it follows the manifold.',
  ),
  lineBore: field(f.between('Type a diameter, such as 8 mm.', 0.002, 0.04, '2 to 40 mm'), {
    quantity: 'length',
    unit: 'mm',
    label: 'Line, inside',
  }),
  lineLength: field(f.between('Type a length, such as 4 m.', 0, 20, '0 to 20 m'), {
    quantity: 'length',
    unit: 'm',
    label: 'Line, length',
  }),
  spare: field(f.between('Type a share, such as 15 %.', 0, 0.6, '0 to 60 %'), {
    quantity: 'share',
    label: 'Kept in hand',
  }),
})
