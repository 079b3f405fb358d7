import { hasTwoPlaces, isRising } from '@bold-ballast/core'
import * as z from 'zod'
import { defineKind } from './defineKind'
import { field } from './field'
import * as f from './fields'
import * as spring from './springFields'

const known = field(f.grade, { label: 'Known by' })
const travel = field(f.length('−20 mm', -0.3, 0.3, '−300 to 300 mm'), { unit: 'mm' })

const pair = z.strictObject({
  wheel: field(travel, { label: 'Wheel, up' }),
  spring: field(travel, { label: 'Spring, shorter' }),
})

const barSetting = z
  .strictObject({
    name: field(f.name, { label: 'Hole or blade' }),
    /** From the bar's axis to its link, m; null where its stiffness was measured instead. */
    arm: field(
      z
        .number('Type a length, such as 250 mm.')
        .gt(0, 'An arm has a length: without one the bar twists nothing.')
        .max(1, 'Over 1 m: check the unit.')
        .nullable(),
      { quantity: 'length', unit: 'mm', label: 'Arm', hint: 'Bar to link' },
    ),
    /** As measured at the axle, N·m/rad. */
    stiffness: field(
      z
        .number('Type a roll stiffness.')
        .gt(0, 'A bar adds some stiffness.')
        .max(1e6, 'Check the unit.')
        .nullable(),
      { quantity: 'rollStiffness', label: 'Or measured at the axle', hint: 'Empty: from its size' },
    ),
  })
  .refine((s) => s.arm !== null || s.stiffness !== null, {
    path: ['arm'],
    message: 'Type the arm, or the stiffness that was measured.',
  })

const bar = z
  .strictObject({
    diameter: field(f.length('25 mm', 0.005, 0.1, '5 to 100 mm'), { label: 'Bar, outside', unit: 'mm' }),
    bore: field(f.length('0 mm', 0, 0.09, '0 to 90 mm'), {
      label: 'Bore',
      hint: '0 for a solid bar',
      unit: 'mm',
    }),
    length: field(f.length('900 mm', 0.05, 2, '50 to 2000 mm'), { label: 'Length that twists', unit: 'mm' }),
    /** Travel of the link over travel of the wheel. */
    motionRatio: field(spring.ratio, { label: 'Link over wheel' }),
    grade: known,
    settings: field(
      z.array(barSetting).min(1, 'A bar has one hole at least.').max(12, 'At most 12 holes or blades.'),
      { label: 'Holes or blades', many: 'holes' },
    ),
  })
  .refine((b) => b.bore < b.diameter, { path: ['bore'], message: 'A bore is narrower than its bar.' })

const rubber = z.strictObject({
  /** Between the damper's body and the rubber where the car stands, m, with nothing packed. */
  gap: field(f.length('18 mm', 0, 0.3, '0 to 300 mm'), {
    label: 'Gap at the damper, standing',
    hint: 'Without packers',
    unit: 'mm',
  }),
  points: field(
    z
      .array(
        z.strictObject({
          travel: field(f.length('10 mm', 0.0005, 0.2, '0.5 to 200 mm'), { label: 'Pressed by', unit: 'mm' }),
          force: field(
            z
              .number('Type a force, such as 1500 N.')
              .gt(0, 'A rubber that is pressed carries something.')
              .max(1e5, 'Over 100 kN: check the unit.'),
            { quantity: 'force', label: 'Carries' },
          ),
        }),
      )
      .min(1, 'One point at least.')
      .max(20, 'At most 20 points.')
      .refine(
        (points) => isRising(points.map((p) => p.travel)) && isRising(points.map((p) => p.force)),
        'A rubber’s curve rises: write its points by rising travel, each carrying more than the one before.',
      ),
    { label: 'Its curve', many: 'points' },
  ),
})

const damping = z
  .number('Type a damping rate, such as 5000 N·s/m.')
  .gt(0, 'A damper damps.')
  .max(1e6, 'Check the unit.')
const damper = z.strictObject({
  name: f.name,
  points: field(
    z
      .array(
        z.strictObject({
          clicks: field(
            z.int('Type a whole number of clicks.').min(0, 'Clicks count from 0.').max(100, 'At most 100.'),
            { quantity: 'number', label: 'Clicks' },
          ),
          bump: field(damping, { quantity: 'damping', label: 'Bump' }),
          rebound: field(damping, { quantity: 'damping', label: 'Rebound' }),
        }),
      )
      .min(1, 'One line of its sheet at least.')
      .max(40, 'At most 40 lines.')
      .refine((p) => isRising(p.map((q) => q.clicks)), 'Write the lines by rising clicks.'),
    { label: 'Its sheet', many: 'lines' },
  ),
})

const axle = z.strictObject({
  springRate: spring.springRate,
  springGrade: known,
  helper: field(
    z
      .strictObject({
        rate: field(spring.springRate, { label: 'Helper spring' }),
        travel: field(f.length('40 mm', 0.001, 0.3, '1 to 300 mm'), {
          label: 'Until it is blocked',
          unit: 'mm',
        }),
      })
      .nullable(),
    { label: 'Helper' },
  ),
  /** Spring travel over wheel travel, where no pairs say it. */
  motionRatio: spring.motionRatio,
  ratioGrade: known,
  pairs: field(
    z
      .array(pair)
      .max(20, 'At most 20 pairs.')
      .refine(
        (pairs) => pairs.length === 0 || hasTwoPlaces(pairs),
        'One pair makes no ratio: measure the wheel at two places or more, away from where it stands.',
      ),
    { label: 'Measured pairs', many: 'pairs' },
  ),
  /** Of a damper apart from its spring; null where the spring sits on it. */
  damperRatio: field(spring.ratio.nullable(), {
    label: 'Damper over wheel',
    hint: 'Empty where the spring sits on it',
  }),
  tyreRate: spring.tyreRate,
  tyreGrade: known,
  threadPitch: field(spring.threadPitch, { unit: 'mm' }),
  bar: field(bar.nullable(), { label: 'Anti-roll bar' }),
  /** Over the ground, m; below zero under it. */
  rollCentre: field(f.length('60 mm', -0.3, 0.6, '−300 to 600 mm'), {
    label: 'Roll centre, up',
    hint: 'Measured or drawn; 0 on the ground',
  }),
  rollGrade: known,
  /** Of both wheels and what moves with them, kg. */
  unsprung: field(f.mass.gt(0, 'Wheels weigh something.').max(500, 'Over 500 kg: check the unit.'), {
    label: 'Unsprung, both wheels',
    hint: 'Wheels, hubs, brakes, half of the links',
  }),
  unsprungGrade: known,
  /** Of the wheel from where it stands until the damper is out, m; null where nobody measured. */
  droop: field(f.length('45 mm', 0, 0.4, '0 to 400 mm').nullable(), { label: 'Droop, at the wheel' }),
  /** Of the wheel from where it stands until metal stops it, m; null where nobody measured. */
  bump: field(f.length('70 mm', 0, 0.4, '0 to 400 mm').nullable(), { label: 'Up to metal, at the wheel' }),
  rubber: field(rubber.nullable(), { label: 'Bump rubber' }),
  damper: field(damper.nullable(), { label: 'Damper' }),
})

/** What carries, steers and damps the car at a stage: springs, ratios, bars, rubbers, dampers. SI. */
export const suspension = defineKind({
  name: 'suspension',
  within: 'stage',
  isCarriedOn: true,
  words: { one: 'suspension', many: 'suspension' },
  sortedBy: 'id',
  most: 200,
  fields: {
    front: field(axle, { label: 'Front' }),
    rear: field(axle, { label: 'Rear' }),
    turnStep: spring.turnStep,
    note: f.note,
  },
})
