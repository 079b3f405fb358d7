import { deviceStore } from '../store/device'
import { selectPerson } from '../store/me'
import { isOpenHere } from '../store/openBuild'
import type { Store } from '../store/store'
import { AnswerKeeper } from './AnswerKeeper'
import { keepAnswers } from './keepAnswers'
import { sayWhatWasSent } from './sayWhatWasSent'
import { watchReach } from './watchReach'
import { registerWorker } from './worker'

const WORKER_MS = 1500

/** From now on this device opens without network, shows what it last knew, and says what became of what waited. */
export function workOffline(store: Store): void {
  keepAnswers(store, new AnswerKeeper(deviceStore, undefined, undefined, isOpenHere))
  watchReach(store)
  sayWhatWasSent(store)
  registerOnceIn(store)
}

/** Fetches the application for whoever is in; what is shown first goes first over the line. */
function registerOnceIn(store: Store): void {
  const look = () => {
    if (!selectPerson(store.getState())) return
    stop()
    setTimeout(() => void registerWorker(store), WORKER_MS)
  }
  const stop = store.subscribe(look)
  look()
}
