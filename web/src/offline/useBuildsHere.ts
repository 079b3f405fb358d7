import { useEffect, useState } from 'react'
import { deviceStore } from '../store/device'
import { usePerson } from '../store/me'
import { useAppSelector } from '../store/store'
import { AnswerKeeper } from './AnswerKeeper'

/** The builds that this device knows, while nobody else can be asked; null while the server can be. */
export function useBuildsHere(): ReadonlySet<string> | null {
  const isAway = useAppSelector(({ reach }) => reach.awaySince !== null)
  const isAsked = usePerson() !== null && isAway
  const [here, setHere] = useState<ReadonlySet<string> | null>(null)
  useEffect(() => {
    if (!isAsked) return
    void new AnswerKeeper(deviceStore).list().then(
      (answers) =>
        setHere(new Set(answers.flatMap(({ endpoint, buildId }) => (endpoint === 'build' && buildId) || []))),
      () => undefined,
    )
  }, [isAsked])
  return isAsked ? here : null
}
