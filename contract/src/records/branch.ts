import * as z from 'zod'
import * as f from './fields'

/** Changes that something tried may hold at most. */
export const MOST_TRIED = 2000

/**
 * Something tried on a build, apart from it: the edits that would lead there, which nobody has carried out.
 *
 * What an edit may be is said where edits are defined, since they are made of records themselves; here they are
 * taken as they come.
 */
export const branchRecord = z.strictObject({
  id: f.id,
  /** The stage it starts from. */
  stageId: f.id,
  name: f.name,
  order: f.order,
  /** A stage of its own after that one, which only the edits make; null where the stage itself is changed. */
  stepId: f.id.nullable(),
  edits: z
    .array(z.record(z.string(), z.unknown()))
    .max(MOST_TRIED, `At most ${MOST_TRIED.toLocaleString('en')} changes can be tried at once.`),
  /** When it was taken over into the build; from then on it is only a note of that. */
  adoptedAt: z.iso.datetime('A time is written as 2026-11-24T08:30:00Z.').nullable(),
  note: f.note,
})
