import type { WeighedPart } from '@bold-ballast/contract'
import { useEffect, useMemo, useState } from 'react'
import { usePartsQuery } from '../../../store/api'

/** Who types fast isn't asked for at each letter. */
const PAUSE_MS = 200

/**
 * What the workshop weighed, the newest of each name in small letters: what was weighed lately, which is there without a
 * network too, and whatever is called like what is being typed, however long ago that was.
 */
export function useWeighedParts(typed: string): ReadonlyMap<string, WeighedPart> {
  const name = typed.trim().slice(0, 120)
  const [asked, setAsked] = useState('')
  useEffect(() => {
    const timer = setTimeout(() => setAsked(name), PAUSE_MS)
    return () => clearTimeout(timer)
  }, [name])
  const { data: lately } = usePartsQuery('')
  const { data: alike } = usePartsQuery(asked, { skip: asked === '' })
  return useMemo(() => {
    const byName = new Map<string, WeighedPart>()
    for (const part of [...(lately ?? []), ...(alike ?? [])]) {
      const key = part.name.toLowerCase()
      if (!byName.has(key)) byName.set(key, part)
    }
    return byName
  }, [lately, alike])
}
