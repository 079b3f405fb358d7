import { packLog, unpackLog } from '@bold-ballast/core'
import { gunzipSync, gzipSync } from 'node:zlib'

/** For tests: a small log that can be told from others by its name. */
export const packedLog = (name: string): Buffer =>
  gzipSync(packLog({ name, origin: null, time: Float32Array.of(0, 0.1), channels: [] }))

/** The name of such a log. */
export const packedLogName = (packed: Buffer): string => unpackLog(gunzipSync(packed)).name
