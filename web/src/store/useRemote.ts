import { wrap, type Remote } from 'comlink'
import { useEffect, useRef, type RefObject } from 'react'

/**
 * A worker that lives as long as whoever asked for it, and what it answers to. There from the first effect on.
 *
 * @param start makes the worker; a function outside of any component, so that it is made once
 */
export function useRemote<T>(start: () => Worker): RefObject<Remote<T> | null> {
  const api = useRef<Remote<T> | null>(null)
  useEffect(() => {
    const worker = start()
    api.current = wrap<T>(worker)
    return () => worker.terminate()
  }, [start])
  return api
}
