import { useCallback, useMemo } from 'react'
import { useNavigate } from 'react-router'
import { toast } from '../ui/toast'
import { redo, undo } from '../store/commit'
import { useAppDispatch } from '../store/store'
import { useShortcut } from '../ui/shortcuts'

export interface FrameAction {
  readonly says: string
  readonly act: () => void
}

/** Undo and redo with a word about what happened. */
export function useTravel(): { back: () => void; forth: () => void } {
  const dispatch = useAppDispatch()
  const back = useCallback(() => {
    const taken = dispatch(undo())
    if (!taken) toast('Nothing to undo.')
    else if (taken.ok) toast(`Undone: ${taken.step.label}`)
    else toast.warning(`Not undone: ${taken.step.label}. Somebody has changed it since.`)
  }, [dispatch])
  const forth = useCallback(() => {
    const taken = dispatch(redo())
    if (!taken) toast('Nothing to redo.')
    else if (taken.ok) toast(`Done again: ${taken.step.label}`)
    else toast.warning(`Not done again: ${taken.step.label}. Somebody has changed it since.`)
  }, [dispatch])
  return { back, forth }
}

/** What can be done anywhere. */
export function useFrameActions(): FrameAction[] {
  const { back, forth } = useTravel()
  const navigate = useNavigate()
  return useMemo(
    () => [
      { says: 'Undo', act: back },
      { says: 'Redo', act: forth },
      { says: 'Go to the Garage', act: () => void navigate('/') },
      { says: 'Go to the crew', act: () => void navigate('/crew') },
    ],
    [back, forth, navigate],
  )
}

/** The keys for what can be done anywhere; stands once in each page. */
export function useFrameShortcuts(openCommands: () => void, openShortcuts: () => void): void {
  const { back, forth } = useTravel()
  const navigate = useNavigate()
  useShortcut('ctrl+z', 'Undo', back)
  useShortcut('ctrl+y', 'Redo', forth)
  useShortcut('ctrl+shift+z', 'Redo (also)', forth)
  useShortcut('/', 'Find or do', openCommands)
  useShortcut('?', 'Keys', openShortcuts)
  useShortcut('g g', 'Go to the Garage', () => void navigate('/'))
}
