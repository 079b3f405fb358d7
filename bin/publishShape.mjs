import { writeFileSync } from 'node:fs'
import { join, resolve } from 'node:path'
import { register } from 'tsx/esm/api'

/**
 * Writes the published shape of records of this format version, which a test holds the next change against: `npm run
 * publish-shape`, after `FORMAT_VERSION` has moved.
 */
register()
const { buildFileJsonSchema, FORMAT_VERSION } = await import('../contract/src/index.ts')
const folder = resolve(import.meta.dirname, '../contract/src/versions/published')
const text = JSON.stringify(buildFileJsonSchema(), null, 1)
writeFileSync(join(folder, `build-${FORMAT_VERSION}.json`), `${text}\n`)
