import * as z from 'zod'
import * as f from '../records/fields'
import { gearset } from '../records/gearset'

/** Every set on the workshop's shelf, with the build that it was noted for. */
export const gearsetList = z.array(
  z.strictObject({ id: f.id, name: f.name, set: gearset.record.shape.set, build: f.name, buildId: f.id }),
)
export type GearsetOnShelf = z.infer<typeof gearsetList>[number]
