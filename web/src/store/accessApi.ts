import type {
  AuditPage,
  Garage,
  PairingState,
  Trust,
  Invitation,
  InvitationToAdd,
  Joining,
  Me,
  Member,
  Membership,
  NewOwner,
  PassAdded,
  PassOpened,
  PasswordChange,
  Role,
  Session,
  SignIn,
} from '@bold-ballast/contract'
import { api } from './api'

const post = (url: string, body: unknown = {}) => ({ url, method: 'POST', body })

/** Who comes in and what they are; fetched where somebody asks for it. */
const access = api.injectEndpoints({
  endpoints: (build) => ({
    makeOwner: build.mutation<Me, NewOwner>({
      query: (owner) => post('/owner', owner),
      invalidatesTags: ['Me', 'People'],
    }),
    signIn: build.mutation<Me, SignIn>({ query: (typed) => post('/sign-in', typed) }),
    signOut: build.mutation<void, void>({ query: () => post('/sign-out') }),
    rename: build.mutation<void, string>({
      query: (name) => ({ url: '/me', method: 'PUT', body: { name } }),
      invalidatesTags: ['Me', 'People'],
    }),
    changePassword: build.mutation<void, PasswordChange>({
      query: (body) => ({ url: '/me/password', method: 'PUT', body }),
      invalidatesTags: ['People'],
    }),
    sessions: build.query<Session[], void>({ query: () => '/sessions', providesTags: ['People'] }),
    /** One of mine, or all others. */
    endSession: build.mutation<void, string | null>({
      query: (id) => ({ url: id === null ? '/sessions' : `/sessions/${id}`, method: 'DELETE' }),
      invalidatesTags: ['People'],
    }),
    pass: build.query<PassOpened, string>({ query: (token) => `/passes/${token}` }),
    usePass: build.mutation<
      Me,
      { token: string; body: Joining | { password: string } | Record<string, never> }
    >({
      query: ({ token, body }) => post(`/passes/${token}`, body),
    }),
    addWorkshop: build.mutation<Membership, string>({
      query: (name) => post('/workshops', { name }),
      invalidatesTags: ['Me'],
    }),
    nameWorkshop: build.mutation<void, string>({
      query: (name) => ({ url: '/workshop', method: 'PUT', body: { name } }),
      invalidatesTags: ['Me'],
    }),
    members: build.query<Member[], void>({ query: () => '/members', providesTags: ['People'] }),
    changeMember: build.mutation<void, { id: string; role: Role }>({
      query: ({ id, role }) => ({ url: `/members/${id}`, method: 'PUT', body: { role } }),
      invalidatesTags: ['Me', 'People'],
    }),
    removeMember: build.mutation<void, string>({
      query: (id) => ({ url: `/members/${id}`, method: 'DELETE' }),
      invalidatesTags: ['Me', 'People'],
    }),
    resetMember: build.mutation<PassAdded, string>({ query: (id) => post(`/members/${id}/reset`) }),
    endMemberSessions: build.mutation<void, string>({
      query: (id) => ({ url: `/members/${id}/sessions`, method: 'DELETE' }),
      invalidatesTags: ['People'],
    }),
    invitations: build.query<Invitation[], void>({ query: () => '/invitations', providesTags: ['People'] }),
    invite: build.mutation<PassAdded, InvitationToAdd>({
      query: (body) => post('/invitations', body),
      invalidatesTags: ['People'],
    }),
    withdrawInvitation: build.mutation<void, string>({
      query: (id) => ({ url: `/invitations/${id}`, method: 'DELETE' }),
      invalidatesTags: ['People'],
    }),
    garage: build.query<Garage, void>({ query: () => '/garage', providesTags: ['People'] }),
    openGarage: build.mutation<Garage, boolean>({
      query: (isOn) => ({ url: '/garage', method: 'PUT', body: { isOn } }),
      invalidatesTags: ['People', 'Me'],
    }),
    trust: build.query<Trust, void>({ query: () => '/garage/trust' }),
    addPairing: build.mutation<PassAdded, void>({ query: () => post('/pairings') }),
    pairing: build.query<PairingState, string>({ query: (id) => `/pairings/${id}` }),
    audit: build.query<AuditPage, string | null>({
      query: (before) => ({ url: '/audit', params: before ? { before } : {} }),
      providesTags: ['People'],
    }),
  }),
})

export const {
  useMakeOwnerMutation,
  useSignInMutation,
  useSignOutMutation,
  useRenameMutation,
  useChangePasswordMutation,
  useSessionsQuery,
  useEndSessionMutation,
  usePassQuery,
  useUsePassMutation,
  useAddWorkshopMutation,
  useNameWorkshopMutation,
  useMembersQuery,
  useChangeMemberMutation,
  useRemoveMemberMutation,
  useResetMemberMutation,
  useInvitationsQuery,
  useInviteMutation,
  useWithdrawInvitationMutation,
  useEndMemberSessionsMutation,
  useAuditQuery,
  useGarageQuery,
  useOpenGarageMutation,
  useTrustQuery,
  useAddPairingMutation,
  usePairingQuery,
} = access
