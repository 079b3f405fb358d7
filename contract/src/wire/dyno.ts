import * as z from 'zod'
import { dynoColumns } from '../records/dynoDay'

/** One moment of a dyno, as it is streamed. SI; `running` while a pull is made. */
export const dynoSample = z.strictObject({
  at: z.number(),
  running: z.boolean(),
  speed: z.number(),
  torque: z.number(),
  boost: z.number().nullable(),
  lambda: z.number().nullable(),
  coolant: z.number().nullable(),
  oilPressure: z.number().nullable(),
})

/** What is streamed first: which dyno this is, and what it can be tried with. */
export const dynoIs = z.strictObject({
  name: z.string(),
  engines: z.array(z.strictObject({ id: z.string(), name: z.string() })),
})

/** What the simulated dyno is told to do. */
export const dynoOrders = z
  .strictObject({
    engine: z.enum(['roadster', 'saloon', 'estate'], 'Choose one of the engines.'),
    pull: z.literal(true),
    stop: z.literal(true),
    connected: z.boolean(),
  })
  .partial()

/** How files of a dyno were read last, in whichever build; null when none was. */
export const columnsAnswer = z.strictObject({ columns: dynoColumns.nullable() })
