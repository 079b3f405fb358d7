import { wordingOf } from '@bold-ballast/words'
import { useCallback, useMemo } from 'react'
import { useStore } from 'react-redux'
import { useNavigate, useParams } from 'react-router'
import { toast } from '../ui/toast'
import { redo, undo } from '../store/commit'
import { selectView } from '../store/selectors'
import { useAppDispatch, type RootState } from '../store/store'
import { travelSaid } from './travelSaid'
import { useShortcut } from '../ui/shortcuts'

export interface FrameAction {
  readonly says: string
  readonly act: () => void
}

/** Undo and redo in the open build, with a word about what happened. */
export function useTravel(): { back: () => void; forth: () => void } {
  const dispatch = useAppDispatch()
  const store = useStore<RootState>()
  const { buildId } = useParams()
  const go = useCallback(
    (way: 'undo' | 'redo') => {
      if (!buildId) return toast(`Open a build to ${way} what was done there.`)
      const travelled = dispatch(way === 'undo' ? undo(buildId) : redo(buildId))
      if (!travelled) return toast(`Nothing to ${way}.`)
      const view = selectView(store.getState(), buildId)
      const says = travelSaid(way, travelled, view ? wordingOf(view) : { units: {} })
      return travelled.became === 'done' ? toast(says) : toast.warning(says)
    },
    [buildId, dispatch, store],
  )
  return { back: useCallback(() => go('undo'), [go]), forth: useCallback(() => go('redo'), [go]) }
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
