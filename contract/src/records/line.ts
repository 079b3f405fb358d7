import { LINE_KINDS } from '@bold-ballast/core'
import * as z from 'zod'
import { FATE, FATES, GRADE, LINE_KIND, SYSTEM, SYSTEMS } from './choices'
import { defineKind } from './defineKind'
import { choice, field } from './field'
import * as f from './fields'

const reading = field(
  z
    .number('Type what the scale reads, such as 4.21 kg.')
    .gt(0, 'A reading is above zero.')
    .max(20_000, 'That is over 20 t: check the unit.'),
  { quantity: 'mass' },
)
const pieces = field(
  z.int('Type a whole number of pieces.').min(1, 'At least one piece.').max(10_000, 'At most 10,000 pieces.'),
  { quantity: 'number', label: 'Pieces' },
)

/** How a part was weighed. kg; the line's mass is what follows from it. */
const weighing = z.strictObject({
  readings: field(
    z.array(reading).min(1, 'At least one reading is needed.').max(20, 'At most 20 readings.'),
    { label: 'Readings' },
  ),
  tare: field(
    z
      .number('Type what the box or strap weighs, 0 for none.')
      .min(0, 'A tare can’t be below zero.')
      .max(5000, 'That is over 5 t: check the unit.'),
    { quantity: 'mass', label: 'Tare: box or strap' },
  ),
  resolution: field(
    z
      .number('Type the smallest step of the scale.')
      .gt(0, 'A scale has a step above zero.')
      .max(50, 'That step is too coarse for a part.'),
    { quantity: 'mass', label: 'Its step' },
  ),
  /** The scale's own standard error as a share, which all parts weighed on it have in common. */
  bias: field(
    z
      .number('Type a share in per cent.')
      .min(0, 'An error can’t be below zero.')
      .max(0.2, 'Over 20 % is no scale.'),
    { quantity: 'share', label: 'Its own error, ±', hint: '0.5 % is usual; no repeat shows it' },
  ),
  scale: f.words('Scale', 80),
  pieces: field(pieces, { label: 'Pieces on it at once' }),
  /** Names all lines that were weighed together and shared out; null for a weighing of its own. */
  together: f.id.nullable(),
})

const source = f.words('Who says so', 80)

/** One part of a swap. */
export const line = defineKind({
  name: 'line',
  within: 'swap',
  isLogged: true,
  words: { one: 'line', many: 'lines' },
  sortedBy: 'order',
  most: 20_000,
  fields: {
    kind: choice(LINE_KINDS, LINE_KIND, 'Way', 'Choose off, on, moved or carried over.'),
    name: field(f.name, { label: 'Part' }),
    system: choice(SYSTEMS, SYSTEM, 'System', 'Choose the system it belongs to.'),
    mass: field(f.mass, { label: 'Mass of one piece' }),
    sigma: f.sigma,
    grade: f.grade,
    quantity: pieces,
    /** True once it is off the car, or fitted to it. */
    fitted: field(z.boolean(), { label: 'Done' }),
    /** The day it came off or went on; null where nobody noted it. */
    changedOn: field(f.date.nullable(), {
      label: 'Off or on since',
      hint: 'Weighings before that day don’t count it',
    }),
    position: field(f.position.nullable(), { label: 'Place' }),
    /** Where a moved part goes. */
    movedTo: field(f.position.nullable(), { label: 'Moved to' }),
    order: f.order,
    /** An allowance stands for bits and bobs that nobody weighed; lines added to its swap come out of it. */
    role: choice(
      ['part', 'allowance'],
      { part: 'a part', allowance: 'an allowance for bits and bobs' },
      'It is',
      'Choose a part or an allowance.',
    ),
    weighing: field(weighing.nullable(), { label: 'Weighing' }),
    /** What became of a part that came off. */
    fate: choice(FATES, FATE, 'What became of it', 'Choose what became of it.'),
    /** Where a part lies that came off, and what it was sold for in the build's currency. */
    liesAt: field(f.words('Lies where', 120), { hint: 'Shelf, crate, whose loft' }),
    soldFor: field(f.price.nullable(), { label: 'Sold for' }),
    /** The line that this part was before: what came off and went on again elsewhere. */
    fromLine: f.linkTo('line', 'Was before'),
    /** Where the figure is from: a maker's sheet, a seller, whose feel. */
    source: field(source, {
      hint: 'A maker, a seller, whose feel: Claims in Proof tells later how far off they were',
    }),
    /** What a guess or a maker's claim was before the part was weighed; null where nobody said anything. */
    said: field(
      z
        .strictObject({
          mass: f.mass,
          grade: choice(
            ['guess', 'claim'],
            { guess: GRADE.guess, claim: GRADE.claim },
            'Known by',
            'Choose guess or claim.',
          ),
          source,
        })
        .nullable(),
      { label: 'Said before' },
    ),
    /** More of the same at other places. */
    alsoAt: field(
      z
        .array(
          z.strictObject({
            position: field(f.position, { label: 'Place' }),
            quantity: field(pieces, { label: 'Pieces there' }),
          }),
        )
        .max(24, 'At most 25 places.'),
      { label: 'Also at', many: 'places' },
    ),
  },
})
