import * as z from 'zod'
import * as f from './fields'

const angle = z
  .number('Type an angle, such as 52°.')
  .min(-1.6, 'Over 90°: check the unit.')
  .max(3.2, 'Over 180°: check the unit.')
const lock = z
  .number('Type an angle, such as 52°.')
  .gt(0, 'A lock angle is above zero.')
  .max(1.5, 'Over 85° no wheel turns.')
const small = (what: string) =>
  z
    .number(`Type a length, such as ${what}.`)
    .min(-0.2, 'Below −200 mm: check the unit.')
    .max(1, 'Over 1 m: check the unit.')

/** Steering and rear end as measured at a stage; carried on. SI. */
export const steeringRecord = z.strictObject({
  id: f.id,
  stageId: f.id,
  date: f.date,
  lockInside: lock.nullable(),
  lockOutside: lock.nullable(),
  lockWanted: lock.nullable(),
  rackTravel: small('70 mm').nullable(),
  rackAvailable: small('75 mm').nullable(),
  tieRodAngle: angle.nullable(),
  tieRodBinds: angle.nullable(),
  rodToArm: angle.nullable(),
  wheelToArm: small('6 mm').nullable(),
  wheelToArmWanted: small('5 mm').nullable(),
  rearToe: z.strictObject({ droop: angle, ride: angle, bump: angle }).nullable(),
  rearToeAllowed: angle.nullable(),
  halfshaftAngle: angle.nullable(),
  halfshaftBinds: angle.nullable(),
  rearWheelToArm: small('6 mm').nullable(),
  /** Of the path that slides are judged on, m. */
  slideRadius: z
    .number('Type a radius, such as 20 m.')
    .min(5, 'Below 5 m no car slides.')
    .max(500, 'Over 500 m: check the unit.'),
  note: f.note,
})

const metres = (what: string, low: number, high: number) =>
  z
    .number(`Type a length, such as ${what}.`)
    .min(low, `Below ${low * 1000} mm: check the unit.`)
    .max(high, `Over ${high * 1000} mm: check the unit.`)

const wheel = z.strictObject({
  rimWidth: metres('9 in', 0.08, 0.5),
  rimDiameter: metres('18 in', 0.2, 0.7),
  offset: metres('35 mm', -0.15, 0.15),
  spacer: metres('0 mm', 0, 0.1),
  tyreWidth: metres('255 mm', 0.1, 0.5),
  tyreDiameter: metres('640 mm', 0.3, 1.1),
})
const axle = z.strictObject({
  hub: z.strictObject({
    bolts: z.int('Type how many.').min(1, 'At least one.').max(12, 'At most 12.'),
    boltCircle: metres('114.3 mm', 0.06, 0.3),
    spigot: metres('60.1 mm', 0.02, 0.25),
    leastRim: metres('17 in', 0.2, 0.7),
  }),
  wheel,
  obstacles: z
    .array(
      z.strictObject({
        name: f.name,
        side: z.enum(['inside', 'outside', 'above'], 'Choose where it stands.'),
        gap: metres('12 mm', -0.1, 0.5),
        wanted: metres('5 mm', 0, 0.1),
      }),
    )
    .max(12, 'At most 12 places.'),
})

/** Wheels on their hubs, the gaps around them, and wheels that might be fitted instead; carried on. SI. */
export const fitmentRecord = z.strictObject({
  id: f.id,
  stageId: f.id,
  front: axle,
  rear: axle,
  candidates: z
    .array(z.strictObject({ name: f.name, axle: z.enum(['front', 'rear'], 'Choose an axle.'), wheel }))
    .max(12, 'At most 12 candidates.'),
  note: f.note,
})
