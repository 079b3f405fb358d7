import * as z from 'zod'
import * as f from '../records/fields'
import { instrument } from '../records/instrument'

/** Every scale and dyno of the workshop, the newest record of each name, with the build that it was noted for. */
export const instrumentList = z.array(
  z.strictObject({ instrument: instrument.record, build: f.name, buildId: f.id }),
)
export type InstrumentOfWorkshop = z.infer<typeof instrumentList>[number]
