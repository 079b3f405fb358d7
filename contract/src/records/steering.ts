import * as z from 'zod'
import { defineKind } from './defineKind'
import { field } from './field'
import * as f from './fields'

const angle = field(
  z
    .number('Type an angle, such as 52°.')
    .min(-1.6, 'Over 90°: check the unit.')
    .max(3.2, 'Over 180°: check the unit.'),
  { quantity: 'angle' },
)
const lock = field(
  z
    .number('Type an angle, such as 52°.')
    .gt(0, 'A lock angle is above zero.')
    .max(1.5, 'Over 85° no wheel turns.')
    .nullable(),
  { quantity: 'angle' },
)
const small = (such: string) =>
  field(
    z
      .number(`Type a length, such as ${such}.`)
      .min(-0.2, 'Below −200 mm: check the unit.')
      .max(1, 'Over 1 m: check the unit.')
      .nullable(),
    { quantity: 'length' },
  )
const joint = angle.nullable()

/** Steering and rear end as measured at a stage. SI. */
export const steering = defineKind({
  name: 'steering',
  within: 'stage',
  isCarriedOn: true,
  words: { one: 'steering', many: 'steering' },
  sortedBy: 'id',
  most: 200,
  fields: {
    date: field(f.date, { label: 'Measured on' }),
    lockInside: field(lock, { label: 'Lock, inside wheel' }),
    lockOutside: field(lock, { label: 'Lock, outside wheel' }),
    lockWanted: field(lock, { label: 'Lock wanted, inside' }),
    rackTravel: field(small('70 mm'), { label: 'Rack, middle to lock' }),
    rackAvailable: field(small('75 mm'), { label: 'Rack could go' }),
    tieRodAngle: field(joint, { label: 'Tie-rod joint at lock' }),
    tieRodBinds: field(joint, { label: 'Tie-rod joint binds at' }),
    rodToArm: field(joint, {
      label: 'Tie rod to steering arm',
      hint: 'At lock; 0° or 180° is over centre',
    }),
    wheelToArm: field(small('6 mm'), { label: 'Wheel to arm, full lock' }),
    wheelToArmWanted: field(small('5 mm'), { label: 'Gap wanted' }),
    rearToe: field(
      z
        .strictObject({
          droop: field(angle, { label: 'At droop' }),
          ride: field(angle, { label: 'At ride height' }),
          bump: field(angle, { label: 'At bump' }),
        })
        .nullable(),
      { label: 'Rear toe' },
    ),
    rearToeAllowed: field(joint, { label: 'Toe change allowed' }),
    halfshaftAngle: field(joint, { label: 'Half-shaft joint, worst' }),
    halfshaftBinds: field(joint, { label: 'Half-shaft joint binds at' }),
    rearWheelToArm: field(small('6 mm'), { label: 'Wheel to arm, least' }),
    /** Of the path that slides are judged on, m. */
    slideRadius: field(
      z
        .number('Type a radius, such as 20 m.')
        .min(5, 'Below 5 m no car slides.')
        .max(500, 'Over 500 m: check the unit.'),
      { quantity: 'length', unit: 'm', label: 'Slides are judged on', hint: 'Radius of the path' },
    ),
    note: f.note,
  },
})
