import { ELEMENT_KINDS, LAYS, SHEET_NAMES } from '@bold-ballast/core'
import * as z from 'zod'
import { ambient } from './dyno'
import * as f from './fields'

const metres = (what: string, low: number, high: number, range: string) =>
  z
    .number(`Type a length, such as ${what}.`)
    .min(low, `From ${range}: check the unit.`)
    .max(high, `From ${range}: check the unit.`)
const coefficient = z
  .number('Type a coefficient, such as 0.8.')
  .min(-4, 'From −4 to 4.')
  .max(4, 'From −4 to 4.')
const angle = z
  .number('Type an angle, such as 8°.')
  .min(-0.8, 'From −45 to 45°.')
  .max(0.8, 'From −45 to 45°.')

const wing = z.strictObject({
  foils: z.union([z.literal(1), z.literal(2), z.literal(3)], 'One, two or three foils.'),
  angle,
  endPlate: metres('200 mm', 0, 0.8, '0 to 800 mm'),
  gurney: metres('6 mm; 0 without', 0, 0.06, '0 to 60 mm'),
  polar: z
    .array(z.strictObject({ angle, lift: coefficient, drag: coefficient }))
    .max(40, 'At most 40 points.')
    .refine((p) => p.length !== 1, 'A polar has two points or more; leave it empty for the usual section.')
    .refine(
      (p) => p.every((q, i) => i === 0 || q.angle > p[i - 1]!.angle),
      'Write the points by rising angle.',
    ),
  /** What the mounts allow: from, to, and the step from hole to hole. */
  holes: z
    .strictObject({
      from: angle,
      to: angle,
      step: z
        .number('Type an angle, such as 2°.')
        .min(0.001, 'A step is at least 0.1°.')
        .max(0.5, 'A step is at most 28°.'),
    })
    .refine((h) => h.to > h.from, { path: ['to'], message: 'The last hole is steeper than the first.' }),
})

const count = (most: number) => z.int('Type how many.').min(1, 'At least one.').max(most, `At most ${most}.`)

/** How a flat element is built and held: its sheet, the spans between its supports, and its struts. */
const panel = z.strictObject({
  sheet: z.enum(SHEET_NAMES, 'Choose a sheet.'),
  thickness: metres('12 mm', 0.001, 0.06, '1 to 60 mm'),
  lay: z.enum(LAYS, 'Choose how it lies.'),
  /** Between supports, along and across the car, and beyond the last of them. */
  spanAlong: metres('250 mm', 0.02, 3, '20 mm to 3 m'),
  spanAcross: metres('400 mm', 0.02, 3, '20 mm to 3 m'),
  overhang: metres('80 mm', 0, 1, '0 to 1 m'),
  struts: z
    .strictObject({
      count: count(12),
      outside: metres('8 mm', 0.002, 0.06, '2 to 60 mm'),
      wall: metres('1 mm', 0.0003, 0.03, '0.3 to 30 mm'),
      length: metres('250 mm', 0.02, 2, '20 mm to 2 m'),
      angle: z.number('Type an angle, such as 30°.').min(0, 'From 0 to 80°.').max(1.4, 'From 0 to 80°.'),
      /** Share of the load that the struts take; the rest hangs on the body. */
      share: f.share,
    })
    .refine((s) => s.wall <= s.outside / 2, {
      path: ['wall'],
      message: 'A wall is no thicker than half of the tube.',
    })
    .nullable(),
})

/** How a wing stands. */
const mount = z.strictObject({
  on: z.enum(['chassis', 'lid'], 'Choose where it stands.'),
  retention: z.boolean(),
  uprights: count(6),
  height: metres('350 mm', 0.02, 1.5, '20 mm to 1.5 m'),
  width: metres('80 mm', 0.005, 0.6, '5 to 600 mm'),
  thickness: metres('8 mm', 0.001, 0.05, '1 to 50 mm'),
  bolts: count(12),
  boltDiameter: metres('8 mm', 0.003, 0.03, '3 to 30 mm'),
  boltSpacing: metres('60 mm', 0.005, 0.6, '5 to 600 mm'),
})

/** Something that the air presses on, from a stage on. Places as in the ledger. SI. */
export const aeroElementRecord = z
  .strictObject({
    id: f.id,
    stageId: f.id,
    name: f.name,
    order: f.order,
    kind: z.enum(ELEMENT_KINDS, 'Choose what it is.'),
    /** Middle of its area behind the front axle, and above the ground. */
    x: metres('−350 mm', -2.5, 6, '2.5 m ahead of the front axle to 6 m behind it'),
    z: metres('80 mm', 0, 2.5, '0 to 2.5 m above the ground'),
    span: metres('1.6 m', 0.05, 3, '50 mm to 3 m'),
    chord: metres('250 mm', 0.01, 6, '10 mm to 6 m'),
    lift: coefficient,
    drag: coefficient,
    wing: wing.nullable(),
    sealed: z.boolean(),
    panel: panel.nullable(),
    mount: mount.nullable(),
    grade: f.grade,
    spread: z
      .number('Type a share, such as 40 %.')
      .min(0.01, 'From 1 to 100 %: nobody knows it better.')
      .max(1, 'From 1 to 100 %.'),
    /** Where the coefficients and their range come from. */
    from: z.string().trim().max(200, 'Keep it under 200 characters.'),
    /** The element whose place it takes, and the stage at which it comes off again. */
    replaces: f.id.nullable(),
    offStageId: f.id.nullable(),
    note: f.note,
  })
  .refine((e) => e.kind !== 'wing' || e.wing !== null, {
    path: ['wing'],
    message: 'A wing has foils and an angle.',
  })

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
