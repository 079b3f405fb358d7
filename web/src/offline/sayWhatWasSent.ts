import type { FileKind } from '../store/device'
import { isOwn } from '../store/me'
import type { RootState, Store } from '../store/store'
import { toast } from '../ui/toast'

const some = (n: number, one: string, more: string) =>
  n === 0 ? null : n === 1 ? `one ${one}` : `${n} ${more}`

/** What became of what had waited, in words. */
export function sentSaid(
  changes: number,
  files: Readonly<Record<FileKind, number>>,
  refused: number,
): string {
  const saved = [
    some(changes, 'change', 'changes'),
    some(files.photo, 'photograph', 'photographs'),
    some(files.picture, 'picture', 'pictures'),
    some(files.log, 'log', 'logs'),
  ].filter(Boolean)
  const are = changes + files.photo + files.picture + files.log === 1 ? 'is' : 'are'
  const list = saved.length > 2 ? `${saved.slice(0, -1).join(', ')} and ${saved.at(-1)}` : saved.join(' and ')
  const done = saved.length > 0 && `${list} ${are} saved.`
  const not = refused > 0 && `${refused === 1 ? 'One was' : `${refused} were`} not taken: look at why.`
  return ['Connected again:', done, not].filter(Boolean).join(' ')
}

const idsOf = (state: RootState) =>
  state.outbox.pending.filter((waiting) => isOwn(state, waiting)).map(({ batch }) => batch.id)

/** Says what became of what was done while the server was away, once all of it has been sent. */
export function sayWhatWasSent(store: Store): void {
  const batches = new Set<string>()
  const files = new Map<string, FileKind>()
  store.subscribe(() => {
    const state = store.getState()
    const { outbox, reach } = state
    if (reach.awaySince !== null) {
      for (const id of idsOf(state)) batches.add(id)
      for (const { id, kind, former } of outbox.files) {
        files.set(id, kind)
        // One that a newer one took the place of isn't sent.
        if (former) files.delete(former)
      }
      return
    }
    if (batches.size + files.size === 0) return
    if (idsOf(state).some((id) => batches.has(id)) || outbox.files.some(({ id }) => files.has(id))) return
    const refused = outbox.refused.filter(({ batch }) => batches.has(batch.id)).length
    const notTaken = outbox.refusedFiles.filter(({ id }) => files.has(id))
    for (const { id } of notTaken) files.delete(id)
    const of = (kind: FileKind) => [...files.values()].filter((k) => k === kind).length
    const words = sentSaid(
      batches.size - refused,
      { photo: of('photo'), picture: of('picture'), log: of('log') },
      refused + notTaken.length,
    )
    batches.clear()
    files.clear()
    toast.info(words)
  })
}
