import textLatin from '@fontsource/barlow/files/barlow-latin-400-normal.woff?url'
import textMore from '@fontsource/barlow/files/barlow-latin-ext-400-normal.woff?url'
import figureLatin from '@fontsource/barlow-condensed/files/barlow-condensed-latin-600-normal.woff?url'
import figureMore from '@fontsource/barlow-condensed/files/barlow-condensed-latin-ext-600-normal.woff?url'
import { woffToTtf } from './woffToTtf'

/** A face in two files: most letters stand in the first, the rest of Latin in the second. */
export interface Face {
  readonly name: string
  readonly files: readonly [latin: Uint8Array, more: Uint8Array]
}

const bytesOf = async (url: string): Promise<Uint8Array> => {
  const answer = await fetch(url)
  if (!answer.ok) throw new Error('The fonts of the sheet can’t be fetched. Try again.')
  return woffToTtf(await answer.arrayBuffer())
}

/** The application's own faces, as a PDF takes them. */
export async function paperFonts(): Promise<{ text: Face; figure: Face }> {
  const faceOf = async (name: string, latin: string, more: string): Promise<Face> => ({
    name,
    files: await Promise.all([bytesOf(latin), bytesOf(more)]),
  })
  const [text, figure] = await Promise.all([
    faceOf('text', textLatin, textMore),
    faceOf('figure', figureLatin, figureMore),
  ])
  return { text, figure }
}
