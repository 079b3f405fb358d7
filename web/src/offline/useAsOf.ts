import { useEffect, useState } from 'react'
import { useAppSelector } from '../store/store'
import { agoSaid, timeSaid } from './agoSaid'
import { buildAsked, BUILDS_ASKED } from './kept'

/** How often an age is said anew. */
const TICK_MS = 20_000

/**
 * How old what is shown may be, in words; null while it is what the server says.
 *
 * @param buildId the build that is open; left out, the list of builds
 */
export function useAsOf(buildId?: string): string | null {
  const asked = buildId === undefined ? BUILDS_ASKED : buildAsked(buildId)
  const at = useAppSelector(
    ({ reach: { awaySince, knownAt, heardAt } }) =>
      knownAt[asked] ?? (awaySince === null ? null : Math.min(heardAt, awaySince)),
  )
  const [now, setNow] = useState(() => Date.now())
  useEffect(() => {
    if (at === null) return
    const tick = () => setNow(Date.now())
    tick()
    const ticking = setInterval(tick, TICK_MS)
    return () => clearInterval(ticking)
  }, [at])
  return at === null ? null : `as of ${timeSaid(at, now)}, ${agoSaid(now - at)}`
}
