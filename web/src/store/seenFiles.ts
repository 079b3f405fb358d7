import type { FileKind } from './device'

/** Of which files beside records this tab has seen which: the SHA-256, or null where there was none. */
const seen = new Map<string, string | null>()
const placeOf = (kind: FileKind, recordId: string) => `${kind} ${recordId}`

/** Notes what was shown of a record, so that nothing else is replaced by what is put there next. */
export const noteSeen = (kind: FileKind, recordId: string, sha256: string | null): void =>
  void seen.set(placeOf(kind, recordId), sha256)

/** What was seen last; undefined where nobody has looked. */
export const seenLast = (kind: FileKind, recordId: string): string | null | undefined =>
  seen.get(placeOf(kind, recordId))

/** The digest that an answer names; null for an answer that there is none. */
export const digestIn = (answer: Response): string | null =>
  /^(?:W\/)?"([0-9a-f]{64})"$/.exec(answer.headers.get('etag') ?? '')?.[1] ?? null

/** SHA-256 of what is in a file, in hexadecimal. */
export async function digestOf(body: Blob): Promise<string> {
  const bytes = await crypto.subtle.digest('SHA-256', await body.arrayBuffer())
  return Array.from(new Uint8Array(bytes), (byte) => byte.toString(16).padStart(2, '0')).join('')
}
