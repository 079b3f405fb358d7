import { ELEMENT_KINDS, LAYS, SHEET_NAMES, SPAR_METALS } from '@bold-ballast/core'
import * as z from 'zod'
import * as f from './fields'

export const metres = (what: string, low: number, high: number, range: string) =>
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
  /** A sheet of the build's own that goes before the usual one. */
  stockId: f.id.nullable(),
  thickness: metres('12 mm', 0.001, 0.06, '1 to 60 mm'),
  lay: z.enum(LAYS, 'Choose how it lies.'),
  /** Between supports, along and across the car, and beyond the last of them. */
  spanAlong: metres('250 mm', 0.02, 3, '20 mm to 3 m'),
  spanAcross: metres('400 mm', 0.02, 3, '20 mm to 3 m'),
  overhang: metres('80 mm', 0, 1, '0 to 1 m'),
  /** Out of sight under the bumper, width at its back (the same where null), and the front corners. */
  under: metres('200 mm; 0 for none', 0, 2, '0 to 2 m'),
  rearWidth: metres('1.2 m', 0.05, 3, '50 mm to 3 m').nullable(),
  cornerRadius: metres('80 mm; 0 for square', 0, 1, '0 to 1 m'),
  struts: z
    .strictObject({
      kind: z.enum(['strut', 'cable'], 'Choose struts or cables.'),
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

const spar = z
  .strictObject({
    metal: z.enum(SPAR_METALS, 'Choose what it is of.'),
    outside: metres('30 mm', 0.004, 0.12, '4 to 120 mm'),
    wall: metres('2 mm', 0.0003, 0.06, '0.3 to 60 mm'),
    /** Between the uprights, and how far behind the line on which the air presses. */
    apart: metres('1 m', 0.05, 3, '50 mm to 3 m'),
    behind: metres('30 mm', 0, 0.5, '0 to 500 mm'),
  })
  .refine((s) => s.wall <= s.outside / 2, {
    path: ['wall'],
    message: 'A wall is no thicker than half of the tube.',
  })

/** What a foot stands on: sheet of the lid or floor, its free field, and the plate that spreads the load. */
const footing = z
  .strictObject({
    sheet: z.enum(['steel', 'aluminium', 'carbon'], 'Choose what it is of.'),
    thickness: metres('0.8 mm', 0.0003, 0.02, '0.3 to 20 mm'),
    spanAlong: metres('500 mm', 0.02, 3, '20 mm to 3 m'),
    spanAcross: metres('900 mm', 0.02, 3, '20 mm to 3 m'),
    plateRadius: metres('40 mm', 0.002, 0.5, '2 to 500 mm'),
  })
  .refine((l) => 2 * l.plateRadius <= Math.min(l.spanAlong, l.spanAcross), {
    path: ['plateRadius'],
    message: 'The plate is no wider than the field it lies on.',
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
  topBolts: count(12),
  topBoltDiameter: metres('6 mm', 0.003, 0.03, '3 to 30 mm'),
  spar: spar.nullable(),
  footing: footing.nullable(),
})

const factor = z
  .number('Type a factor, such as 1.1.')
  .min(0.01, 'From 0.01 to 20.')
  .max(20, 'From 0.01 to 20.')
const spread = z
  .number('Type a share, such as 40 %.')
  .min(0.01, 'From 1 to 100 %: nobody knows it better.')
  .max(1, 'From 1 to 100 %.')

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
    spread,
    /** Where the coefficients and their range come from. */
    from: z.string().trim().max(200, 'Keep it under 200 characters.'),
    /** The element whose place it takes, and the stage at which it comes off again. */
    replaces: f.id.nullable(),
    offStageId: f.id.nullable(),
    /** What measuring the whole car made of it: times shape and coefficients, and how far off still. */
    correction: z
      .strictObject({ lift: factor, drag: factor, liftSpread: spread, dragSpread: spread })
      .nullable(),
    /** The line of the ledger that stands for it, once it was put there. */
    lineId: f.id.nullable(),
    note: f.note,
  })
  .refine((e) => e.kind !== 'wing' || e.wing !== null, {
    path: ['wing'],
    message: 'A wing has foils and an angle.',
  })
