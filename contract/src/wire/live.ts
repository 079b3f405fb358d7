import * as z from 'zod'
import * as f from '../records/fields'

/** Where somebody is in a build: the room, and the record that is open before them. */
export const whereabouts = z.strictObject({
  /** Of the tab; one person may have several. */
  tab: f.id,
  /** What they are called where there are no accounts; the session says so else. */
  name: z.string().trim().max(80).default(''),
  room: z.string().max(40),
  stageId: f.id.nullable(),
  /** The record that they are changing. */
  recordId: f.id.nullable(),
  /** They leave. */
  isGone: z.boolean().default(false),
})
export type Whereabouts = z.infer<typeof whereabouts>

const present = whereabouts.omit({ isGone: true }).extend({
  name: z.string(),
  /** Whose tab it is; null without accounts. */
  personId: f.id.nullable(),
})
/** Somebody who is in a build at this moment. */
export type Present = z.infer<typeof present>

/** The events of a build's stream, by their names. */
export const LIVE_EVENTS = {
  /** First, and again after each reconnection: what was missed has to be asked for. */
  hello: z.strictObject({ present: z.array(present) }),
  /** Who is where, whenever that changes. */
  present: z.strictObject({ present: z.array(present) }),
  /** What was done to this build, with the versions that it was based on. */
  edited: z.strictObject({ batchId: f.id, author: z.string(), edits: z.array(z.unknown()) }),
  /** Something was done that is too much to be told, or to another build of the workshop. */
  changed: z.strictObject({ buildId: f.id, kinds: z.array(z.string()) }),
  /** A build came or went. */
  builds: z.strictObject({}),
  /** Whoever listens may not any more, or as something else: it has to ask who it is. */
  ended: z.strictObject({}),
} as const
export type LiveEvent = keyof typeof LIVE_EVENTS
export const LIVE_NAMES = Object.keys(LIVE_EVENTS) as readonly LiveEvent[]
