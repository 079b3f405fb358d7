import type { BuildDocument } from '@bold-ballast/contract'
import { figuresInTurn } from '@bold-ballast/model'
import { useEffect, useState } from 'react'
import { takeStretches } from './takeStretches'
import { useBuild } from './useBuild'

/** The newest state of the build whose marks have all been worked out; the one before it until then, and null at first. */
export function useWorkedOut(): BuildDocument | null {
  const { view } = useBuild()
  const [ready, setReady] = useState<BuildDocument | null>(null)
  useEffect(() => {
    let isOld = false
    void takeStretches(figuresInTurn(view), () => isOld).then((isDone) => {
      if (isDone && !isOld) setReady(view)
    })
    return () => {
      isOld = true
    }
  }, [view])
  return ready
}
