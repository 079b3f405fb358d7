import * as z from 'zod'
import { defineKind } from './defineKind'
import { choice, field } from './field'
import * as f from './fields'

const money = field(
  z.number('Type an amount of money.').min(0, 'Below zero.').max(1e5, 'That is beyond counting.'),
  { quantity: 'money' },
)

/** A sheet that can be had here, in place of a usual one. SI. */
export const sheetStock = defineKind({
  name: 'sheetStock',
  within: 'build',
  words: { one: 'sheet', many: 'sheets' },
  sortedBy: 'order',
  most: 100,
  fields: {
    name: field(f.name, { label: 'Called' }),
    order: f.order,
    build: choice(
      ['solid', 'sandwich'],
      { solid: 'solid all through', sandwich: 'two skins on a core' },
      'It is',
      'Choose solid or sandwich.',
    ),
    stiffness: field(
      z
        .number('Type a modulus, such as 70 GPa.')
        .min(1e8, 'Below 0.1 GPa: check the unit.')
        .max(1e12, 'Over 1,000 GPa: check the unit.'),
      { quantity: 'stress', unit: 'GPa', label: 'Modulus' },
    ),
    strength: field(
      z
        .number('Type a strength, such as 240 MPa.')
        .min(1e5, 'Below 0.1 MPa: check the unit.')
        .max(5e9, 'Over 5,000 MPa: check the unit.'),
      { quantity: 'stress', unit: 'MPa', label: 'Strength' },
    ),
    /** Of the sheet, or of the skins of a sandwich, and of its core, kg/m³. */
    density: field(
      z
        .number('Type a density, such as 2,700 kg/m³.')
        .min(10, 'Below 10 kg/m³: check the unit.')
        .max(20_000, 'Over 20,000 kg/m³: check the unit.'),
      { quantity: 'density', label: 'Density' },
    ),
    coreDensity: field(
      z
        .number('Type a density, such as 60 kg/m³.')
        .min(5, 'Below 5 kg/m³: check the unit.')
        .max(2000, 'Over 2,000 kg/m³: check the unit.')
        .nullable(),
      { quantity: 'density', label: 'Core, density' },
    ),
    /** Shear modulus of the core, Pa; null takes what is usual. */
    coreShear: field(
      z
        .number('Type a modulus, such as 20 MPa.')
        .min(1e5, 'Below 0.1 MPa: check the unit.')
        .max(1e10, 'Over 10,000 MPa: check the unit.')
        .nullable(),
      {
        quantity: 'stress',
        unit: 'MPa',
        label: 'Core, shear modulus',
        hint: 'A soft core gives way; empty takes 20 MPa',
      },
    ),
    skin: field(f.length('0.8 mm', 0.0001, 0.01, '0.1 to 10 mm').nullable(), {
      label: 'Each skin',
      unit: 'mm',
    }),
    thicknesses: field(
      z
        .array(field(f.length('10 mm', 0.0005, 0.06, '0.5 to 60 mm'), { unit: 'mm' }))
        .min(1, 'At least one thickness.')
        .max(12, 'At most 12 thicknesses.'),
      { label: 'Thicknesses' },
    ),
    /** Stiffness and strength across, over those along. */
    across: field(
      z
        .number('Type a share, such as 60 %; 100 for the same both ways.')
        .gt(0, 'Above zero.')
        .max(1, 'At most 100 %.'),
      { quantity: 'share', label: 'Across the grain', hint: 'Of what it bears along; 100 for the same' },
    ),
    /** A square metre, in the build's currency: before thickness counts, and for each mm of it. */
    price: field(
      z.strictObject({
        base: field(money, { label: 'A square metre' }),
        perMillimetre: field(money, { label: 'And each mm of it' }),
      }),
      { label: 'Price' },
    ),
    note: field(f.note, { hint: 'How it is cut, what fluids do to it' }),
  },
  check: (record) =>
    record
      .refine((s) => s.build === 'solid' || (s.skin !== null && s.coreDensity !== null), {
        path: ['skin'],
        message: 'A sandwich has skins and a core.',
      })
      .refine(
        ({ build, skin, thicknesses }) =>
          build === 'solid' || skin === null || thicknesses.every((t) => t > 2 * skin),
        {
          path: ['thicknesses'],
          message: 'A sandwich is thicker than its skins.',
        },
      ),
})
