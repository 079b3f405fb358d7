import * as z from 'zod'
import * as f from '../records/fields'

/** Of which lines of a build there are photographs, with the SHA-256 of each. */
export const photoList = z.array(z.strictObject({ lineId: f.id, sha256: z.string() }))
export type PhotoList = z.infer<typeof photoList>

/** The same of the pictures of jobs. */
export const pictureList = z.array(z.strictObject({ pictureId: f.id, sha256: z.string() }))
export type PictureList = z.infer<typeof pictureList>

/** The header by which a file that waited without network says when it was made, as an ISO time. */
export const MADE_AT_HEADER = 'Ballast-Made-At'
