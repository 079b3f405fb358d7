import * as z from 'zod'
import { defineKind } from './defineKind'
import { field } from './field'
import * as f from './fields'
import { wheelRate } from './wheelRate'

/** How the car stands at speed, for the gap under it. SI. */
export const attitude = defineKind({
  name: 'attitude',
  within: 'stage',
  isCarriedOn: true,
  words: { one: 'stance at speed', many: 'stances at speed' },
  sortedBy: 'id',
  most: 200,
  fields: {
    /** Nose down under braking, and to the side in a corner. */
    pitch: field(
      z.number('Type an angle, such as 0.5°.').min(-0.2, 'From −11 to 11°.').max(0.2, 'From −11 to 11°.'),
      { quantity: 'angle', label: 'Nose down, braking', hint: 'About 0.3 to 0.8° on track springs' },
    ),
    roll: field(z.number('Type an angle, such as 1°.').min(0, 'From 0 to 11°.').max(0.2, 'From 0 to 11°.'), {
      quantity: 'angle',
      label: 'To the side, cornering',
      hint: 'About 0.5 to 2°',
    }),
    bump: field(f.length('10 mm', 0, 0.3, '0 to 300 mm'), {
      label: 'Kerbs and bumps',
      hint: 'What they take besides',
    }),
    /** Of one wheel; null takes the springs that the build has. */
    wheelRate: field(f.axles(wheelRate).nullable(), { label: 'One wheel' }),
    note: f.note,
  },
})
