import type { Edit } from '../edits/edit'
import { KIND_WORDS, KINDS, type Kind } from '../records/kinds'
import { REGISTRY } from '../records/registry'
import { may, type Role } from './rights'

/** Kinds that whoever logs may write: what was measured and done, not what is to be. */
export const LOGGED_KINDS: readonly Kind[] = KINDS.filter((kind) => REGISTRY[kind].isLogged)

const isReopening = (edit: Edit) => edit.op === 'put' && edit.kind === 'seal' && edit.record.version > 0

const READS_ONLY = 'You read here as a guest. An owner of the workshop can let you do more.'

/** Why somebody may not write a record of a kind, in words; null where they may. */
export function kindFault(who: Role, kind: Kind): string | null {
  if (may(who, 'plan')) return null
  if (!may(who, 'log')) return READS_ONLY
  return LOGGED_KINDS.includes(kind)
    ? null
    : `A helper logs and signs; a ${KIND_WORDS[kind]} is changed by builders and owners.`
}

/**
 * What somebody may not do of some edits, in words; null where they may do all of them.
 *
 * @param isOwn whether a record was added by the same person and has not been changed since: that may be taken back
 */
export function editsFault(
  who: Role,
  edits: readonly Edit[],
  isOwn: (edit: Edit) => boolean = () => false,
): string | null {
  if (may(who, 'plan')) return null
  if (!may(who, 'log')) return READS_ONLY
  for (const edit of edits) {
    if (edit.op === 'remove' && !isOwn(edit))
      return `A helper deletes nothing; this would delete a ${KIND_WORDS[edit.kind]}. Ask a builder or an owner.`
    const barred = kindFault(who, edit.kind)
    if (barred) return barred
    if (isReopening(edit)) return 'A helper signs; what is signed is opened again by builders and owners.'
  }
  return null
}
