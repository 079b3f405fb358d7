import { deviceStore } from '../store/device'
import type { Store } from '../store/store'
import { AnswerKeeper } from './AnswerKeeper'
import { keepAnswers } from './keepAnswers'
import { sayWhatWasSent } from './sayWhatWasSent'
import { watchReach } from './watchReach'
import { registerWorker } from './worker'

/** From now on this device opens without network, shows what it last knew, and says what became of what waited. */
export function workOffline(store: Store): void {
  keepAnswers(store, new AnswerKeeper(deviceStore))
  watchReach(store)
  sayWhatWasSent(store)
  // What is shown first goes first over the line.
  setTimeout(() => void registerWorker(store), WORKER_MS)
}

const WORKER_MS = 1500
