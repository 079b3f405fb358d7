import type {
  BuildDocument,
  BuildFile,
  BuildSummary,
  ClaimChecked,
  EditBatch,
  EditResult,
  GearsetOnShelf,
  InstrumentOfWorkshop,
  HistoryDetail,
  HistoryPage,
  Problem,
  RecordPlace,
  Share,
  SharedAnswer,
  ShareToAdd,
  SheetColumns,
  WeighedPart,
  AlreadyHere,
  WorkshopImported,
  WorkshopInfo,
} from '@bold-ballast/contract'
import { createApi, fetchBaseQuery, type FetchBaseQueryError } from '@reduxjs/toolkit/query/react'

/** The API as the client sees it. Shapes come from the contract; nothing is repeated here. */
export const api = createApi({
  reducerPath: 'api',
  baseQuery: fetchBaseQuery({ baseUrl: '/api/v1', timeout: 20_000 }),
  tagTypes: ['Builds', 'Build', 'Shares'],
  keepUnusedDataFor: 600,
  endpoints: (build) => ({
    workshop: build.query<WorkshopInfo, void>({ query: () => '/workshop' }),
    builds: build.query<BuildSummary[], void>({ query: () => '/builds', providesTags: ['Builds'] }),
    build: build.query<BuildDocument, string>({
      query: (id) => `/builds/${id}`,
      providesTags: (_result, _error, id) => [{ type: 'Build', id }],
    }),
    parts: build.query<WeighedPart[], string>({
      query: (find) => ({ url: '/parts', params: { find } }),
      providesTags: ['Builds'],
    }),
    dynoColumns: build.query<{ columns: SheetColumns | null }, string>({
      query: (dyno) => ({ url: '/dyno-columns', params: { dyno } }),
      providesTags: ['Builds'],
    }),
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
    claims: build.query<ClaimChecked[], void>({ query: () => '/claims', providesTags: ['Builds'] }),
    instruments: build.query<InstrumentOfWorkshop[], void>({
      query: () => '/instruments',
      providesTags: ['Builds'],
    }),
    gearsets: build.query<GearsetOnShelf[], void>({ query: () => '/gearsets', providesTags: ['Builds'] }),
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
    addBuild: build.mutation<BuildSummary, BuildFile>({
      query: (body) => ({ url: '/builds', method: 'POST', body }),
      invalidatesTags: ['Builds'],
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
      invalidatesTags: (result) => (result?.isDone ? ['Builds', 'Build'] : []),
    }),
    removeBuild: build.mutation<void, string>({
      query: (id) => ({ url: `/builds/${id}`, method: 'DELETE' }),
      invalidatesTags: ['Builds'],
    }),
    sendBatch: build.mutation<EditResult, { buildId: string; batch: EditBatch }>({
      query: ({ buildId, batch }) => ({ url: `/builds/${buildId}/edits`, method: 'POST', body: batch }),
      invalidatesTags: (result) => (result ? ['Builds'] : []),
    }),
  }),
})

export const {
  useWorkshopQuery,
  useBuildsQuery,
  useBuildQuery,
  usePartsQuery,
  useLazyDynoColumnsQuery,
  useGearsetsQuery,
  useInstrumentsQuery,
  useClaimsQuery,
  useHistoryQuery,
  useHistoryEntryQuery,
  useBuildAtQuery,
  useSharesQuery,
  useAddShareMutation,
  useWithdrawShareMutation,
  useSharedSheetQuery,
  useRecordPlaceQuery,
  useAddBuildMutation,
  useRemoveBuildMutation,
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
