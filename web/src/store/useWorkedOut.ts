import type { BuildDocument } from '@bold-ballast/contract'
import { figuresInTurn } from '@bold-ballast/model'
import { useEffect, useState } from 'react'
import { useBuild } from './useBuild'

/** No longer than this at a stretch, ms: a key that is pressed meanwhile is heard. */
const STRETCH = 30

/**
 * Takes steps until there is none left, with a pause for everything else after each stretch.
 *
 * @param isOld asked after each pause; nothing more is done once it is
 * @returns whether all steps were taken
 */
export async function takeStretches(steps: Iterator<unknown>, isOld: () => boolean): Promise<boolean> {
  for (;;) {
    const end = performance.now() + STRETCH
    while (performance.now() < end) if (steps.next().done) return true
    await new Promise((resolve) => setTimeout(resolve))
    if (isOld()) return false
  }
}

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
