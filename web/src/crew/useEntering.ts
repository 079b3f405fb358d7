import type { Me } from '@bold-ballast/contract'
import { useCallback } from 'react'
import { api } from '../store/api'
import { here } from '../store/here'
import { history } from '../store/history'
import { outbox } from '../store/outbox'
import { useAppDispatch } from '../store/store'

/** What is done once somebody has come in: nothing that was fetched for anybody else is shown any more. */
export function useEntering(): (me: Me) => void {
  const dispatch = useAppDispatch()
  return useCallback(
    (me: Me) => {
      dispatch(api.util.resetApiState())
      dispatch(history.actions.forgotten())
      void dispatch(api.util.upsertQueryData('me', undefined, me))
      dispatch(here.actions.signedIn())
      dispatch(outbox.actions.nudged())
    },
    [dispatch],
  )
}

/** Goes to another workshop: everything is asked for anew. */
export function useGoTo(): (workshopId: string | null) => void {
  const dispatch = useAppDispatch()
  return useCallback(
    (workshopId: string | null) => {
      dispatch(here.actions.entered(workshopId))
      dispatch(history.actions.forgotten())
      dispatch(api.util.resetApiState())
    },
    [dispatch],
  )
}
