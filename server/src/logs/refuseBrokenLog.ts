import { packedLogSize } from '@bold-ballast/core'
import { Refusal } from '../http/Refusal'
import { MOST_HEAD, unpackedPieces } from './unpackedPieces'

/**
 * Refuses a log that can't be read again: it would take the place of a good one. Its head is read, and all of it is counted
 * as it is unpacked, so that a few bytes that unpack to gigabytes are noticed before they do.
 *
 * @throws {Refusal} 422
 */
export async function refuseBrokenLog(packed: Buffer): Promise<void> {
  const head: Buffer[] = []
  let [length, expected] = [0, Infinity]
  try {
    for await (const piece of unpackedPieces(packed)) {
      length += piece.length
      if (expected === Infinity) {
        head.push(piece)
        const end = piece.indexOf(10)
        if (end >= 0) expected = packedLogSize(Buffer.concat(head))
        else if (length > MOST_HEAD) throw broken('says nothing of what is in it')
      }
      if (length > expected) throw broken('holds more than it says')
    }
  } catch (error) {
    if (error instanceof Refusal) throw error
    throw broken(error instanceof RangeError ? error.message : 'was cut off')
  }
  if (length < expected) throw broken('was cut off')
}

const broken = (why: string) =>
  new Refusal(
    422,
    'not-valid',
    'That log can’t be read',
    `The log ${why}. What was there stays. Read the logger’s file again under Days, Logs.`,
  )
