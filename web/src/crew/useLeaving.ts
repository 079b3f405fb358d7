import { useCallback } from 'react'
import { useSignOutMutation } from '../store/accessApi'
import { api, problemOf } from '../store/api'
import { here } from '../store/here'
import { history } from '../store/history'
import { useAppDispatch } from '../store/store'
import { forgetAllText } from '../ui/keptText'
import { toast } from '../ui/toast'

/** Signs this device out; what was fetched and what was being typed goes with whoever leaves. */
export function useLeaving(): () => void {
  const dispatch = useAppDispatch()
  const [signOut] = useSignOutMutation()
  return useCallback(() => {
    void signOut().then(({ error }) => {
      if (error) return toast.error(problemOf(error).detail)
      forgetAllText()
      dispatch(here.actions.signedOut())
      dispatch(history.actions.forgotten())
      dispatch(api.util.resetApiState())
    })
  }, [dispatch, signOut])
}
