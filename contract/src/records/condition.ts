import * as z from 'zod'
import { defineKind } from './defineKind'
import { field } from './field'
import * as f from './fields'

/** How full, or whether aboard, by the load's id: 0 to 1. What isn't named stays as it was as bought. */
export const amounts = field(z.record(field(f.id, { link: 'load' }), f.share), { label: 'Aboard' })

const aboard = {
  fuel: field(f.volume, { label: 'Fuel' }),
  driver: field(f.mass, { label: 'Driver', hint: '0 for nobody' }),
  amounts,
}

/** What the car is stated or weighed for: fuel in m³, driver in kg (0 for none), and whatever else is aboard. */
export const conditionOf = z.strictObject(aboard)

/** A condition with a name, to be chosen with one click: dry, race start, as the class weighs it. */
export const condition = defineKind({
  name: 'condition',
  within: 'build',
  words: { one: 'condition', many: 'conditions' },
  sortedBy: 'order',
  most: 200,
  fields: { ...aboard, name: f.name, order: f.order },
})
