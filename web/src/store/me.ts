import { may, type Me, type Membership, type Right, type Role } from '@bold-ballast/contract'
import { api, useMeQuery } from './api'
import { inWorkshop } from './here'
import { useAppSelector, type RootState } from './store'

/** Whoever sits at the machine of an installation without accounts; also until it is known who does. */
const AT_MACHINE: Role = 'owner'

const selectMe = api.endpoints.me.select()

/** The workshop that is open here, and what this person is in it; null until it is known, or where there is none. */
export function selectMembership(state: RootState): Membership | null {
  const workshops = selectMe(state).data?.workshops ?? []
  return workshops.find(({ id }) => id === state.here.workshopId) ?? workshops[0] ?? null
}

export const selectRole = (state: RootState): Role => selectMembership(state)?.role ?? AT_MACHINE

/** Who is signed in; null without accounts, and until it is known. */
export const selectPerson = (state: RootState): Me['person'] => selectMe(state).data?.person ?? null

/** Whose name goes with what is done: the person's, or without accounts whoever said so at this screen. */
export const selectAuthor = (state: RootState): string => selectPerson(state)?.name ?? state.settings.author

export const useMembership = () => useAppSelector(selectMembership)
export const usePerson = () => useAppSelector(selectPerson)
/** Whether whoever works here may do something. The server asks again. */
export const useMay = (right: Right): boolean => may(useAppSelector(selectRole), right)

/**
 * Whether nobody is known here though somebody has to be: true only once that is certain.
 *
 * @param isOpenToAll for a page that asks nobody who they are
 */
export function useIsOut(isOpenToAll: boolean): boolean {
  const { data } = useMeQuery(undefined, { skip: isOpenToAll })
  const isSignedOut = useAppSelector((state) => state.here.isSignedOut)
  if (isOpenToAll) return false
  return isSignedOut || (data !== undefined && data.person === null && data.workshops.length === 0)
}

/** The address of something in the workshop that is open here, for what isn't asked for by `api`. */
export const useInWorkshop = (path: string): string =>
  `/api/v1${inWorkshop(
    path,
    useAppSelector((state) => state.here.workshopId),
  )}`
