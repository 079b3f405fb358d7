import { hash, verify } from '@node-rs/argon2'

/**
 * Argon2id, which is what the library makes unless told otherwise, with the figures of the OWASP Password Storage Cheat Sheet: 19 MiB, two passes, one lane.
 */
const FIGURES = { memoryCost: 19_456, timeCost: 2, parallelism: 1 }

export const hashPassword = (password: string): Promise<string> => hash(password.normalize('NFKC'), FIGURES)

/** What nobody's password is held against: somebody who isn't here takes as long to refuse as somebody who is. */
let nobody: Promise<string> | null = null

/** Whether a password is the one that was hashed; never, but as slowly, where there is no hash. */
export async function isPassword(hashed: string | null, password: string): Promise<boolean> {
  nobody ??= hashPassword('nobody has this')
  const isRight = await verify(hashed ?? (await nobody), password.normalize('NFKC'))
  return hashed !== null && isRight
}
