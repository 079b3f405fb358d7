import { photoList, pictureList, RUN_LOG_TYPE, runLogList, type HomecomingFile } from '@bold-ballast/contract'
import { fileAt, putHeaders } from '../../store/keptFiles'
import { digestOf } from '../../store/seenFiles'
import type { FileKind } from '../../store/device'

/** What became of files that were brought. */
export interface Brought {
  readonly brought: number
  /** Home has another: both stay where they are. */
  readonly stayed: number
}
/** What came over beside a build's records. */
export type BroughtFiles = Readonly<Record<FileKind, Brought>>
export const NOTHING_BROUGHT: BroughtFiles = {
  photo: { brought: 0, stayed: 0 },
  picture: { brought: 0, stayed: 0 },
  log: { brought: 0, stayed: 0 },
}

interface InFile {
  readonly recordId: string
  readonly type: string
  readonly base64: string
}

const bytesIn = (base64: string): Uint8Array<ArrayBuffer> =>
  Uint8Array.from(atob(base64), (letter) => letter.charCodeAt(0))

const LISTED: Readonly<Record<FileKind, (json: unknown) => (readonly [recordId: string, sha256: string])[]>> =
  {
    photo: (json) => photoList.parse(json).map(({ lineId, sha256 }) => [lineId, sha256]),
    picture: (json) => pictureList.parse(json).map(({ pictureId, sha256 }) => [pictureId, sha256]),
    log: (json) => runLogList.parse(json).map(({ runId, sha256 }) => [runId, sha256]),
  }

/**
 * Puts files that came with a build to their records. A record that has another keeps it; one that isn't there gets none.
 *
 * @throws where the server doesn't answer; what has been put is put, and doing it again is harmless
 */
async function bringKind(kind: FileKind, buildId: string, files: readonly InFile[]): Promise<Brought> {
  if (files.length === 0) return NOTHING_BROUGHT[kind]
  const answer = await fetch(`/api/v1/builds/${buildId}/${kind}s`)
  const here = new Map(LISTED[kind](await answer.json()))
  let [brought, stayed] = [0, 0]
  for (const { recordId, type, base64 } of files) {
    const bytes = bytesIn(base64)
    const own = here.get(recordId)
    if (own !== undefined) {
      if (own !== (await digestOf(new Blob([bytes])))) stayed += 1
      continue
    }
    const put = await fetch(fileAt(kind, buildId, recordId), {
      method: 'PUT',
      body: bytes,
      headers: putHeaders(kind, { type }),
    })
    if (put.ok) brought += 1
  }
  return { brought, stayed }
}

/** Photographs, pictures and logs that came in a file with a build. */
export async function bringFiles(
  buildId: string,
  { photographs, pictures, logs }: Pick<HomecomingFile, 'photographs' | 'pictures' | 'logs'>,
): Promise<BroughtFiles> {
  return {
    photo: await bringKind(
      'photo',
      buildId,
      photographs.map(({ lineId, ...file }) => ({ ...file, recordId: lineId })),
    ),
    picture: await bringKind(
      'picture',
      buildId,
      pictures.map(({ pictureId, ...file }) => ({ ...file, recordId: pictureId })),
    ),
    log: await bringKind(
      'log',
      buildId,
      logs.map(({ runId, base64 }) => ({ recordId: runId, type: RUN_LOG_TYPE, base64 })),
    ),
  }
}

const NAMED: Readonly<Record<FileKind, readonly [one: string, more: string]>> = {
  photo: ['One photograph', 'photographs'],
  picture: ['One picture of a job', 'pictures of jobs'],
  log: ['One log', 'logs'],
}

/** The same in words; empty for none. */
export const broughtSaid = (files: BroughtFiles): string =>
  (['photo', 'picture', 'log'] as const)
    .flatMap((kind) => {
      const [one, more] = NAMED[kind]
      const { brought, stayed } = files[kind]
      const count = (n: number) => (n === 1 ? one : `${n} ${more}`)
      return [
        brought > 0 && `${count(brought)} came over.`,
        stayed > 0 &&
          `${count(stayed)} stayed where ${stayed === 1 ? 'it was' : 'they were'}: home has another.`,
      ]
    })
    .filter(Boolean)
    .join(' ')
