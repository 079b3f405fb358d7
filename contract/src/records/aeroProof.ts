import * as z from 'zod'
import { metres } from './aero'
import { ambient } from './dyno'
import * as f from './fields'

const MOST_POINTS = 4000
/** The car rolled out, out of gear, one way and the other. SI. */
export const coastDownRecord = z.strictObject({
  id: f.id,
  stageId: f.id,
  date: f.date,
  name: f.name,
  /** As it rolled, with everybody aboard, kg; and what its turning wheels add to that. */
  mass: f.mass.min(50, 'A car weighs at least 50 kg: check the unit.'),
  equivalentMass: z
    .number('Type a mass, such as 50 kg.')
    .min(0, 'It can’t be below zero.')
    .max(500, 'Over 500 kg: check the unit.'),
  air: ambient,
  runs: z
    .array(
      z.strictObject({
        direction: z.enum(['out', 'back'], 'Choose out or back.'),
        points: z
          .array(
            z.strictObject({
              time: z
                .number('Type a time in seconds.')
                .min(0, 'A run starts at 0 s.')
                .max(3600, 'Over an hour.'),
              speed: z
                .number('Type a speed.')
                .min(0, 'Below zero.')
                .max(150, 'Over 540 km/h: check the unit.'),
            }),
          )
          .min(10, 'A run needs ten points or more.')
          .max(MOST_POINTS, `At most ${MOST_POINTS} points a run.`),
      }),
    )
    .min(1, 'Add a run: a log of time and speed while it rolls out.')
    .max(12, 'At most 12 runs.'),
  note: f.note,
})

const wheelRate = z
  .number('Type a wheel rate, such as 60 N/mm.')
  .min(1000, 'Below 1 N/mm: check the unit.')
  .max(2e6, 'Over 2,000 N/mm: check the unit.')
const motionRatio = z
  .number('Type the ratio of damper travel to wheel travel, such as 0.9; 1 for ride heights.')
  .min(0.1, 'Below 0.1: damper travel over wheel travel is meant.')
  .max(3, 'Over 3: damper travel over wheel travel is meant.')
const place = metres('32.5 mm', -2, 2, '−2 to 2 m')

/** Where the suspension stood at several steady speeds, and what turns that into loads. SI. */
export const downforceTestRecord = z.strictObject({
  id: f.id,
  stageId: f.id,
  date: f.date,
  name: f.name,
  sensor: z.enum(['damper', 'rideHeight'], 'Choose what was logged.'),
  motionRatio: z.strictObject({ front: motionRatio, rear: motionRatio }),
  wheelRate: z.strictObject({ front: wheelRate, rear: wheelRate }),
  air: ambient,
  /** True speed of the air over the speed that was logged. */
  speedFactor: z
    .number('Type a factor; 1 where nobody checked it.')
    .min(0.5, 'From 0.5 to 2.')
    .max(2, 'From 0.5 to 2.'),
  runs: z
    .array(
      z.strictObject({
        /** The wing that was set differently, and to what; null where none was turned. */
        wingId: f.id.nullable(),
        angle: z
          .number('Type an angle, such as 8°.')
          .min(-0.8, 'From −45 to 45°.')
          .max(0.8, 'From −45 to 45°.')
          .nullable(),
        points: z
          .array(
            z.strictObject({
              speed: z
                .number('Type a speed.')
                .min(0, 'Below zero.')
                .max(150, 'Over 540 km/h: check the unit.'),
              front: place,
              rear: place,
              held: z.number('Type a time.').min(0, 'Below zero.').max(3600, 'Over an hour.'),
            }),
          )
          .min(3, 'A run needs three steady stretches or more.')
          .max(500, 'At most 500 stretches a run.'),
      }),
    )
    .min(1, 'Add a run: a log in which several speeds are held.')
    .max(20, 'At most 20 runs.'),
  note: f.note,
})

/** How the car stands at speed, for the gap under it; carried on. SI. */
export const attitudeRecord = z.strictObject({
  id: f.id,
  stageId: f.id,
  /** Nose down under braking, and to the side in a corner. */
  pitch: z.number('Type an angle, such as 0.5°.').min(-0.2, 'From −11 to 11°.').max(0.2, 'From −11 to 11°.'),
  roll: z.number('Type an angle, such as 1°.').min(0, 'From 0 to 11°.').max(0.2, 'From 0 to 11°.'),
  bump: metres('10 mm', 0, 0.3, '0 to 300 mm'),
  /** Of one wheel; null takes the springs that the build has. */
  wheelRate: z.strictObject({ front: wheelRate, rear: wheelRate }).nullable(),
  note: f.note,
})

/** A sheet that can be had here, in place of a usual one. SI. */
export const sheetStockRecord = z
  .strictObject({
    id: f.id,
    name: f.name,
    order: f.order,
    build: z.enum(['solid', 'sandwich'], 'Choose solid or sandwich.'),
    stiffness: z
      .number('Type a modulus, such as 70 GPa.')
      .min(1e8, 'Below 0.1 GPa: check the unit.')
      .max(1e12, 'Over 1,000 GPa: check the unit.'),
    strength: z
      .number('Type a strength, such as 240 MPa.')
      .min(1e5, 'Below 0.1 MPa: check the unit.')
      .max(5e9, 'Over 5,000 MPa: check the unit.'),
    /** Of the sheet, or of the skins of a sandwich, and of its core, kg/m³. */
    density: z
      .number('Type a density, such as 2,700 kg/m³.')
      .min(10, 'Below 10 kg/m³: check the unit.')
      .max(20_000, 'Over 20,000 kg/m³: check the unit.'),
    coreDensity: z
      .number('Type a density, such as 60 kg/m³.')
      .min(5, 'Below 5 kg/m³: check the unit.')
      .max(2000, 'Over 2,000 kg/m³: check the unit.')
      .nullable(),
    /** Shear modulus of the core, Pa; null takes what is usual. */
    coreShear: z
      .number('Type a modulus, such as 20 MPa.')
      .min(1e5, 'Below 0.1 MPa: check the unit.')
      .max(1e10, 'Over 10,000 MPa: check the unit.')
      .nullable(),
    skin: metres('0.8 mm', 0.0001, 0.01, '0.1 to 10 mm').nullable(),
    thicknesses: z
      .array(metres('10 mm', 0.0005, 0.06, '0.5 to 60 mm'))
      .min(1, 'At least one thickness.')
      .max(12, 'At most 12 thicknesses.'),
    /** Stiffness and strength across, over those along. */
    across: z
      .number('Type a share, such as 60 %; 100 for the same both ways.')
      .gt(0, 'Above zero.')
      .max(1, 'At most 100 %.'),
    /** A square metre, in the build's currency: before thickness counts, and for each mm of it. */
    price: z.strictObject({
      base: z.number('Type an amount of money.').min(0, 'Below zero.').max(1e5, 'That is beyond counting.'),
      perMillimetre: z
        .number('Type an amount of money.')
        .min(0, 'Below zero.')
        .max(1e5, 'That is beyond counting.'),
    }),
    note: f.note,
  })
  .refine((s) => s.build === 'solid' || (s.skin !== null && s.coreDensity !== null), {
    path: ['skin'],
    message: 'A sandwich has skins and a core.',
  })
  .refine((s) => s.build === 'solid' || s.skin === null || s.thicknesses.every((t) => t > 2 * s.skin!), {
    path: ['thicknesses'],
    message: 'A sandwich is thicker than its skins.',
  })
