export interface JsonLimits {
  /** How deep arrays and records may stand in each other. */
  readonly depth: number
  /** Arrays and records in all: each of them costs a hundred times its two bytes once it is read. */
  readonly containers: number
  /** Values in all. */
  readonly values: number
}

/** More than any build has, and little enough to be read within seconds. */
export const JSON_LIMITS: JsonLimits = { depth: 60, containers: 1_000_000, values: 8_000_000 }

const [QUOTE, ESCAPE, COMMA] = [0x22, 0x5c, 0x2c]
const [OPEN_ARRAY, CLOSE_ARRAY, OPEN_RECORD, CLOSE_RECORD] = [0x5b, 0x5d, 0x7b, 0x7d]

/**
 * Whether JSON text can be read at a cost that goes with its length: counted over the bytes, before anything is made of
 * them.
 *
 * @returns what it has too much of; null where it is modest
 * @example isModest(Buffer.from('[[[[]]]]'), { depth: 3, containers: 9, values: 9 }) // 'depth'
 */
export function isModest(json: Uint8Array, limits: JsonLimits = JSON_LIMITS): keyof JsonLimits | null {
  let [depth, containers, values, inText] = [0, 0, 0, false]
  for (let i = 0; i < json.length; i += 1) {
    const byte = json[i]!
    if (inText) {
      if (byte === ESCAPE) i += 1
      else if (byte === QUOTE) inText = false
    } else if (byte === QUOTE) inText = true
    else if (byte === COMMA) values += 1
    else if (byte === OPEN_ARRAY || byte === OPEN_RECORD) {
      depth += 1
      containers += 1
      values += 1
      if (depth > limits.depth) return 'depth'
      if (containers > limits.containers) return 'containers'
    } else if (byte === CLOSE_ARRAY || byte === CLOSE_RECORD) depth -= 1
    if (values > limits.values) return 'values'
  }
  return null
}
