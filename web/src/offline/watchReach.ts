import { api, TAGS } from '../store/api'
import { outbox } from '../store/outbox'
import type { Store } from '../store/store'
import { reach } from './reach'

/** While the server is away it is looked for as often. */
const LOOK_MS = 5000

/** Looks whether the server is there, and has everything asked for anew once it is back. */
export function watchReach(store: Store): void {
  let looking = false
  const look = async () => {
    if (looking) return
    looking = true
    const answer = await fetch('/api/v1/health', {
      cache: 'no-store',
      signal: AbortSignal.timeout(LOOK_MS),
    }).catch(() => null)
    looking = false
    store.dispatch(answer?.ok ? reach.actions.heard() : reach.actions.lost())
  }
  const isAway = () => store.getState().reach.awaySince !== null
  const isSeen = () => document.visibilityState === 'visible'
  let wasAway = isAway()
  let { live, reach: was } = store.getState()
  store.subscribe(() => {
    const now = store.getState()
    // Nobody is heard any more: is it the line, or the room that was left?
    const isUnheard = live.followed !== null && now.live.followed === null
    const isSought = was.sought !== now.reach.sought
    live = now.live
    was = now.reach
    if (isUnheard || isSought) void look()
    if (wasAway === isAway()) return
    wasAway = isAway()
    if (wasAway) return
    store.dispatch(api.util.invalidateTags([...TAGS]))
    store.dispatch(outbox.actions.nudged())
  })
  setInterval(() => isAway() && isSeen() && void look(), LOOK_MS)
  addEventListener('online', () => void look())
  addEventListener('offline', () => store.dispatch(reach.actions.lost()))
  document.addEventListener('visibilitychange', () => isAway() && isSeen() && void look())
}
