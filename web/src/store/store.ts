import { configureStore } from '@reduxjs/toolkit'
import { useDispatch, useSelector } from 'react-redux'
import { api } from './api'
import { draft } from './draft'
import { here } from './here'
import { live } from './live'
import { history } from './history'
import { historyKeeper } from './keptHistory'
import { keepWaiting } from './keepWaiting'
import { outbox } from './outbox'
import { reach } from '../offline/reach'
import { selectIsOut, selectPerson } from './me'
import { makeSender } from './sender'
import { settings, SETTINGS_KEY } from './settings'
import { keepTrying, trying } from './trying'

export const makeStore = () =>
  configureStore({
    reducer: {
      api: api.reducer,
      outbox: outbox.reducer,
      history: history.reducer,
      draft: draft.reducer,
      here: here.reducer,
      live: live.reducer,
      reach: reach.reducer,
      settings: settings.reducer,
      trying: trying.reducer,
    },
    // A document of thousands of lines would make the development checks slower than the work they watch.
    middleware: (standard) =>
      standard({ serializableCheck: false, immutableCheck: false })
        .prepend(makeSender().middleware)
        .concat(api.middleware),
  })

export type Store = ReturnType<typeof makeStore>
export type RootState = ReturnType<Store['getState']>
export type Dispatch = Store['dispatch']
export const useAppDispatch = useDispatch.withTypes<Dispatch>()
export const useAppSelector = useSelector.withTypes<RootState>()

/** The store of the running page: goes on with what a closed tab or a reload interrupted, and keeps what the next one might. */
export function startStore(): Store {
  const store = makeStore()
  let last = store.getState()
  let isAtHand = false
  const keepHistory = historyKeeper()
  store.subscribe(() => {
    const now = store.getState()
    // Whoever sits at the machine itself needs nothing of it: where it stops, so does the server.
    if (!isAtHand && (selectPerson(now) || selectIsOut(now))) {
      isAtHand = true
      void import('../offline/workOffline').then(({ workOffline }) => workOffline(store))
    }
    if (now.trying !== last.trying) keepTrying(now.trying.open)
    if (now.history !== last.history) keepHistory(now.history)
    if (now.settings !== last.settings) {
      const { theme } = now.settings
      if (theme === 'system') delete document.documentElement.dataset['theme']
      else document.documentElement.dataset['theme'] = theme
      localStorage.setItem(SETTINGS_KEY, JSON.stringify(now.settings))
    }
    last = now
  })
  keepWaiting(store)
  return store
}
