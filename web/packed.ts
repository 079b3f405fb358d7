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

/** Writes script and style beside themselves as small as they get: once at the build, instead of at each request. */
export const packed = (): Plugin => ({
  name: 'packed',
  apply: 'build',
  enforce: 'post',
  async generateBundle(_options, bundle) {
    const files = Object.values(bundle).map((file) => ({
      fileName: file.fileName,
      source: Buffer.from(file.type === 'chunk' ? file.code : file.source),
    }))
    await Promise.all(
      files
        .filter(({ fileName, source }) => TEXT.test(fileName) && source.length >= SMALL)
        .map(async ({ fileName, source }) => {
          const quality = source.length > LARGE ? QUICK : constants.BROTLI_MAX_QUALITY
          const params = { [constants.BROTLI_PARAM_QUALITY]: quality }
          this.emitFile({ type: 'asset', fileName: `${fileName}.br`, source: await pack(source, { params }) })
        }),
    )
  },
})
