import { defineKind } from './defineKind'
import { field } from './field'
import * as f from './fields'

/** A photograph of a job, as one says what it shows; the file itself is kept beside it. */
export const picture = defineKind({
  name: 'picture',
  within: 'job',
  isFrozen: false,
  isLogged: true,
  words: { one: 'picture of a job', many: 'pictures of jobs' },
  sortedBy: 'date',
  most: 3000,
  fields: {
    what: field(f.words('What it shows', 200), { hint: 'Such as how the hoses ran' }),
    date: field(f.date, { label: 'Taken on' }),
  },
})
