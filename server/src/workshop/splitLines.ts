import { Refusal } from '../http/Refusal'

export interface LineLimits {
  /** Of all lines, empty ones too. */
  readonly lines: number
  /** Of one line, and of all together, in bytes. */
  readonly lineBytes: number
  readonly allBytes: number
}

const LINE_FEED = 0x0a
const CARRIAGE_RETURN = 0x0d

const tooLarge = (detail: string) => new Refusal(413, 'too-large', 'Too large', detail)
const mega = (bytes: number) => `${Math.round(bytes / 1e6).toLocaleString('en')} MB`

/**
 * The lines of a file as bytes, one after the other, without holding more than one of them.
 *
 * A small packed file can unpack to anything; limits are kept while it streams, before a line is whole.
 *
 * @throws {Refusal} 413 that names the limit
 */
export async function* splitLines(
  chunks: AsyncIterable<Buffer>,
  { lines, lineBytes, allBytes }: LineLimits,
): AsyncGenerator<Buffer> {
  let held: Buffer[] = []
  let [heldBytes, total, count] = [0, 0, 0]
  const hold = (part: Buffer) => {
    heldBytes += part.length
    if (heldBytes > lineBytes) throw tooLarge(`Line ${count + 1} is over ${mega(lineBytes)} long.`)
    held.push(part)
  }
  const whole = (): Buffer => {
    count += 1
    if (count > lines) throw tooLarge(`A workshop file has at most ${lines.toLocaleString('en')} lines.`)
    const [first] = held
    const line = first && held.length === 1 ? first : Buffer.concat(held)
    held = []
    heldBytes = 0
    return line.at(-1) === CARRIAGE_RETURN ? line.subarray(0, -1) : line
  }
  for await (const chunk of chunks) {
    total += chunk.length
    if (total > allBytes) throw tooLarge(`A workshop file unpacks to ${mega(allBytes)} at most.`)
    let from = 0
    for (let end = chunk.indexOf(LINE_FEED); end >= 0; end = chunk.indexOf(LINE_FEED, from)) {
      hold(chunk.subarray(from, end))
      yield whole()
      from = end + 1
    }
    if (from < chunk.length) hold(chunk.subarray(from))
  }
  if (heldBytes > 0) yield whole()
}
