import { readFile, writeFile } from 'node:fs/promises'
import { join } from 'node:path'
import { promisify } from 'node:util'
import { brotliCompress, constants } from 'node:zlib'
import type { Plugin } from 'vite'

const pack = promisify(brotliCompress)
/** What is worth packing; pictures and fonts are packed as they are. */
const TEXT = /\.(js|css|svg|json|webmanifest|wasm)$/
/** Of files so small nothing is gained, bytes. */
const SMALL = 400
/** The last per cent of what is as large as the chart library takes longer than all the rest. */
const LARGE = 800_000
const QUICK = 9

async function packFile(file: string): Promise<void> {
  const source = await readFile(file)
  if (source.length < SMALL) return
  const quality = source.length > LARGE ? QUICK : constants.BROTLI_MAX_QUALITY
  await writeFile(`${file}.br`, await pack(source, { params: { [constants.BROTLI_PARAM_QUALITY]: quality } }))
}

/** Packs script and style beside themselves as small as they get: once at the build, instead of at each request. */
export const packed = (): Plugin => ({
  name: 'packed',
  apply: 'build',
  // What is on the disk is what is sent: until it is written, other plugins may still fill something in.
  async writeBundle({ dir }, bundle) {
    const files = Object.keys(bundle).filter((name) => TEXT.test(name))
    await Promise.all(files.map((name) => packFile(join(dir ?? '', name))))
  },
})
