import { logColumns, type LogColumns } from '@bold-ballast/contract'
import { MOST_HEAD, unpackedPieces } from './unpackedPieces'

/**
 * How the columns of a packed log's file were read, as its head says. No more of it is unpacked than that line: a few bytes
 * can unpack to gigabytes.
 *
 * @returns null where it says nothing, or can't be read: whoever asks for the log is told then
 */
export async function columnsOfPacked(packed: Buffer): Promise<LogColumns | null> {
  const head = await firstLine(packed)
  if (head === null) return null
  try {
    const { read } = JSON.parse(head) as { readonly read?: unknown }
    return logColumns.safeParse(read).data ?? null
  } catch {
    return null
  }
}

async function firstLine(packed: Buffer): Promise<string | null> {
  const pieces: Buffer[] = []
  let length = 0
  try {
    for await (const piece of unpackedPieces(packed)) {
      const end = piece.indexOf(10)
      pieces.push(end < 0 ? piece : piece.subarray(0, end))
      length += piece.length
      if (end >= 0) return Buffer.concat(pieces).toString('utf8')
      if (length > MOST_HEAD) return null
    }
  } catch {
    // Cut off, or no gzip after all.
  }
  return null
}
