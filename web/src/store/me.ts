import {
  kindFault,
  may,
  type Kind,
  type Me,
  type Membership,
  type Right,
  type Role,
} from '@bold-ballast/contract'
import { workshopIn } from '../offline/kept'
import { api, useMeQuery } from './api'
import { inWorkshop } from './here'
import { useAppSelector, type RootState } from './store'

/** Whoever sits at the machine of an installation without accounts; also until it is known who does. */
const AT_MACHINE: Role = 'owner'

const selectMe = api.endpoints.me.select()

/** The workshop that is open here, and what this person is in it; null until it is known, or where there is none. */
export function selectMembership(state: RootState): Membership | null {
  const { data } = selectMe(state)
  return data ? workshopIn(data, state.here.workshopId) : null
}

export const selectRole = (state: RootState): Role => selectMembership(state)?.role ?? AT_MACHINE

/** Who is signed in; null without accounts, and until it is known. */
export const selectPerson = (state: RootState): Me['person'] => selectMe(state).data?.person ?? null

/** Whether what waits is for whoever is here to send: it is theirs, or was done before there were accounts. */
export const isOwn = (state: RootState, { by = null }: { readonly by?: string | null }): boolean =>
  by === null || by === selectPerson(state)?.id

/** Whose name goes with what is done: the person's, or without accounts whoever said so at this screen. */
export const selectAuthor = (state: RootState): string => selectPerson(state)?.name ?? state.settings.author

export const useMembership = () => useAppSelector(selectMembership)
export const usePerson = () => useAppSelector(selectPerson)
/** Whether whoever works here may do something. The server asks again. */
export const useMay = (right: Right): boolean => may(useAppSelector(selectRole), right)

/** Whether nobody is known here though somebody has to be: true only once that is certain. */
export function selectIsOut(state: RootState): boolean {
  const { data } = selectMe(state)
  return state.here.isSignedOut || (data !== undefined && data.person === null && data.workshops.length === 0)
}

/** Why whoever works here may not write a record of a kind, in words; null where they may. */
export const useBarred = (kind: Kind): string | null => kindFault(useAppSelector(selectRole), kind)

/**
 * Whether somebody has to come in first.
 *
 * @param isOpenToAll for a page that asks nobody who they are
 */
export function useIsOut(isOpenToAll: boolean): boolean {
  useMeQuery(undefined, { skip: isOpenToAll })
  const isOut = useAppSelector(selectIsOut)
  return !isOpenToAll && isOut
}

/** The address of something in the workshop that is open here, for what isn't asked for by `api`. */
export const useInWorkshop = (path: string): string =>
  `/api/v1${inWorkshop(
    path,
    useAppSelector((state) => state.here.workshopId),
  )}`
