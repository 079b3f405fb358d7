import { sameRecord } from '@bold-ballast/contract'
import { useMemo, useState } from 'react'

/**
 * What is made anew at each change, as it was as long as it says the same, versions of records apart: an edit comes back from
 * the server with a new one, and nothing that takes long is worked out again for it.
 */
export function useSame<T>(made: T): T {
  const [kept, setKept] = useState(made)
  const isSame = useMemo(() => kept === made || sameRecord(kept, made), [kept, made])
  if (isSame) return kept
  setKept(made)
  return made
}
