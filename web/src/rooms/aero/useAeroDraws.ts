import type { AeroElement } from '@bold-ballast/contract'
import type { AeroDraws } from '@bold-ballast/core'
import { useEffect, useState } from 'react'
import { useRemote } from '../../store/useRemote'
import type { AeroApi } from '../../workers/aero.worker'

const startWorker = () =>
  new Worker(new URL('../../workers/aero.worker.ts', import.meta.url), { type: 'module' })

/** How far off the balance of some elements may be, drawn in a worker; null until it answers. */
export function useAeroDraws(
  elements: readonly AeroElement[],
  wheelbase: number,
  massFront: number,
): AeroDraws | null {
  const [draws, setDraws] = useState<AeroDraws | null>(null)
  const api = useRemote<AeroApi>(startWorker)
  useEffect(() => {
    let isOld = false
    void api()
      .draw(elements, { wheelbase, massFront })
      .then((answer) => {
        if (!isOld) setDraws('problem' in answer ? null : answer)
      })
    return () => {
      isOld = true
    }
  }, [api, elements, wheelbase, massFront])
  return draws
}
