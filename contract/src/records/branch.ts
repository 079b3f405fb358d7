import * as z from 'zod'
import { defineKind } from './defineKind'
import { field } from './field'
import * as f from './fields'

/** Changes that something tried may hold at most. */
export const MOST_TRIED = 2000

/**
 * Something tried on a build, apart from it: the edits that would lead there, which nobody has carried out. Its stage is
 * the one it starts from.
 *
 * What an edit may be is said where edits are defined, since they are made of records themselves; here they are
 * taken as they come.
 */
export const branch = defineKind({
  name: 'branch',
  collection: 'branches',
  within: 'stage',
  isFrozen: false,
  isTried: false,
  words: { one: 'branch', many: 'branches' },
  sortedBy: 'order',
  most: 200,
  fields: {
    name: field(f.name, { label: 'What you try', hint: 'Such as Shorter final drive' }),
    order: f.order,
    /** A stage of its own after that one, which only the edits make; null where the stage itself is changed. */
    stepId: field(f.id, { link: 'stage' }).nullable(),
    edits: field(
      z
        .array(z.record(z.string(), z.unknown()))
        .max(MOST_TRIED, `At most ${MOST_TRIED.toLocaleString('en')} changes can be tried at once.`),
      { label: 'Changes', many: 'changes' },
    ),
    /** When it was taken over into the build; from then on it is only a note of that. */
    adoptedAt: field(z.iso.datetime('A time is written as 2026-11-24T08:30:00Z.').nullable(), {
      label: 'Taken over at',
    }),
    note: f.note,
  },
})
