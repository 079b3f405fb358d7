import * as z from 'zod'
import { KINDS } from '../records/kinds'
import { PHOTO_TYPES } from '../files/photoTypes'
import * as f from '../records/fields'

export const WORKSHOP_FORMAT = 'bold-ballast/workshop'
/** From version 2 on, a history is of the version of its build file; before, of any. Version 3 has logs, version 4 pictures of jobs. */
export const WORKSHOP_FORMAT_VERSION = 4

const edit = z.looseObject({ op: z.enum(['put', 'remove']), kind: z.enum(KINDS) })
const batch = z.strictObject({
  id: f.id,
  at: z.iso.datetime(),
  label: z.string().max(200),
  author: z.string().max(80),
  edits: z.array(edit),
  inverse: z.array(edit).nullable(),
  result: z.looseObject({}),
})

/**
 * A whole workshop as a file: one JSON value a line, so that it is written and read without holding it all. First whose
 * it is, then its builds with their histories, then photographs, pictures and logs, then an end, by which a file that was cut off is known.
 */
export const workshopLine = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('workshop'),
    format: z.literal(WORKSHOP_FORMAT, `The file must say "format": "${WORKSHOP_FORMAT}".`),
    formatVersion: z
      .int()
      .min(1)
      .max(
        WORKSHOP_FORMAT_VERSION,
        `Only workshop files up to version ${WORKSHOP_FORMAT_VERSION} are known here.`,
      ),
    name: f.name,
    exportedAt: z.iso.datetime(),
    builds: z.int().min(0),
  }),
  z.strictObject({
    kind: z.literal('build'),
    createdAt: z.iso.datetime(),
    /** A build file of any version, checked as one. */
    file: z.unknown(),
    history: z.array(batch),
  }),
  z.strictObject({
    kind: z.literal('photo'),
    buildId: f.id,
    lineId: f.id,
    type: z.enum(PHOTO_TYPES),
    base64: z.base64(),
  }),
  z.strictObject({
    kind: z.literal('picture'),
    buildId: f.id,
    pictureId: f.id,
    type: z.enum(PHOTO_TYPES),
    base64: z.base64(),
  }),
  z.strictObject({ kind: z.literal('log'), buildId: f.id, runId: f.id, base64: z.base64() }),
  z.strictObject({ kind: z.literal('end') }),
])
export type WorkshopLine = z.infer<typeof workshopLine>

export const ALREADY_HERE = ['leave', 'copy'] as const
/** What is done with builds of a workshop file that are here already. */
export type AlreadyHere = (typeof ALREADY_HERE)[number]

/** What an import did, or would do. */
export const workshopImported = z.strictObject({
  name: f.name,
  exportedAt: z.iso.datetime(),
  builds: z.array(
    z.strictObject({
      name: f.name,
      stages: z.int(),
      lines: z.int(),
      photos: z.int(),
      pictures: z.int(),
      logs: z.int(),
      changes: z.int(),
      fate: z.enum(['new', 'copied', 'left']),
    }),
  ),
  /** False where it was only looked through. */
  isDone: z.boolean(),
})
export type WorkshopImported = z.infer<typeof workshopImported>

/** A workshop file that is being packed, or waits to be fetched. */
export const workshopExport = z.strictObject({
  id: f.id,
  /** Builds and files that are packed, and of how many; 0 until it is known. */
  done: z.int(),
  of: z.int(),
  /** How large it is, once it is there. */
  bytes: z.int().nullable(),
  /** Why there will be none. */
  problem: z.string().nullable(),
})
export type WorkshopExport = z.infer<typeof workshopExport>
