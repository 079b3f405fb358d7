import { recordId } from '@bold-ballast/contract'
import { notFound } from './Refusal'

/**
 * An id out of an address, in the one way that ids are written.
 *
 * @throws {Refusal} 404 for what is none
 */
export function idIn(value: unknown, what: string): string {
  const id = recordId.safeParse(value)
  if (!id.success) throw notFound(what)
  return id.data
}
