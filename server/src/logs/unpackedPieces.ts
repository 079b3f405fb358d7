import { Readable } from 'node:stream'
import { createGunzip } from 'node:zlib'

/** The head of a log is a line of JSON: a hundred channels with their titles are a fraction of that, bytes. */
export const MOST_HEAD = 262_144

/**
 * A packed log piece by piece as it is unpacked, for as long as whoever reads it wants more: a few bytes can unpack to
 * gigabytes.
 *
 * @throws what a file that was cut off or isn't gzip gives
 */
export async function* unpackedPieces(packed: Buffer): AsyncGenerator<Buffer> {
  const unpacked = Readable.from([packed]).pipe(createGunzip())
  try {
    yield* unpacked as AsyncIterable<Buffer>
  } finally {
    unpacked.destroy()
  }
}
