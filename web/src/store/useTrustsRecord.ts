import { useCallback, useSyncExternalStore } from 'react'

const KEY = 'bold-ballast.trusts-record'
const told = new Set<() => void>()
const read = () => {
  try {
    return localStorage.getItem(KEY) !== 'no'
  } catch {
    return true
  }
}

/** Whether open jobs are reckoned with what promises came to; this person’s choice at this screen, until it is made: yes. */
export function useTrustsRecord(): [boolean, (trusts: boolean) => void] {
  const trusts = useSyncExternalStore(
    useCallback((tell: () => void) => {
      told.add(tell)
      return () => told.delete(tell)
    }, []),
    read,
  )
  const choose = useCallback((yes: boolean) => {
    try {
      localStorage.setItem(KEY, yes ? 'yes' : 'no')
    } catch {
      // A device that keeps nothing forgets it.
    }
    told.forEach((tell) => tell())
  }, [])
  return [trusts, choose]
}
