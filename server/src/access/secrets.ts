import { createHash, randomBytes } from 'node:crypto'

/** Nobody guesses 256 bits; so long a secret needs no slow hash. */
const BYTES = 32

/** A secret for a cookie or a link, of letters that stand in both. */
export const newSecret = (): string => randomBytes(BYTES).toString('base64url')

/** What is kept of a secret: whoever reads the records can't use it. */
export const hashOf = (secret: string): Buffer => createHash('sha256').update(secret).digest()
