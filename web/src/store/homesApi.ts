import type {
  BuildAtHome,
  BuildFile,
  BuildSummary,
  Home,
  HomeToAdd,
  Homeward,
  HomewardResult,
} from '@bold-ballast/contract'
import { api } from './api'

/** A build may be many megabytes, over a garage's network. */
const SLOW_MS = 120_000

/** Other workshops on the network; fetched where somebody asks for them. */
const homes = api.injectEndpoints({
  endpoints: (build) => ({
    homes: build.query<Home[], void>({ query: () => '/homes', providesTags: ['Homes'] }),
    addHome: build.mutation<Home, HomeToAdd>({
      query: (body) => ({ url: '/homes', method: 'POST', body, timeout: SLOW_MS }),
      invalidatesTags: ['Homes'],
    }),
    forgetHome: build.mutation<void, string>({
      query: (id) => ({ url: `/homes/${id}`, method: 'DELETE', timeout: SLOW_MS }),
      invalidatesTags: ['Homes'],
    }),
    buildsAtHome: build.query<BuildAtHome[], string>({
      query: (id) => ({ url: `/homes/${id}/builds`, timeout: SLOW_MS }),
      providesTags: ['Builds'],
    }),
    buildAtHome: build.query<BuildFile, { homeId: string; buildId: string }>({
      query: ({ homeId, buildId }) => ({ url: `/homes/${homeId}/builds/${buildId}`, timeout: SLOW_MS }),
      // Somebody may be at work on it there.
      keepUnusedDataFor: 0,
    }),
    takeAlong: build.mutation<BuildSummary, { homeId: string; buildId: string }>({
      query: ({ homeId, buildId }) => ({
        url: `/homes/${homeId}/builds`,
        method: 'POST',
        body: { buildId },
        timeout: SLOW_MS,
      }),
      invalidatesTags: ['Builds'],
    }),
    bringOver: build.mutation<HomewardResult, { homeId: string; buildId: string; body: Homeward }>({
      query: ({ homeId, buildId, body }) => ({
        url: `/homes/${homeId}/builds/${buildId}`,
        method: 'POST',
        body,
        timeout: SLOW_MS,
      }),
    }),
  }),
})

export const {
  useHomesQuery,
  useAddHomeMutation,
  useForgetHomeMutation,
  useBuildsAtHomeQuery,
  useBuildAtHomeQuery,
  useTakeAlongMutation,
  useBringOverMutation,
} = homes
