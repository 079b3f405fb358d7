import { ELEMENT_KINDS, LAYS, SHEET_NAMES, SPAR_METALS, isRising } from '@bold-ballast/core'
import * as z from 'zod'
import { ELEMENT, LAY, SHEET, SPAR } from './choices'
import { defineKind } from './defineKind'
import { choice, field } from './field'
import * as f from './fields'

const coefficient = field(
  z.number('Type a coefficient, such as 0.8.').min(-4, 'From −4 to 4.').max(4, 'From −4 to 4.'),
  { quantity: 'number' },
)
const lift = field(coefficient, { label: 'Pressing down, C_L' })
const drag = field(coefficient, { label: 'Drag, C_D' })
export const wingAngle = field(
  z.number('Type an angle, such as 8°.').min(-0.8, 'From −45 to 45°.').max(0.8, 'From −45 to 45°.'),
  { quantity: 'angle' },
)

const polarPoint = z.strictObject({ angle: field(wingAngle, { label: 'At' }), lift, drag })
const wing = z.strictObject({
  foils: field(z.union([z.literal(1), z.literal(2), z.literal(3)], 'One, two or three foils.'), {
    quantity: 'number',
    label: 'Foils',
  }),
  angle: field(wingAngle, { label: 'Set to', hint: 'Nose down counts up' }),
  endPlate: field(f.length('200 mm', 0, 0.8, '0 to 800 mm'), { label: 'End plates, height' }),
  gurney: field(f.length('6 mm; 0 without', 0, 0.06, '0 to 60 mm'), {
    label: 'Lip at its edge',
    hint: '0 without',
  }),
  polar: field(
    z
      .array(polarPoint)
      .max(40, 'At most 40 points.')
      .refine((p) => p.length !== 1, 'A polar has two points or more; leave it empty for the usual section.')
      .refine((p) => isRising(p.map((q) => q.angle)), 'Write the points by rising angle.'),
    { label: 'Polar', many: 'points' },
  ),
  /** What the mounts allow: from, to, and the step from hole to hole. */
  holes: field(
    z
      .strictObject({
        from: field(wingAngle, { label: 'First hole' }),
        to: field(wingAngle, { label: 'Last hole' }),
        step: field(
          z
            .number('Type an angle, such as 2°.')
            .min(0.001, 'A step is at least 0.1°.')
            .max(0.5, 'A step is at most 28°.'),
          { quantity: 'angle', label: 'From hole to hole' },
        ),
      })
      .refine((h) => h.to > h.from, { path: ['to'], message: 'The last hole is steeper than the first.' }),
    { label: 'Holes' },
  ),
})

const tube = { path: ['wall'], message: 'A wall is no thicker than half of the tube.' }
const struts = z
  .strictObject({
    kind: choice(
      ['strut', 'cable'],
      { strut: 'struts of steel tube', cable: 'cables, 7 × 7 stainless' },
      'They are',
      'Choose struts or cables.',
    ),
    count: field(f.count(12), { label: 'Struts' }),
    outside: field(f.length('8 mm', 0.002, 0.06, '2 to 60 mm'), { label: 'Tube, outside', unit: 'mm' }),
    wall: field(f.length('1 mm', 0.0003, 0.03, '0.3 to 30 mm'), {
      label: 'Wall',
      unit: 'mm',
      hint: 'Half the outside for a rod',
    }),
    length: field(f.length('250 mm', 0.02, 2, '20 mm to 2 m'), { label: 'Strut, length' }),
    angle: field(
      z.number('Type an angle, such as 30°.').min(0, 'From 0 to 80°.').max(1.4, 'From 0 to 80°.'),
      { quantity: 'angle', label: 'From the vertical' },
    ),
    /** Share of the load that the struts take; the rest hangs on the body. */
    share: field(f.share, { label: 'They carry', hint: 'The body holds the rest' }),
  })
  // A cable has no wall.
  .refine((s) => s.kind === 'cable' || s.wall <= s.outside / 2, tube)

/** How a flat element is built and held: its sheet, the spans between its supports, and its struts. */
const panel = z.strictObject({
  sheet: choice(SHEET_NAMES, SHEET, 'Sheet', 'Choose a sheet.'),
  /** A sheet of the build's own that goes before the usual one. */
  stockId: f.linkTo('sheetStock', 'Own sheet'),
  thickness: field(f.length('12 mm', 0.001, 0.06, '1 to 60 mm'), { label: 'Thickness', unit: 'mm' }),
  lay: choice(LAYS, LAY, 'It lies', 'Choose how it lies.'),
  /** Between supports, along and across the car, and beyond the last of them. */
  spanAlong: field(f.length('250 mm', 0.02, 3, '20 mm to 3 m'), { label: 'Supports apart, along' }),
  spanAcross: field(f.length('400 mm', 0.02, 3, '20 mm to 3 m'), { label: 'Supports apart, across' }),
  overhang: field(f.length('80 mm', 0, 1, '0 to 1 m'), { label: 'Lip beyond the last' }),
  /** Out of sight under the bumper, width at its back (the same where null), and the front corners. */
  under: field(f.length('200 mm; 0 for none', 0, 2, '0 to 2 m'), {
    label: 'Hidden under the bumper',
    hint: '0 for none',
  }),
  rearWidth: field(f.length('1.2 m', 0.05, 3, '50 mm to 3 m').nullable(), {
    label: 'Width at its back',
    hint: 'Empty for the same',
  }),
  cornerRadius: field(f.length('80 mm; 0 for square', 0, 1, '0 to 1 m'), {
    label: 'Front corners, radius',
    hint: '0 for square',
  }),
  struts: field(struts.nullable(), { label: 'Struts' }),
})

const spar = z
  .strictObject({
    metal: choice(SPAR_METALS, SPAR, 'It is', 'Choose what it is of.'),
    outside: field(f.length('30 mm', 0.004, 0.12, '4 to 120 mm'), { label: 'Spar, outside', unit: 'mm' }),
    wall: field(f.length('2 mm', 0.0003, 0.06, '0.3 to 60 mm'), { label: 'Spar, wall', unit: 'mm' }),
    /** Between the uprights, and how far behind the line on which the air presses. */
    apart: field(f.length('1 m', 0.05, 3, '50 mm to 3 m'), { label: 'Uprights apart' }),
    behind: field(f.length('30 mm', 0, 0.5, '0 to 500 mm'), {
      label: 'Behind the load',
      hint: 'A quarter chord is loaded',
    }),
  })
  .refine((s) => s.wall <= s.outside / 2, tube)

const FOOTING_SHEETS = ['steel', 'aluminium', 'carbon'] as const
/** What a foot stands on: sheet of the lid or floor, its free field, and the plate that spreads the load. */
const footing = z
  .strictObject({
    sheet: choice(
      FOOTING_SHEETS,
      { steel: 'body steel', aluminium: 'body aluminium', carbon: 'carbon' },
      'Sheet under the foot',
      'Choose what it is of.',
    ),
    thickness: field(f.length('0.8 mm', 0.0003, 0.02, '0.3 to 20 mm'), {
      label: 'Its thickness',
      unit: 'mm',
    }),
    spanAlong: field(f.length('500 mm', 0.02, 3, '20 mm to 3 m'), { label: 'Free field, along' }),
    spanAcross: field(f.length('900 mm', 0.02, 3, '20 mm to 3 m'), { label: 'Free field, across' }),
    plateRadius: field(f.length('40 mm', 0.002, 0.5, '2 to 500 mm'), {
      label: 'Backing plate, radius',
      unit: 'mm',
    }),
  })
  .refine((l) => 2 * l.plateRadius <= Math.min(l.spanAlong, l.spanAcross), {
    path: ['plateRadius'],
    message: 'The plate is no wider than the field it lies on.',
  })

/** How a wing stands. */
const mount = z.strictObject({
  on: choice(
    ['chassis', 'lid'],
    { chassis: 'the chassis', lid: 'the lid' },
    'It stands on',
    'Choose where it stands.',
  ),
  retention: field(z.boolean(), { label: 'Held a second way' }),
  uprights: field(f.count(6), { label: 'Uprights' }),
  height: field(f.length('350 mm', 0.02, 1.5, '20 mm to 1.5 m'), { label: 'Upright, height' }),
  width: field(f.length('80 mm', 0.005, 0.6, '5 to 600 mm'), { label: 'Along the car' }),
  thickness: field(f.length('8 mm', 0.001, 0.05, '1 to 50 mm'), { label: 'Plate', unit: 'mm' }),
  bolts: field(f.count(12), { label: 'Bolts at each foot' }),
  boltDiameter: field(f.length('8 mm', 0.003, 0.03, '3 to 30 mm'), { label: 'Bolts', unit: 'mm' }),
  boltSpacing: field(f.length('60 mm', 0.005, 0.6, '5 to 600 mm'), { label: 'Outer bolts apart' }),
  topBolts: field(f.count(12), { label: 'Bolts at the wing, each' }),
  topBoltDiameter: field(f.length('6 mm', 0.003, 0.03, '3 to 30 mm'), { label: 'Their size', unit: 'mm' }),
  spar: field(spar.nullable(), { label: 'Spar' }),
  footing: field(footing.nullable(), { label: 'What it stands on' }),
})

const factor = field(
  z.number('Type a factor, such as 1.1.').min(0.01, 'From 0.01 to 20.').max(20, 'From 0.01 to 20.'),
  { quantity: 'number' },
)
const spread = field(
  z
    .number('Type a share, such as 40 %.')
    .min(0.01, 'From 1 to 100 %: nobody knows it better.')
    .max(1, 'From 1 to 100 %.'),
  { quantity: 'share' },
)

/** Something that the air presses on, from a stage on. Places as in the ledger. SI. */
export const aeroElement = defineKind({
  name: 'aeroElement',
  within: 'stage',
  words: { one: 'aero element', many: 'aero elements' },
  sortedBy: 'order',
  most: 500,
  fields: {
    name: field(f.name, { label: 'Called' }),
    order: f.order,
    kind: choice(ELEMENT_KINDS, ELEMENT, 'Kind', 'Choose what it is.'),
    /** Middle of its area behind the front axle, and above the ground. */
    x: field(f.length('−350 mm', -2.5, 6, '2.5 m ahead of the front axle to 6 m behind it'), {
      label: 'Behind the front axle',
      hint: 'Its middle; below zero is ahead',
    }),
    z: field(f.length('80 mm', 0, 2.5, '0 to 2.5 m above the ground'), { label: 'Above the ground' }),
    span: field(f.length('1.6 m', 0.05, 3, '50 mm to 3 m'), { label: 'Width' }),
    chord: field(f.length('250 mm', 0.01, 6, '10 mm to 6 m'), { label: 'Length' }),
    lift: field(lift, { hint: 'On width × length; below zero lifts' }),
    drag,
    wing: field(wing.nullable(), { label: 'Wing' }),
    sealed: field(z.boolean(), { label: 'Closed against the bumper' }),
    panel: field(panel.nullable(), { label: 'Panel' }),
    mount: field(mount.nullable(), { label: 'Mount' }),
    grade: f.grade,
    spread: field(spread, { label: 'May be off by', hint: 'One standard deviation' }),
    /** Where the coefficients and their range come from. */
    from: f.words('Where that comes from', 200),
    /** The element whose place it takes, and the stage at which it comes off again. */
    replaces: f.linkTo('aeroElement', 'Takes the place of'),
    offStageId: f.linkTo('stage', 'Comes off at'),
    /** What measuring the whole car made of it: times shape and coefficients, and how far off still. */
    correction: field(
      z
        .strictObject({
          lift: field(factor, { label: 'Pressing down, times' }),
          drag: field(factor, { label: 'Drag, times' }),
          liftSpread: field(spread, { label: 'Pressing down, off by' }),
          dragSpread: field(spread, { label: 'Drag, off by' }),
        })
        .nullable(),
      { label: 'Corrected by measuring' },
    ),
    /** The line of the ledger that stands for it, once it was put there. */
    lineId: f.linkTo('line', 'Its line in the ledger'),
    note: f.note,
  },
  check: (record) =>
    record.refine((e) => e.kind !== 'wing' || e.wing !== null, {
      path: ['wing'],
      message: 'A wing has foils and an angle.',
    }),
})
