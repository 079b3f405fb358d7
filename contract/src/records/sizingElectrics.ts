import { USES } from '@bold-ballast/core'
import * as z from 'zod'
import { USE } from './choices'
import { choice, field } from './field'
import * as f from './fields'

const amps = field(f.between('Type a current, such as 12 A.', 0, 2000, '0 to 2,000 A'), {
  quantity: 'current',
})

/** Outputs of a controller that are alike. */
const outputs = z.strictObject({
  name: f.name,
  count: field(f.count(64, 'At most 64.', 'Type how many outputs.'), { label: 'How many' }),
  limit: field(amps, { label: 'Each for good' }),
  inrushLimit: field(amps, { label: 'At the start' }),
})

export const circuit = z.strictObject({
  id: f.id,
  name: field(f.name, { label: 'Circuit', hint: 'Such as fuel pump' }),
  current: field(
    amps.refine((a) => a > 0, 'A load draws something.'),
    { label: 'Draws' },
  ),
  inrush: field(amps, { label: 'At the start', hint: 'Motors take three to five times as much' }),
  duty: field(f.share, { label: 'Share of the time' }),
  use: choice(USES, USE, 'When', 'Choose when it draws.'),
  length: field(f.between('Type a length, such as 3.5 m.', 0.01, 30, '1 cm to 30 m'), {
    quantity: 'length',
    unit: 'm',
    label: 'One way',
  }),
  returnWire: field(z.boolean(), { label: 'The return is a wire, not the shell' }),
  wireArea: field(f.between('Type an area, such as 2.5 mm².', 1e-7, 2e-4, '0.1 to 200 mm²').nullable(), {
    quantity: 'area',
    unit: 'mm²',
    label: 'Wire, as built',
    hint: 'Empty: as advised',
  }),
  fuse: field(amps.nullable(), { label: 'Fuse, as built', hint: 'Empty: as advised' }),
  channel: field(f.name.nullable(), { label: 'Output' }),
})

/** What feeds the circuits, and the circuits. */
export const electrics = z
  .strictObject({
    voltage: field(f.between('Type a voltage, such as 13.8 V.', 5, 60, '5 to 60 V'), {
      quantity: 'voltage',
      label: 'Voltage, running',
    }),
    allowedDrop: field(f.between('Type a share, such as 3 %.', 0.001, 0.3, '0.1 to 30 %'), {
      quantity: 'share',
      label: 'A wire may lose',
    }),
    alternatorIdle: field(amps, { label: 'Alternator at idle' }),
    alternatorSpeed: field(amps, { label: 'Alternator at speed' }),
    /** A·s */
    batteryCharge: field(f.between('Type a capacity, such as 20 Ah.', 3600, 3.6e6, '1 to 1,000 Ah'), {
      quantity: 'charge',
      label: 'Battery',
    }),
    batteryMass: field(f.mass, { label: 'It weighs' }),
    classes: field(z.array(outputs).max(12, 'At most 12 classes.'), {
      label: 'Outputs',
      many: 'classes of output',
    }),
    circuits: field(z.array(circuit).max(200, 'At most 200 circuits.'), {
      label: 'Circuits',
      many: 'circuits',
    }),
  })
  .refine((e) => new Set(e.classes.map((c) => c.name)).size === e.classes.length, {
    path: ['classes'],
    message: 'Each class has a name of its own.',
  })
