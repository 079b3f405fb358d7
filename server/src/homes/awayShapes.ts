import {
  buildFile,
  buildList,
  homecomingResult,
  me,
  photoList,
  pictureList,
  problem,
  runLogList,
  upgradeFile,
} from '@bold-ballast/contract'
import * as z from 'zod'
import { isModest } from '../http/isModest'

/** What another server is asked for, as it answers it. */
const SHAPES = {
  opens: z.looseObject({ kind: z.string() }),
  me,
  builds: buildList,
  photos: photoList.transform((list) => list.map(({ lineId, sha256 }) => ({ recordId: lineId, sha256 }))),
  pictures: pictureList.transform((list) =>
    list.map(({ pictureId, sha256 }) => ({ recordId: pictureId, sha256 })),
  ),
  logs: runLogList.transform((list) => list.map(({ runId, sha256 }) => ({ recordId: runId, sha256 }))),
  homecoming: homecomingResult,
  build: z.unknown().transform(upgradeFile).pipe(buildFile),
  problem,
} as const
export type AwayShape = keyof typeof SHAPES
export type AwayAnswer<S extends AwayShape> = z.infer<(typeof SHAPES)[S]>

/**
 * What another server said, where it has the shape that is wanted of it; null for anything else: what is too deep or too
 * much is not even read.
 */
export function readAway<S extends AwayShape>(shape: S, body: Uint8Array): AwayAnswer<S> | null {
  if (isModest(body)) return null
  try {
    const parsed = SHAPES[shape].safeParse(JSON.parse(Buffer.from(body).toString('utf8')))
    return parsed.success ? (parsed.data as AwayAnswer<S>) : null
  } catch {
    return null
  }
}
