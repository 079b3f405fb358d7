import * as z from 'zod'
import { defineKind } from './defineKind'
import { choice, field } from './field'
import * as f from './fields'

const part = z.strictObject({
  name: f.name,
  quantity: field(f.count(1000, 'At most 1,000.'), { label: 'Pieces' }),
  price: field(f.price, { label: 'Each' }),
})
const fluid = z.strictObject({ name: f.name, volume: field(f.volume, { label: 'Filled' }) })

/** Something that was done to the car, or that gave out. */
export const service = defineKind({
  name: 'service',
  within: 'stage',
  isLogged: true,
  words: { one: 'service entry', many: 'service entries' },
  sortedBy: 'date',
  most: 5000,
  fields: {
    date: f.date,
    kind: choice(
      ['service', 'failure'],
      { service: 'service', failure: 'failure' },
      'It is a',
      'Choose service or failure.',
    ),
    /** What it is about; null for the car as a whole. */
    componentId: f.linkTo('component', 'About'),
    /** The component's life starts anew. */
    renewed: field(z.boolean(), { label: 'It was renewed: its life starts anew' }),
    what: field(f.name, { label: 'What was done' }),
    /** Of a failure: what was changed shortly before it. */
    changedThen: field(f.words('Changed shortly before', 500), {
      hint: 'More boost, stickier tyres, another driver; or nothing',
    }),
    parts: field(z.array(part).max(40, 'At most 40 parts.'), { label: 'Parts', many: 'parts' }),
    fluids: field(z.array(fluid).max(20, 'At most 20 fluids.'), { label: 'Fluids', many: 'fluids' }),
    note: f.note,
  },
})
