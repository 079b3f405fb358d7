import { defineKind } from './defineKind'
import { field } from './field'
import * as f from './fields'

/** What would make something that comes again quicker, and what it takes to make that. */
export const quickRelease = defineKind({
  name: 'quickRelease',
  within: 'build',
  isLogged: true,
  words: { one: 'quick release', many: 'quick releases' },
  sortedBy: 'id',
  most: 300,
  fields: {
    operation: f.words('Comes again as', 80, 'Give a name of up to 80 characters.'),
    /** Hands on it, s: what it would take then, and to make it once; null while nobody said. */
    takes: field(f.workTime('2 h').nullable(), { label: 'With a quick release', unit: 'h' }),
    making: field(f.workTime('8 h').nullable(), { label: 'To make it', unit: 'h' }),
    note: f.note,
  },
})
