import { isOwn } from '../store/me'
import type { RootState, Store } from '../store/store'
import { toast } from '../ui/toast'

const some = (n: number, one: string, more: string) =>
  n === 0 ? null : n === 1 ? `one ${one}` : `${n} ${more}`

/** What became of what had waited, in words. */
export function sentSaid(changes: number, photos: number, refused: number): string {
  const saved = [some(changes, 'change', 'changes'), some(photos, 'photograph', 'photographs')].filter(
    Boolean,
  )
  const are = changes + photos === 1 ? 'is' : 'are'
  const done = saved.length > 0 && `${saved.join(' and ')} ${are} saved.`
  const not = refused > 0 && `${refused === 1 ? 'One was' : `${refused} were`} not taken: look at why.`
  return ['Connected again:', done, not].filter(Boolean).join(' ')
}

const idsOf = (state: RootState) =>
  state.outbox.pending.filter((waiting) => isOwn(state, waiting)).map(({ batch }) => batch.id)

/** Says what became of what was done while the server was away, once all of it has been sent. */
export function sayWhatWasSent(store: Store): void {
  const batches = new Set<string>()
  const photos = new Set<string>()
  store.subscribe(() => {
    const state = store.getState()
    const { outbox, reach } = state
    if (reach.awaySince !== null) {
      for (const id of idsOf(state)) batches.add(id)
      for (const id of outbox.photos) photos.add(id)
      return
    }
    if (batches.size + photos.size === 0) return
    if (idsOf(state).some((id) => batches.has(id)) || outbox.photos.some((id) => photos.has(id))) return
    const refused = outbox.refused.filter(({ batch }) => batches.has(batch.id)).length
    const words = sentSaid(batches.size - refused, photos.size, refused)
    batches.clear()
    photos.clear()
    toast.info(words)
  })
}
