import { useCallback, useEffect, useState } from 'react'
import { deviceStore, type KeptAnswer } from '../store/device'
import { AnswerKeeper } from './AnswerKeeper'
import { PHOTOGRAPHS } from './kept'
import { isWorkerThere } from './worker'

export interface OnDevice {
  readonly answers: readonly KeptAnswer[]
  readonly photographs: number
  /** Whether the application opens without network. */
  readonly opens: boolean
  /** Whether the browser promises not to clear it when it needs room. */
  readonly isForSure: boolean
  /** All that this device keeps of the application, bytes; null where the browser doesn't say. */
  readonly used: number | null
}

/** While it is looked at. */
const LOOK_MS = 2000

async function look(): Promise<OnDevice> {
  const [answers, cache, opens, isForSure, estimate] = await Promise.all([
    new AnswerKeeper(deviceStore).list().catch(() => []),
    globalThis.caches?.has(PHOTOGRAPHS).then((has) => (has ? caches.open(PHOTOGRAPHS) : null)),
    isWorkerThere(),
    navigator.storage?.persisted().catch(() => false),
    navigator.storage?.estimate().catch(() => null),
  ])
  return {
    answers,
    photographs: cache ? (await cache.keys()).length : 0,
    opens,
    isForSure: isForSure ?? false,
    used: estimate?.usage ?? null,
  }
}

/** What this device keeps, looked at now and then; null until it is known. */
export function useOnDevice(): {
  readonly kept: OnDevice | null
  readonly forget: (buildId: string) => void
  readonly keepForSure: () => void
} {
  const [kept, setKept] = useState<OnDevice | null>(null)
  useEffect(() => {
    const refresh = () => void look().then(setKept, () => undefined)
    refresh()
    const looking = setInterval(refresh, LOOK_MS)
    return () => clearInterval(looking)
  }, [])
  const forget = useCallback((buildId: string) => {
    void new AnswerKeeper(deviceStore)
      .forget((answer) => answer.buildId === buildId)
      .then(look)
      .then(setKept, () => undefined)
  }, [])
  const keepForSure = useCallback(() => {
    void navigator.storage
      ?.persist()
      .then(look)
      .then(setKept, () => undefined)
  }, [])
  return { kept, forget, keepForSure }
}
