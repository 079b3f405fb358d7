import { toast } from '../ui/toast'
import { deviceStore } from './device'
import { keepFilesAgain, sendKeptFiles } from './keptFiles'
import { isOpenHere } from './openBuild'
import { outbox, takeOldOutbox } from './outbox'
import { OutboxKeeper, type Found } from './OutboxKeeper'
import type { Store } from './store'

/** Between two attempts to keep what there was no room for. */
const AGAIN_MS = 5000

/**
 * What can be asked for again makes room for what can't, one build after the other.
 *
 * @returns whether there was something to forget
 */
async function makeRoom(): Promise<boolean> {
  const { AnswerKeeper } = await import('../offline/AnswerKeeper')
  const keeper = new AnswerKeeper(deviceStore, undefined, undefined, isOpenHere)
  return keeper.makeRoom().catch(() => false)
}

const count = (n: number) => (n === 1 ? 'One change' : `${n} changes`)

/** What was found, in words: how many wait, and how many the server would not take. */
export function sayFound({ pending, refused }: Found): string {
  const waits =
    pending.length > 0 &&
    `${count(pending.length)} from before ${pending.length === 1 ? 'was' : 'were'} not saved yet. Sent as soon as the server answers.`
  const not =
    refused.length > 0 &&
    `${count(refused.length)} from before ${refused.length === 1 ? 'was' : 'were'} not taken.`
  return [waits, not].filter(Boolean).join(' ')
}

/** Keeps a store's outbox on the device, and goes on with what was left there. */
export function keepWaiting(store: Store): void {
  const keeper = new OutboxKeeper(deviceStore, crypto.randomUUID(), navigator.locks, (isKept) => {
    store.dispatch(outbox.actions.kept(isKept))
  })
  const waiting = () => store.getState().outbox
  let last = waiting()
  const keep = () => keeper.keep(waiting())
  store.subscribe(() => {
    const now = waiting()
    if (now.pending !== last.pending || now.refused !== last.refused) keep()
    last = now
  })
  let isMaking = false
  /** While there is no room, the oldest builds go one after the other, and what waits is tried again after each. */
  const tryAgain = async () => {
    const { isKept, files } = waiting()
    const hasRoom = isKept && files.every((file) => file.isKept)
    if (hasRoom || isMaking) return
    isMaking = true
    try {
      while (await makeRoom()) {
        await keepFilesAgain()(store.dispatch, store.getState)
        keep()
        await keeper.settled()
        const now = waiting()
        if (keeper.isKept && now.files.every((file) => file.isKept)) return
      }
      await keepFilesAgain()(store.dispatch, store.getState)
      keep()
    } finally {
      isMaking = false
    }
  }
  setInterval(() => void tryAgain(), AGAIN_MS)
  let hadRoom = true
  store.subscribe(() => {
    const { isKept } = waiting()
    // The moment that it turns out to be full; after that, now and then.
    if (hadRoom && !isKept) void tryAgain()
    hadRoom = isKept
  })
  const find = (found: Found) => {
    toast.info(sayFound(found))
    store.dispatch(outbox.actions.found(found))
  }
  const old = takeOldOutbox()
  if (old.pending.length + old.refused.length > 0) find(old)
  // Where the browser keeps nothing there is nothing to find; that nothing is kept is said once something waits.
  keeper.adopt(find).catch(() => undefined)
  void store.dispatch(sendKeptFiles())
  window.addEventListener('beforeunload', (event) => {
    const { pending, files } = waiting()
    if ((pending.length > 0 && !keeper.isKept) || files.some((file) => !file.isKept)) event.preventDefault()
  })
}
