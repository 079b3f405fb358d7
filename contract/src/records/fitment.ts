import * as z from 'zod'
import { AXLE_END, OBSTACLE_SIDE } from './choices'
import { defineKind } from './defineKind'
import { choice, field } from './field'
import * as f from './fields'

const metres = (such: string, low: number, high: number) =>
  field(
    z
      .number(`Type a length, such as ${such}.`)
      .min(low, `Below ${low * 1000} mm: check the unit.`)
      .max(high, `Over ${high * 1000} mm: check the unit.`),
    { quantity: 'length', unit: 'mm' },
  )

const wheel = z.strictObject({
  rimWidth: field(metres('9 in', 0.08, 0.5), { label: 'Rim width', unit: 'in' }),
  rimDiameter: field(metres('18 in', 0.2, 0.7), { label: 'Rim diameter', unit: 'in' }),
  offset: field(metres('35 mm', -0.15, 0.15), { label: 'Offset', hint: 'Below zero: deep dish' }),
  spacer: field(metres('0 mm', 0, 0.1), { label: 'Spacer' }),
  tyreWidth: field(metres('255 mm', 0.1, 0.5), { label: 'Tyre, widest' }),
  tyreDiameter: field(metres('640 mm', 0.3, 1.1), { label: 'Tyre, diameter' }),
})
const obstacle = z.strictObject({
  name: f.name,
  side: choice(['inside', 'outside', 'above'], OBSTACLE_SIDE, 'It stands', 'Choose where it stands.'),
  gap: field(metres('12 mm', -0.1, 0.5), { label: 'Gap now' }),
  wanted: field(metres('5 mm', 0, 0.1), { label: 'Gap wanted' }),
})
const axle = z.strictObject({
  hub: field(
    z.strictObject({
      bolts: field(f.count(12), { label: 'Bolts' }),
      boltCircle: field(metres('114.3 mm', 0.06, 0.3), { label: 'Bolt circle' }),
      spigot: field(metres('60.1 mm', 0.02, 0.25), { label: 'Hub spigot' }),
      leastRim: field(metres('17 in', 0.2, 0.7), { label: 'Brake clears rims from', unit: 'in' }),
    }),
    { label: 'Hub' },
  ),
  wheel: field(wheel, { label: 'Wheel' }),
  obstacles: field(z.array(obstacle).max(12, 'At most 12 places.'), { label: 'Gaps', many: 'gaps' }),
})
const candidate = z.strictObject({
  name: f.name,
  axle: choice(['front', 'rear'], AXLE_END, 'For the', 'Choose an axle.'),
  wheel: field(wheel, { label: 'Wheel' }),
})

/** Wheels on their hubs, the gaps around them, and wheels that might be fitted instead. SI. */
export const fitment = defineKind({
  name: 'fitment',
  within: 'stage',
  isCarriedOn: true,
  words: { one: 'wheels', many: 'wheels' },
  sortedBy: 'id',
  most: 200,
  fields: {
    front: field(axle, { label: 'Front' }),
    rear: field(axle, { label: 'Rear' }),
    candidates: field(z.array(candidate).max(12, 'At most 12 candidates.'), {
      label: 'Candidates',
      many: 'candidates',
    }),
    note: f.note,
  },
})
