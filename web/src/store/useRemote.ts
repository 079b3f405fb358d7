import { wrap, type Remote } from 'comlink'
import { useCallback, useEffect, useRef } from 'react'

/**
 * A worker that lives as long as whoever asked for it, started when it is first asked.
 *
 * @param start makes the worker; a function outside of any component, so that it is made once
 * @returns what it answers to; to be called where it is asked something, not while drawing
 */
export function useRemote<T>(start: () => Worker): () => Remote<T> {
  const running = useRef<{ readonly worker: Worker; readonly api: Remote<T> } | null>(null)
  useEffect(
    () => () => {
      running.current?.worker.terminate()
      running.current = null
    },
    [start],
  )
  return useCallback(() => {
    if (!running.current) {
      const worker = start()
      running.current = { worker, api: wrap<T>(worker) }
    }
    return running.current.api
  }, [start])
}
