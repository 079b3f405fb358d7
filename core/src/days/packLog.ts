import { LOG_COLUMNS, LOG_ROLES, type RunLog, type RunLogChannel } from './RunLog'

export const LOG_FORMAT = 'bold-ballast/log'
/** More samples or channels than that are no log of a run. */
const MOST = { samples: 2_000_000, channels: 200 } as const

/**
 * A log as bytes: a line of JSON that says what is in it, then the clock and each channel as 32-bit floats, little end
 * first. Compressed with gzip it is what is kept and sent (docs/logs.md).
 *
 * @source definition
 * @example unpackLog(packLog(log)).channels[0].name // 'speed'
 */
export function packLog({ name, time, channels, origin, read }: RunLog): Uint8Array<ArrayBuffer> {
  const head = new TextEncoder().encode(
    `${JSON.stringify({
      format: LOG_FORMAT,
      formatVersion: 1,
      name,
      samples: time.length,
      origin,
      ...(read ? { read } : {}),
      channels: channels.map((c) => ({ name: c.name, role: c.role })),
    })}\n`,
  )
  const bytes = new Uint8Array(head.length + 4 * time.length * (channels.length + 1))
  bytes.set(head)
  const view = new DataView(bytes.buffer)
  let at = head.length
  for (const values of [time, ...channels.map((c) => c.values)])
    for (let i = 0; i < time.length; i += 1, at += 4) view.setFloat32(at, values[i] ?? NaN, true)
  return bytes
}

interface Head {
  readonly format?: unknown
  readonly formatVersion?: unknown
  readonly name?: unknown
  readonly samples?: unknown
  readonly origin?: unknown
  readonly channels?: unknown
  readonly read?: unknown
}

/** What a log's head says of it. */
function readHead(bytes: Uint8Array) {
  const end = bytes.indexOf(10)
  const head = end < 0 ? null : headOf(new TextDecoder().decode(bytes.subarray(0, end)))
  if (!head || head.format !== LOG_FORMAT) throw new RangeError('that is no log of ours')
  if (head.formatVersion !== 1) throw new RangeError('that log is of a newer version: load the page again')
  const samples = Number(head.samples)
  const named: unknown[] = Array.isArray(head.channels) ? head.channels : []
  if (!(samples >= 0 && samples <= MOST.samples && Number.isInteger(samples)) || named.length > MOST.channels)
    throw new RangeError('that log says of itself what can’t be')
  return { end, head, samples, named, size: end + 1 + 4 * samples * (named.length + 1) }
}

/**
 * How long a log is, as its head says, bytes: whoever keeps one can tell whether it is whole without holding it.
 *
 * @param bytes the beginning of a log, its head and perhaps more
 * @throws {RangeError} for what is no head of such a log
 * @source definition
 * @example packedLogSize(packLog(log)) === packLog(log).length // true
 */
export const packedLogSize = (bytes: Uint8Array): number => readHead(bytes).size

/** @throws {RangeError} for bytes that are no such log */
export function unpackLog(bytes: Uint8Array): RunLog {
  const { end, head, samples, named, size } = readHead(bytes)
  if (bytes.length < size) throw new RangeError('that log ends in the middle')
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
  let at = end + 1
  const next = () => {
    const values = new Float32Array(samples)
    for (let i = 0; i < samples; i += 1, at += 4) values[i] = view.getFloat32(at, true)
    return values
  }
  return {
    name: String(head.name ?? ''),
    origin: originOf(head.origin),
    ...readOf(head.read),
    time: next(),
    channels: named.map((one): RunLogChannel => {
      const { name, role } = (one ?? {}) as { readonly name?: unknown; readonly role?: unknown }
      return { name: String(name ?? ''), role: LOG_ROLES.find((r) => r === role) ?? null, values: next() }
    }),
  }
}

function headOf(text: string): Head | null {
  try {
    return JSON.parse(text) as Head | null
  } catch {
    return null
  }
}

function originOf(value: unknown): RunLog['origin'] {
  const { latitude, longitude } = (value ?? {}) as {
    readonly latitude?: unknown
    readonly longitude?: unknown
  }
  return typeof latitude === 'number' && typeof longitude === 'number' ? { latitude, longitude } : null
}

function readOf(value: unknown): Pick<RunLog, 'read'> {
  const { titles, columns } = (value ?? {}) as { readonly titles?: unknown; readonly columns?: unknown }
  if (!Array.isArray(titles) || !Array.isArray(columns) || titles.length !== columns.length) return {}
  return {
    read: {
      titles: titles.map(String),
      columns: columns.map((column) => LOG_COLUMNS.find((one) => one === column) ?? null),
    },
  }
}
