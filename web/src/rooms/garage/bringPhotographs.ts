import { photoList, type HomecomingFile } from '@bold-ballast/contract'
import { photoOf } from '../../store/photos'

/** What became of photographs that were brought. */
export interface Photographs {
  readonly brought: number
  /** Home has another: both stay where they are. */
  readonly stayed: number
}

const bytesIn = (base64: string): Uint8Array<ArrayBuffer> =>
  Uint8Array.from(atob(base64), (letter) => letter.charCodeAt(0))

async function digestOf(bytes: Uint8Array<ArrayBuffer>): Promise<string> {
  const digest = await crypto.subtle.digest('SHA-256', bytes)
  return Array.from(new Uint8Array(digest), (byte) => byte.toString(16).padStart(2, '0')).join('')
}

/**
 * Puts photographs that came in a file to their lines. A line that has another keeps it; one that isn't there gets none.
 *
 * @throws where the server doesn't answer; what has been put is put, and doing it again is harmless
 */
export async function bringPhotographs(
  buildId: string,
  photographs: HomecomingFile['photographs'],
): Promise<Photographs> {
  if (photographs.length === 0) return { brought: 0, stayed: 0 }
  const answer = await fetch(`/api/v1/builds/${buildId}/photos`)
  const here = new Map(photoList.parse(await answer.json()).map(({ lineId, sha256 }) => [lineId, sha256]))
  let [brought, stayed] = [0, 0]
  for (const { lineId, type, base64 } of photographs) {
    const bytes = bytesIn(base64)
    const own = here.get(lineId)
    if (own !== undefined) {
      if (own !== (await digestOf(bytes))) stayed += 1
      continue
    }
    const put = await fetch(photoOf(buildId, lineId), {
      method: 'PUT',
      body: bytes,
      headers: { 'content-type': type },
    })
    if (put.ok) brought += 1
  }
  return { brought, stayed }
}

/** The same in words; empty for none. */
export function photosSaid({ brought, stayed }: Photographs): string {
  const count = (n: number) => (n === 1 ? 'One photograph' : `${n} photographs`)
  return [
    brought > 0 && `${count(brought)} came over.`,
    stayed > 0 && `${count(stayed)} stayed where ${stayed === 1 ? 'it was' : 'they were'}: home has another.`,
  ]
    .filter(Boolean)
    .join(' ')
}
