import * as z from 'zod'
import { MERGE_TROUBLES } from '../edits/mergeBuilds'
import * as f from '../records/fields'
import { eachCollection, COLLECTION, KINDS, type BuildDocument } from '../records/kinds'
import { FORMAT_VERSION } from '../versions/formatVersion'
import { isFields } from '../versions/recordSteps'
import { upgradeFile } from '../versions/upgradeFile'
import { buildFile, type BuildFile } from './buildFile'
import { PHOTO_TYPES } from './photoTypes'

/** In one file: some 60 MB. */
export const MOST_PHOTOGRAPHS = 300
export const MOST_LOGS = 300
export const MOST_PICTURES = 300
export const HOMECOMING_FORMAT = 'bold-ballast/homecoming'

/** A build that was taken along, as it was taken and as it is now: what home needs to take over what was done away. */
export const homecomingFile = z.strictObject({
  format: z.literal(HOMECOMING_FORMAT, `The file must say "format": "${HOMECOMING_FORMAT}".`),
  formatVersion: z.literal(FORMAT_VERSION, `Only format versions up to ${FORMAT_VERSION} are known here.`),
  /** Whose machine it was on. */
  from: f.name,
  at: z.iso.datetime(),
  base: buildFile,
  mine: buildFile,
  /** Photographs that were taken away, each of a line's part. */
  photographs: z
    .array(z.strictObject({ lineId: f.id, type: z.enum(PHOTO_TYPES), base64: z.base64() }))
    .max(MOST_PHOTOGRAPHS)
    .default([]),
  /** Photographs of jobs that were taken away. */
  pictures: z
    .array(z.strictObject({ pictureId: f.id, type: z.enum(PHOTO_TYPES), base64: z.base64() }))
    .max(MOST_PICTURES)
    .default([]),
  /** Logs that were kept away, each of a run. */
  logs: z
    .array(z.strictObject({ runId: f.id, base64: z.base64() }))
    .max(MOST_LOGS)
    .default([]),
})
export type HomecomingFile = z.infer<typeof homecomingFile>

/** What is brought to a build that is here. */
export const homecoming = z.strictObject({
  /** Of the batch that it becomes, so that sending it twice is harmless. */
  id: f.id,
  from: f.name,
  /** As both sides had it last; null for what this build itself came as. */
  base: buildFile.nullable(),
  mine: buildFile,
  /** What somebody has chosen of what both sides changed, by the record's id. */
  choices: z.record(f.id, z.enum(['mine', 'theirs'])),
  /** Only looks what would be done. */
  look: z.boolean(),
})
export type Homecoming = z.infer<typeof homecoming>

/** Builds that were taken along from elsewhere, and since when. */
export const alongList = z.array(z.strictObject({ buildId: f.id, takenAt: z.iso.datetime() }))
export type AlongList = z.infer<typeof alongList>

export const homecomingResult = z.strictObject({
  isDone: z.boolean(),
  /** What is done here, or would be. */
  edits: z.array(z.unknown()),
  /** What somebody has to choose first. */
  conflicts: z.array(
    z.strictObject({
      kind: z.enum(KINDS),
      id: f.id,
      why: z.enum(MERGE_TROUBLES),
      /** Nothing is to choose: it stays as it is here. */
      isSettled: z.boolean(),
      mine: z.unknown(),
      theirs: z.unknown(),
    }),
  ),
  /** Records that had been removed and stay, since something new hangs from them. */
  kept: z.array(z.strictObject({ kind: z.enum(KINDS), id: f.id })),
})
export type HomecomingResult = z.infer<typeof homecomingResult>

/** A file of an older version, or what is brought of one, with its builds as they are today. */
export function upgradeHomecoming(json: unknown): unknown {
  if (!isFields(json)) return json
  const builds = Object.fromEntries(
    (['base', 'mine'] as const).flatMap((side) =>
      isFields(json[side]) ? [[side, upgradeFile(json[side])]] : [],
    ),
  )
  const isFile = json['format'] === HOMECOMING_FORMAT && typeof json['formatVersion'] === 'number'
  return { ...json, ...builds, ...(isFile && { formatVersion: FORMAT_VERSION }) }
}

/** A file as a document, each record at its first version. */
export function documentOf(file: BuildFile): BuildDocument
export function documentOf(file: BuildFile): object {
  const first = <T extends object>(record: T) => ({ ...record, version: 1 })
  const lists = eachCollection((kind) => file[COLLECTION[kind]].map((record) => first<object>(record)))
  return { build: first(file.build), ...lists }
}
