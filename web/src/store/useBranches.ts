import { readAt, type Branch } from '@bold-ballast/contract'
import { useCallback } from 'react'
import { useNavigate } from 'react-router'
import { history } from './history'
import { useAppDispatch } from './store'
import { trying } from './trying'
import { useBuild } from './useBuild'

/** Into a branch and out of it again. What was done before can't be undone from the other side. */
export function useBranches() {
  const { buildId } = useBuild()
  const dispatch = useAppDispatch()
  const navigate = useNavigate()
  const go = useCallback(
    (stageId: string, room: string) => void navigate(`/builds/${buildId}/stages/${stageId}/${room}`),
    [navigate, buildId],
  )
  const open = useCallback(
    (branch: Branch, room: string) => {
      dispatch(history.actions.forgotten())
      dispatch(trying.actions.opened({ buildId, branchId: branch.id }))
      go(readAt(branch), room)
    },
    [dispatch, buildId, go],
  )
  /** Back to the stage of the build that it starts from, or to its own once it has become one. */
  const leave = useCallback(
    (stageId: string) => {
      dispatch(history.actions.forgotten())
      dispatch(trying.actions.left())
      go(stageId, 'board?view=whatif')
    },
    [dispatch, go],
  )
  return { open, leave }
}
