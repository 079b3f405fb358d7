import {
  FORMAT_HEADER,
  FORMAT_VERSION,
  type BuildDocument,
  type BuildFile,
  type BuildSummary,
  type ClaimChecked,
  type Edit,
  type EditBatch,
  type EditResult,
  type CourseInLibrary,
  type WorkOfBuild,
  type GearsetOnShelf,
  type Kind,
  type InstrumentOfWorkshop,
  type Me,
  type HistoryDetail,
  type HistoryPage,
  type Problem,
  type Reckoning,
  type RecordPlace,
  type Share,
  type SharedAnswer,
  type ShareToAdd,
  type LogColumns,
  type PrintoutColumns,
  type RunLogList,
  type WeighedPart,
  type AlongList,
  type AlreadyHere,
  type Homecoming,
  type HomecomingResult,
  type WorkshopImported,
  type WorkshopInfo,
} from '@bold-ballast/contract'
import {
  createApi,
  fetchBaseQuery,
  type BaseQueryFn,
  type FetchArgs,
  type FetchBaseQueryError,
  type FetchBaseQueryMeta,
} from '@reduxjs/toolkit/query/react'
import { askOrRecall } from '../offline/askOrRecall'
import { reach } from '../offline/reach'
import { here, inWorkshop, WORKSHOP_HEADER, type HereState } from './here'

/** Lists of the workshop that are made of records of all builds, and of which kinds; the history is made of every edit. */
const MADE_OF = {
  Parts: ['line', 'swap', 'stage', 'build'],
  Claims: ['line', 'swap', 'stage', 'build'],
  Columns: ['dynoDay'],
  Instruments: ['instrument', 'build'],
  Gearsets: ['gearset', 'build'],
  Courses: ['course', 'build'],
  Work: ['job', 'wait', 'part', 'line', 'build'],
} as const satisfies Readonly<Record<string, readonly Kind[]>>
type List = keyof typeof MADE_OF
const LISTS = Object.keys(MADE_OF) as List[]

/** The lists that edits may have changed. */
export const listsChangedBy = (edits: readonly Pick<Edit, 'kind'>[]): List[] =>
  LISTS.filter((list) => {
    const kinds: readonly Kind[] = MADE_OF[list]
    return edits.some(({ kind }) => kinds.includes(kind))
  })
/** A build that comes or goes may change all of them. */
const ALL = ['Builds', ...LISTS] as const
/** All that is asked for. */
export const TAGS = ['Me', 'People', 'Homes', 'Build', 'Shares', 'RunLogs', 'Reckoning', ...ALL] as const

const plain = fetchBaseQuery({ baseUrl: '/api/v1', timeout: 20_000 })

type Query = BaseQueryFn<string | FetchArgs, unknown, FetchBaseQueryError, object, FetchBaseQueryMeta>

const OTHER_VERSION: Problem = {
  type: '/problems/other-version',
  title: 'Another version',
  status: 426,
  detail:
    'The workshop’s server is of another version than this page. Load the page again: what waits is kept.',
}

/** Asks in the workshop that is open here, and notices where somebody has been signed out. */
const inOpenWorkshop: Query = async (asked, context, extra) => {
  const hereNow = () => (context.getState() as { here: HereState }).here
  const { workshopId, entries } = hereNow()
  const args = typeof asked === 'string' ? { url: asked } : asked
  const url = inWorkshop(args.url, workshopId)
  let answer = await plain({ ...args, url }, context, extra)
  if (answer.error?.status === 404 && url !== args.url) {
    // The workshop that this device was in last is not this person's any more.
    context.dispatch(here.actions.entered(null))
    answer = await plain(args, context, extra)
  }
  // Asked before somebody came in, and answered late, it would put them before the door again.
  const isOfNow = hereNow().entries === entries
  if (answer.error?.status === 401 && isOfNow && !args.url.startsWith('/sign-in'))
    context.dispatch(here.actions.signedOut())
  const headers = answer.meta?.response?.headers
  const format = headers?.get(FORMAT_HEADER)
  if (format && format !== String(FORMAT_VERSION)) {
    context.dispatch(reach.actions.outgrown())
    // What is sent, an older page too, the server brings over; what it says, this page could not read.
    if (context.type === 'query') return { error: { status: 426, data: OTHER_VERSION } }
  }
  const found = headers?.get(WORKSHOP_HEADER)
  // A build brings its workshop with it.
  if (found && args.url.startsWith('/builds/')) context.dispatch(here.actions.entered(found))
  return answer
}

/** The API as the client sees it. Shapes come from the contract; nothing is repeated here. */
export const api = createApi({
  reducerPath: 'api',
  baseQuery: askOrRecall(
    inOpenWorkshop,
    (context) => (context.getState() as { here: HereState }).here.workshopId,
    (endpoint, arg, data): unknown =>
      api.util.upsertQueryData(endpoint as 'me', arg as undefined, data as Me),
  ),
  tagTypes: TAGS,
  keepUnusedDataFor: 600,
  endpoints: (build) => ({
    me: build.query<Me, void>({ query: () => '/me', providesTags: ['Me'] }),
    workshop: build.query<WorkshopInfo, void>({ query: () => '/workshop', providesTags: ['Me'] }),
    builds: build.query<BuildSummary[], void>({ query: () => '/builds', providesTags: ['Builds'] }),
    reckoning: build.query<Reckoning, string>({
      query: (id) => `/builds/${id}/reckoning`,
      providesTags: (_result, _error, id) => [{ type: 'Reckoning', id }],
    }),
    reckoningTold: build.mutation<null, string>({
      query: (id) => ({ url: `/builds/${id}/reckoning`, method: 'DELETE' }),
      invalidatesTags: (_result, _error, id) => [{ type: 'Reckoning', id }],
    }),
    build: build.query<BuildDocument, string>({
      query: (id) => `/builds/${id}`,
      providesTags: (_result, _error, id) => [{ type: 'Build', id }],
    }),
    parts: build.query<WeighedPart[], string>({
      query: (find) => ({ url: '/parts', params: { find } }),
      providesTags: ['Parts'],
    }),
    dynoColumns: build.query<{ columns: PrintoutColumns | null }, string>({
      query: (dyno) => ({ url: '/dyno-columns', params: { dyno } }),
      providesTags: ['Columns'],
    }),
    runLogs: build.query<RunLogList, string>({
      query: (buildId) => `/builds/${buildId}/logs`,
      providesTags: ['RunLogs'],
    }),
    logColumns: build.query<LogColumns[], void>({ query: () => '/log-columns', providesTags: ['RunLogs'] }),
    history: build.query<HistoryPage, { buildId: string; before: string | null }>({
      query: ({ buildId, before }) => ({
        url: `/builds/${buildId}/history`,
        params: before ? { before } : {},
      }),
      providesTags: ['Builds'],
    }),
    historyEntry: build.query<HistoryDetail, { buildId: string; batchId: string }>({
      query: ({ buildId, batchId }) => `/builds/${buildId}/history/${batchId}`,
    }),
    buildAt: build.query<BuildDocument, { buildId: string; time: string }>({
      query: ({ buildId, time }) => ({ url: `/builds/${buildId}/at`, params: { time } }),
    }),
    claims: build.query<ClaimChecked[], void>({ query: () => '/claims', providesTags: ['Claims'] }),
    instruments: build.query<InstrumentOfWorkshop[], void>({
      query: () => '/instruments',
      providesTags: ['Instruments'],
    }),
    /** How work goes in the workshop. */
    work: build.query<WorkOfBuild[], void>({ query: () => '/work', providesTags: ['Work'] }),
    courses: build.query<CourseInLibrary[], void>({ query: () => '/courses', providesTags: ['Courses'] }),
    gearsets: build.query<GearsetOnShelf[], void>({ query: () => '/gearsets', providesTags: ['Gearsets'] }),
    shares: build.query<Share[], string>({
      query: (buildId) => `/builds/${buildId}/shares`,
      providesTags: ['Shares'],
    }),
    addShare: build.mutation<Share, { buildId: string; share: ShareToAdd }>({
      query: ({ buildId, share }) => ({ url: `/builds/${buildId}/shares`, method: 'POST', body: share }),
      invalidatesTags: ['Shares'],
    }),
    withdrawShare: build.mutation<void, { buildId: string; shareId: string }>({
      query: ({ buildId, shareId }) => ({ url: `/builds/${buildId}/shares/${shareId}`, method: 'DELETE' }),
      invalidatesTags: ['Shares'],
    }),
    sharedSheet: build.query<SharedAnswer, string>({ query: (token) => `/shared/${token}` }),
    recordPlace: build.query<RecordPlace, string>({ query: (code) => `/records/${code}` }),
    addBuild: build.mutation<BuildSummary, { file: BuildFile; isAlong: boolean }>({
      query: ({ file, isAlong }) => ({
        url: '/builds',
        method: 'POST',
        params: isAlong ? { along: 'yes' } : {},
        body: file,
      }),
      invalidatesTags: ALL,
    }),
    along: build.query<AlongList, void>({ query: () => '/along', providesTags: ['Builds'] }),
    bringHome: build.mutation<HomecomingResult, { buildId: string; body: Homecoming }>({
      query: ({ buildId, body }) => ({ url: `/builds/${buildId}/homecoming`, method: 'POST', body }),
      invalidatesTags: (result, _error, { buildId }) =>
        result?.isDone ? [...ALL, { type: 'Build', id: buildId }] : [],
    }),
    bringWorkshop: build.mutation<WorkshopImported, { file: Blob; here: AlreadyHere; look: boolean }>({
      query: ({ file, here, look }) => ({
        url: '/workshop/file',
        method: 'POST',
        params: { here, look: look ? 'yes' : 'no' },
        headers: { 'content-type': 'application/gzip' },
        body: file,
        timeout: 600_000,
      }),
      invalidatesTags: (result) => (result?.isDone ? [...ALL, 'Build'] : []),
    }),
    removeBuild: build.mutation<void, string>({
      query: (id) => ({ url: `/builds/${id}`, method: 'DELETE' }),
      invalidatesTags: ALL,
    }),
    sendBatch: build.mutation<EditResult, { buildId: string; batch: EditBatch }>({
      query: ({ buildId, batch }) => ({ url: `/builds/${buildId}/edits`, method: 'POST', body: batch }),
      invalidatesTags: (result, _error, { batch }) =>
        result ? ['Builds', ...listsChangedBy(batch.edits)] : [],
    }),
  }),
})

export const {
  useMeQuery,
  useWorkshopQuery,
  useBuildsQuery,
  useBuildQuery,
  usePartsQuery,
  useLazyDynoColumnsQuery,
  useLogColumnsQuery,
  useRunLogsQuery,
  useCoursesQuery,
  useWorkQuery,
  useGearsetsQuery,
  useInstrumentsQuery,
  useClaimsQuery,
  useHistoryQuery,
  useHistoryEntryQuery,
  useBuildAtQuery,
  useReckoningQuery,
  useReckoningToldMutation,
  useSharesQuery,
  useAddShareMutation,
  useWithdrawShareMutation,
  useSharedSheetQuery,
  useRecordPlaceQuery,
  useAddBuildMutation,
  useRemoveBuildMutation,
  useAlongQuery,
  useBringHomeMutation,
  useBringWorkshopMutation,
} = api

/** The words of a failed request, whatever kind of failure it was. */
export function problemOf(error: unknown): Problem {
  const failure = error as FetchBaseQueryError
  const data = 'data' in failure ? failure.data : undefined
  if (data && typeof data === 'object' && 'detail' in data) return data as Problem
  return {
    type: '/problems/database-away',
    title: 'The server can’t be reached',
    status: 0,
    detail: 'The server doesn’t answer. What you typed is kept.',
  }
}
