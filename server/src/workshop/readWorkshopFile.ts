import {
  buildFile,
  upgradeEdit,
  upgradeFile,
  workshopLine,
  WORKSHOP_FORMAT_VERSION,
  type BuildFile,
  type WorkshopLine,
} from '@bold-ballast/contract'
import { createReadStream } from 'node:fs'
import { pipeline } from 'node:stream/promises'
import { createGunzip } from 'node:zlib'
import { isModest } from '../http/isModest'
import { parse } from '../http/parse'
import { Refusal } from '../http/Refusal'
import { splitLines, type LineLimits } from './splitLines'

type Of<K extends WorkshopLine['kind']> = Extract<WorkshopLine, { kind: K }>
/** A line that was checked; the file of a build and its history are of today. */
export type CheckedLine =
  | Of<'workshop'>
  | (Omit<Of<'build'>, 'file'> & { readonly file: BuildFile })
  | (Omit<Of<'photo'>, 'base64'> & { readonly bytes: Uint8Array })
  | (Omit<Of<'picture'>, 'base64'> & { readonly bytes: Uint8Array })
  | (Omit<Of<'log'>, 'base64'> & { readonly bytes: Uint8Array })
  | Of<'end'>
export interface NumberedLine {
  readonly at: number
  readonly line: CheckedLine
}

/** A photograph is 2 MB, a log 16 MB and a build file 40 MB at most; a history may be as long again. */
export const LIMITS: LineLimits = { lines: 200_000, lineBytes: 160e6, allBytes: 2e9 }

export const refuse = (detail: string) => new Refusal(422, 'not-valid', 'That is no whole workshop', detail)
const CANNOT_UNPACK = 'It can’t be unpacked: it was cut off, or is another kind of file.'

/** A line as the contract wants it; the words of what is wrong say which line. */
function checked(bytes: Buffer, at: number, version: number): CheckedLine {
  if (isModest(bytes)) throw refuse(`Line ${at} holds more than a build can. Is it another file?`)
  let json: unknown
  try {
    json = JSON.parse(bytes.toString('utf8'))
  } catch {
    throw refuse(`Line ${at} can’t be read as JSON. Was the file cut off, or is it another one?`)
  }
  const parsed = workshopLine.safeParse(json)
  if (!parsed.success) {
    const [issue] = parsed.error.issues
    const where = issue?.path.join('.').slice(0, 200) || 'the whole of it'
    throw refuse(`Line ${at}, ${where}: ${issue?.message ?? 'it can’t be read'}`)
  }
  const line = parsed.data
  if (line.kind === 'build') return ofToday(line, version)
  if (line.kind !== 'photo' && line.kind !== 'picture' && line.kind !== 'log') return line
  const { base64, ...file } = line
  return { ...file, bytes: Buffer.from(base64, 'base64') }
}

function ofToday(line: Of<'build'>, version: number): CheckedLine {
  const file = parse(buildFile, upgradeFile(line.file))
  const { formatVersion } = line.file as { formatVersion: number }
  const from = version === 1 ? 1 : formatVersion
  const each = (edits: Of<'build'>['history'][number]['edits']) =>
    edits.map((edit) => upgradeEdit(edit, from, file.build.id))
  const history = line.history.map(({ edits, inverse, ...batch }) => ({
    ...batch,
    edits: each(edits),
    inverse: inverse && each(inverse),
  }))
  return { ...line, file, history }
}

/**
 * The lines of a packed workshop file, checked one by one.
 *
 * @param path of the file
 * @throws {Refusal} 413 over a limit, 422 that names the line
 */
export async function* readWorkshopFile(path: string, limits = LIMITS): AsyncGenerator<NumberedLine> {
  const unpacked = createGunzip()
  // Its fault comes out of the lines, where it can be caught in order.
  const done = pipeline(createReadStream(path), unpacked).catch(() => undefined)
  let at = 0
  let version: number = WORKSHOP_FORMAT_VERSION
  try {
    for await (const bytes of splitLines(unpacked, limits)) {
      at += 1
      if (bytes.length === 0) continue
      const line = checked(bytes, at, version)
      if (line.kind === 'workshop') version = line.formatVersion
      yield { at, line }
    }
  } catch (error) {
    if (error instanceof Refusal) throw error
    throw (error as NodeJS.ErrnoException).code?.startsWith('Z_') ? refuse(CANNOT_UNPACK) : error
  } finally {
    unpacked.destroy()
    await done
  }
}
