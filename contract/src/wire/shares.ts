import * as z from 'zod'
import * as f from '../records/fields'
import { sealedFigures } from '../records/seal'

/** A proof sheet as somebody outside reads it: words and figures, and nothing that leads further in. */
export const sharedSheet = z.strictObject({
  build: f.name,
  stage: f.name,
  /** Which stage it is, counted from 1. */
  place: z.int().min(1).max(200),
  figures: sealedFigures,
  signed: z.strictObject({ at: z.iso.datetime(), author: z.string().trim().min(1).max(80) }).nullable(),
  code: z.string().max(20),
  units: f.units,
})
export type SharedSheet = z.infer<typeof sharedSheet>

const DAY = 86_400_000
export const LONGEST_SHARE_DAYS = 366

/** A link to be made. Its token is the server's. */
export const shareToAdd = z.strictObject({
  id: f.id,
  stageId: f.id,
  sheet: sharedSheet,
  endsAt: z.iso
    .datetime('Say until when the link works.')
    .refine((at) => Date.parse(at) > Date.now(), 'That is over already: choose a later day.')
    .refine(
      (at) => Date.parse(at) < Date.now() + LONGEST_SHARE_DAYS * DAY,
      'A link works for a year at most.',
    ),
})
export type ShareToAdd = z.infer<typeof shareToAdd>

const share = z.strictObject({
  id: f.id,
  stageId: f.id,
  token: z.string().min(32),
  createdAt: z.iso.datetime(),
  endsAt: z.iso.datetime(),
  withdrawnAt: z.iso.datetime().nullable(),
})
export const shareList = z.array(share)
export const shareAdded = share
export type Share = z.infer<typeof share>

/** What a link opens. */
export const sharedAnswer = z.strictObject({
  sheet: sharedSheet,
  sharedAt: z.iso.datetime(),
  endsAt: z.iso.datetime(),
})
export type SharedAnswer = z.infer<typeof sharedAnswer>

/** Where a code leads. */
export const recordPlace = z.strictObject({ buildId: f.id, stageId: f.id, sealId: f.id.nullable() })
export type RecordPlace = z.infer<typeof recordPlace>
