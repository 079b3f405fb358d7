import { LIVE_NAMES } from '@bold-ballast/contract'
import { useEffect } from 'react'
import { api, useBuildsQuery } from './api'
import { useInWorkshop } from './me'
import { openStream } from './openStream'
import { useAppDispatch } from './store'

/** The list is asked for no more often while others work. */
const LIST_MS = 500

/** A word that something has been worked out can be lost; who waits for it asks by himself after so long. */
const WAITING_MS = 4000

/** Keeps the list of builds as it is by now: builds that come, go and change, and figures that have been worked out. */
export function useGarageLive(): void {
  const dispatch = useAppDispatch()
  const { data: list } = useBuildsQuery()
  const waits = list?.some(({ isWorkingOut }) => isWorkingOut) ?? false
  useBuildsQuery(undefined, { pollingInterval: waits ? WAITING_MS : 0 })
  const url = useInWorkshop('/events')
  useEffect(() => {
    let hellos = 0
    let asking: ReturnType<typeof setTimeout> | null = null
    const ask = () => {
      asking ??= setTimeout(() => {
        asking = null
        dispatch(api.util.invalidateTags(['Builds']))
      }, LIST_MS)
    }
    const stop = openStream(url, LIVE_NAMES, ({ name }) => {
      if (name === 'hello') {
        hellos += 1
        // After a cut: what was done meanwhile nobody told.
        if (hellos > 1) ask()
      } else if (name === 'ended') dispatch(api.util.invalidateTags(['Me']))
      else if (name !== 'error' && name !== 'present') ask()
    })
    return () => {
      stop()
      if (asking) clearTimeout(asking)
    }
  }, [dispatch, url])
}
