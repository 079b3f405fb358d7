import * as z from 'zod'
import { track, wheelbase } from './build'
import { defineKind } from './defineKind'
import { field } from './field'
import * as f from './fields'

const cut = z.strictObject({
  at: field(f.metres, { label: 'Cut at, behind the front axle', hint: 'As it was before' }),
  by: field(f.length('80 mm', -1, 1, '−1000 to 1000 mm'), {
    label: 'Shorter by',
    hint: 'Below zero where it gets longer',
  }),
  /** Of the car as bought, kg; null takes what its rear axle carried. */
  behind: field(f.mass.nullable(), {
    label: 'Of the car as bought, behind the cut',
    hint: 'Empty: what its rear axle carried',
  }),
})

/** What of a car's geometry a stage has changed: a shell that was shortened, arms that got longer, a tank that moved. SI. */
export const geometry = defineKind({
  name: 'geometry',
  collection: 'geometries',
  within: 'stage',
  isCarriedOn: true,
  words: { one: 'geometry', many: 'geometry' },
  sortedBy: 'id',
  most: 200,
  fields: {
    wheelbase: field(wheelbase, { label: 'Wheelbase' }),
    trackFront: field(track, { label: 'Front track' }),
    trackRear: field(track, { label: 'Rear track' }),
    tank: field(f.position, { label: 'Tank' }),
    seat: field(f.position, { label: 'Driver' }),
    /** Where the shell was made shorter at this stage; what sits behind it comes forward. */
    cut: field(
      cut.refine((c) => c.by !== 0, { path: ['by'], message: 'A cut of nothing moves nothing.' }).nullable(),
      { label: 'Shell cut' },
    ),
    note: f.note,
  },
})
