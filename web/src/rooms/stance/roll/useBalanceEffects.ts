import type { BalanceEffects } from '@bold-ballast/core'
import { balanceChanges, type AskedChange } from '@bold-ballast/model'
import { useEffect, useMemo, useState } from 'react'
import { useLiveCar } from '../../../store/useCar'
import { useRemote } from '../../../store/useRemote'
import type { StanceApi } from '../../../workers/stance.worker'

const startWorker = () =>
  new Worker(new URL('../../../workers/stance.worker.ts', import.meta.url), { type: 'module' })

export interface Balance {
  readonly asked: readonly AskedChange[]
  readonly answer: BalanceEffects | { readonly problem: string }
}

/**
 * What everything that may be turned does to the balance, drawn in a worker; null until it answers.
 *
 * @param own a change of one's own beside them; the same one while it is the same
 */
export function useBalanceEffects(own: AskedChange | null): Balance | null {
  const { stance, suspension } = useLiveCar()
  const record = suspension?.value ?? null
  const asked = useMemo(
    () => [...balanceChanges(stance, record), ...(own ? [own] : [])],
    [stance, record, own],
  )
  const [balance, setBalance] = useState<Balance | null>(null)
  const api = useRemote<StanceApi>(startWorker)
  useEffect(() => {
    let isOld = false
    void api()
      .effects(
        stance.rollCar,
        stance.rollSigma,
        asked.map((a) => a.change),
      )
      .then((answer) => {
        if (!isOld) setBalance({ asked, answer })
      })
    return () => {
      isOld = true
    }
  }, [api, stance, asked])
  return balance
}
