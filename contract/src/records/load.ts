import * as z from 'zod'
import { LOAD_KIND, LOAD_KINDS } from './choices'
import { defineKind } from './defineKind'
import { choice, field } from './field'
import * as f from './fields'

/** Something that is aboard or not: coolant, oil, a passenger, a spare wheel. */
export const load = defineKind({
  name: 'load',
  within: 'build',
  words: { one: 'load', many: 'loads' },
  sortedBy: 'order',
  most: 200,
  fields: {
    name: f.name,
    kind: choice(LOAD_KINDS, LOAD_KIND, 'It is', 'Choose a fluid, a person or a thing.'),
    /** Of a fluid, kg/m³. */
    density: field(
      z
        .number('Type a density, such as 1050 kg/m³.')
        .min(100, 'Below 100 kg/m³ is no fluid: check the unit.')
        .max(20_000, 'Over 20,000 kg/m³: check the unit.')
        .nullable(),
      { quantity: 'density', label: 'Density' },
    ),
    /** Of a fluid's vessel, m³. */
    capacity: field(f.volume.nullable(), { label: 'Holds' }),
    /** Of a person or a thing, kg. */
    mass: field(f.mass.nullable(), { label: 'Weighs' }),
    position: field(f.position, { label: 'Place' }),
    /** How full, or whether aboard, when the car was weighed as bought. */
    base: field(f.share, { label: 'As bought' }),
    order: f.order,
  },
  check: (record) =>
    record
      .refine((l) => l.kind !== 'fluid' || (l.density !== null && l.capacity !== null), {
        path: ['capacity'],
        message: 'A fluid needs its density and how much its vessel holds.',
      })
      .refine((l) => l.kind === 'fluid' || l.mass !== null, {
        path: ['mass'],
        message: 'Type what it weighs.',
      }),
})
