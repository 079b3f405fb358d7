import type { BuildFile } from '@bold-ballast/contract'
import sketch from './hoseSketch.json'

/** The photographs of a build’s pictures of jobs: a sketch on a piece of card. */
export const demoPictures = ({
  pictures,
}: BuildFile): { readonly pictureId: string; readonly type: string; readonly bytes: Buffer }[] =>
  pictures.map(({ id }) => ({
    pictureId: id,
    type: sketch.type,
    bytes: Buffer.from(sketch.base64, 'base64'),
  }))
