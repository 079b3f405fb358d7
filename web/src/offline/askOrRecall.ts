import type {
  BaseQueryApi,
  BaseQueryFn,
  FetchArgs,
  FetchBaseQueryError,
  FetchBaseQueryMeta,
} from '@reduxjs/toolkit/query'
import { isKept, type KeptEndpoint } from './kept'
import { reach, type ReachState } from './reach'

type Query = BaseQueryFn<string | FetchArgs, unknown, FetchBaseQueryError, object, FetchBaseQueryMeta>
type Answer = Awaited<ReturnType<Query>>
interface Cached {
  readonly data?: unknown
  readonly originalArgs?: unknown
}

/** A server that takes longer may not be there: an address of the garage leads nowhere at the track, without a word. */
const PATIENCE_MS = 3000
/** Nobody answered, or somebody in front of the server did. */
const LOST = new Set<FetchBaseQueryError['status']>(['FETCH_ERROR', 'TIMEOUT_ERROR', 502, 503, 504])

const isLost = ({ error }: Answer): boolean => error !== undefined && LOST.has(error.status)
const pause = (ms: number) => new Promise<null>((done) => setTimeout(() => done(null), ms))

/**
 * Asks the server; where it can't be reached, or lets one wait, this device is asked what it knew last. Nothing is
 * looked for before that, so that a server that answers is none the slower.
 *
 * @param openId the workshop that is open here
 * @param upsert what an answer that comes after all is taken over by
 */
export const askOrRecall =
  (
    ask: Query,
    openId: (context: BaseQueryApi) => string | null,
    upsert: (endpoint: KeptEndpoint, arg: unknown, data: unknown) => unknown,
  ): Query =>
  async (args, context, extra) => {
    const { dispatch, getState, endpoint, type } = context
    const asked = context.queryCacheKey ?? ''
    const reached = () => (getState() as { reach: ReachState }).reach
    const cached = () => (getState() as { api: { queries: Record<string, Cached> } }).api.queries[asked]
    const noted = (answer: Answer): Answer => {
      dispatch(isLost(answer) ? reach.actions.lost() : reach.actions.heard())
      if (!answer.error && asked in reached().knownAt) dispatch(reach.actions.renewed(asked))
      return answer
    }
    const asking = Promise.resolve(ask(args, context, extra)).then(noted)
    if (type !== 'query' || !isKept(endpoint)) return asking
    const first = await Promise.race([asking, pause(PATIENCE_MS)])
    if (first && !isLost(first)) return first
    const found = await import('./recall')
      .then(({ recall }) => recall(endpoint, asked, openId(context)))
      // A device that keeps nothing knows nothing.
      .catch(() => null)
    if (!found) return first ?? asking
    // What is on the screen is the newer of the two.
    const shown = cached()?.data
    const { knownAt, heardAt } = reached()
    const at = shown === undefined ? found.at : (knownAt[asked] ?? heardAt)
    dispatch(reach.actions.recalled({ asked, at }))
    if (!first)
      void asking.then((late) => {
        if (late.error) return
        dispatch(upsert(endpoint, cached()?.originalArgs, late.data) as never)
        dispatch(reach.actions.renewed(asked))
      })
    return { data: shown ?? found.data }
  }
