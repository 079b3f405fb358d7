import * as z from 'zod'
import * as f from './fields'

export const LOAD_KINDS = ['fluid', 'person', 'thing'] as const

/** How full, or whether aboard, by the load's id: 0 to 1. What isn't named stays as it was as bought. */
export const amounts = z.record(f.id, f.share)

/** What the car is stated or weighed for: fuel in m³, driver in kg (0 for none), and whatever else is aboard. */
export const condition = z.strictObject({ fuel: f.volume, driver: f.mass, amounts })

/** Something that is aboard or not: coolant, oil, a passenger, a spare wheel. */
export const loadRecord = z
  .strictObject({
    id: f.id,
    name: f.name,
    kind: z.enum(LOAD_KINDS, 'Choose a fluid, a person or a thing.'),
    /** Of a fluid, kg/m³. */
    density: z
      .number('Type a density, such as 1050 kg/m³.')
      .min(100, 'Below 100 kg/m³ is no fluid: check the unit.')
      .max(20_000, 'Over 20,000 kg/m³: check the unit.')
      .nullable(),
    /** Of a fluid's vessel, m³. */
    capacity: f.volume.nullable(),
    /** Of a person or a thing, kg. */
    mass: f.mass.nullable(),
    position: f.position,
    /** How full, or whether aboard, when the car was weighed as bought. */
    base: f.share,
    order: f.order,
  })
  .refine((l) => l.kind !== 'fluid' || (l.density !== null && l.capacity !== null), {
    path: ['capacity'],
    message: 'A fluid needs its density and how much its vessel holds.',
  })
  .refine((l) => l.kind === 'fluid' || l.mass !== null, { path: ['mass'], message: 'Type what it weighs.' })

/** A condition with a name, to be chosen with one click: dry, race start, as the class weighs it. */
export const conditionRecord = condition.extend({ id: f.id, name: f.name, order: f.order })
