const WOFF = 0x774f4646
const HEADER = 44
const ENTRY = 20
const SFNT_HEADER = 12
const SFNT_ENTRY = 16
const padded = (length: number) => (length + 3) & ~3

/**
 * A TrueType font out of its web packing: the same tables, unpacked, behind a directory of their own.
 *
 * The program that writes PDFs reads TrueType only, and the fonts of the application come packed for the web.
 *
 * @param woff a WOFF 1 file
 * @param inflate unpacks what was packed with zlib
 * @throws {RangeError} for what is no WOFF 1
 * @source W3C, WOFF File Format 1.0, sections 3 to 5; OpenType, table directory
 */
export async function woffToTtf(
  woff: ArrayBuffer,
  inflate: (packed: Uint8Array) => Promise<Uint8Array> = inflated,
): Promise<Uint8Array> {
  const from = new DataView(woff)
  if (woff.byteLength < HEADER || from.getUint32(0) !== WOFF) throw new RangeError('that is no WOFF 1 font')
  const count = from.getUint16(12)
  const tables = await Promise.all(
    Array.from({ length: count }, async (_, i) => {
      const at = HEADER + i * ENTRY
      const [tag, offset, packed, length, checksum] = [0, 4, 8, 12, 16].map((step) =>
        from.getUint32(at + step),
      ) as [number, number, number, number, number]
      const bytes = new Uint8Array(woff, offset, packed)
      return { tag, length, checksum, bytes: packed < length ? await inflate(bytes) : bytes }
    }),
  )
  const start = SFNT_HEADER + count * SFNT_ENTRY
  const ttf = new Uint8Array(tables.reduce((sum, t) => sum + padded(t.length), start))
  const to = new DataView(ttf.buffer)
  const power = 2 ** Math.floor(Math.log2(count))
  to.setUint32(0, from.getUint32(4))
  to.setUint16(4, count)
  to.setUint16(6, power * SFNT_ENTRY)
  to.setUint16(8, Math.log2(power))
  to.setUint16(10, (count - power) * SFNT_ENTRY)
  let offset = start
  tables.forEach(({ tag, length, checksum, bytes }, i) => {
    const at = SFNT_HEADER + i * SFNT_ENTRY
    ;[tag, checksum, offset, length].forEach((value, step) => to.setUint32(at + step * 4, value))
    ttf.set(bytes, offset)
    offset += padded(length)
  })
  return ttf
}

async function inflated(packed: Uint8Array): Promise<Uint8Array> {
  const unpacked = new Blob([packed as BlobPart]).stream().pipeThrough(new DecompressionStream('deflate'))
  return new Uint8Array(await new Response(unpacked).arrayBuffer())
}
