import * as z from 'zod'
import { defineKind } from './defineKind'
import { field } from './field'
import * as f from './fields'
import { wheelRate } from './wheelRate'

const acceleration = field(
  z.number('Type a figure in g, such as 1.').min(0, 'From 0 to 4 g.').max(40, 'From 0 to 4 g.'),
  { quantity: 'acceleration' },
)

/** How the car stands at speed, for the gap under it. SI. */
export const attitude = defineKind({
  name: 'attitude',
  within: 'stage',
  isCarriedOn: true,
  words: { one: 'stance at speed', many: 'stances at speed' },
  sortedBy: 'id',
  most: 200,
  fields: {
    /** Nose down under braking, and to the side in a corner; null where the springs say it. */
    pitch: field(
      z
        .number('Type an angle, such as 0.5°.')
        .min(-0.2, 'From −11 to 11°.')
        .max(0.2, 'From −11 to 11°.')
        .nullable(),
      { quantity: 'angle', label: 'Nose down, braking', hint: 'Empty: by its springs' },
    ),
    roll: field(
      z.number('Type an angle, such as 1°.').min(0, 'From 0 to 11°.').max(0.2, 'From 0 to 11°.').nullable(),
      { quantity: 'angle', label: 'To the side, cornering', hint: 'Empty: by its springs' },
    ),
    /** For what the springs say: braking and cornering at once, m/s². */
    braking: field(acceleration, { label: 'Braking at' }),
    cornering: field(acceleration, { label: 'Cornering at' }),
    bump: field(f.length('10 mm', 0, 0.3, '0 to 300 mm'), {
      label: 'Kerbs and bumps',
      hint: 'What they take besides',
    }),
    /** Of one wheel; null takes the springs that the build has. */
    wheelRate: field(f.axles(wheelRate).nullable(), { label: 'One wheel' }),
    note: f.note,
  },
})
