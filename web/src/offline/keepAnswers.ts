import type { Me } from '@bold-ballast/contract'
import type { RootState, Store } from '../store/store'
import { selectIsOut, selectMembership, selectPerson } from '../store/me'
import type { AnswerKeeper } from './AnswerKeeper'
import { buildAsked, isKept, keyOf, ME_ASKED, LOGS, PHOTOGRAPHS, type KeptEndpoint } from './kept'

/** Between what comes and keeping it: who looks at a build for a moment has it. */
const FIRST_MS = 200
/** Between what changes and keeping it: a build that is worked on changes with every key. */
const SETTLED_MS = 2000
/** How old the age of an open build may be that others can change. */
const CONFIRMED_MS = 30_000

interface Answered {
  readonly endpointName?: string
  readonly originalArgs?: unknown
  readonly status: string
  readonly data?: unknown
}

const answersIn = ({ api }: RootState): Readonly<Record<string, Answered | undefined>> => api.queries

/** What of an answer's page of history is kept: the newest. */
const isNewest = (endpoint: KeptEndpoint, arg: unknown): boolean =>
  endpoint !== 'history' || (arg as { before: string | null }).before === null

const idIn = (endpoint: KeptEndpoint, arg: unknown): string | null =>
  endpoint === 'build'
    ? (arg as string)
    : endpoint === 'history'
      ? (arg as { buildId: string }).buildId
      : null

/** Of which workshops somebody is the same as before: what was known of others is not theirs any more, nor in this light. */
const stillTheirs = (before: Me | null, now: Me): ReadonlySet<string> =>
  new Set(
    now.workshops
      .filter(({ id, role }) => before?.workshops.find((w) => w.id === id)?.role === role)
      .map(({ id }) => id),
  )

/**
 * Keeps on the device what the server says, whenever it says something else: for whoever is signed in, and for as long.
 */
export function keepAnswers(store: Store, keeper: AnswerKeeper): void {
  /** What is kept of each answer. */
  const kept = new Map<string, unknown>()
  let last: object | null = null
  let { wanted } = store.getState().reach
  let due: { readonly timer: ReturnType<typeof setTimeout>; readonly at: number } | null = null
  let isOut = false
  let work: Promise<unknown> = Promise.resolve()
  const inTurn = (next: () => Promise<unknown>) => {
    // A device without room keeps nothing; what is shown is none the worse.
    work = work.then(next).catch(() => undefined)
  }

  const forgetFormer = async (personId: string, who: Me) => {
    const before = (await keeper.recall(ME_ASKED))?.body as Me | undefined
    const theirs = stillTheirs(before?.person?.id === personId ? before : null, who)
    await keeper.forget(
      (answer) =>
        answer.personId !== personId || (answer.workshopId !== null && !theirs.has(answer.workshopId)),
    )
  }

  const keepAll = async () => {
    due = null
    const state = store.getState()
    const person = selectPerson(state)
    if (!person) return
    const fresh = Object.entries(answersIn(state)).filter(
      ([asked, answered]) =>
        answered?.status === 'fulfilled' &&
        answered.endpointName !== undefined &&
        isKept(answered.endpointName) &&
        isNewest(answered.endpointName, answered.originalArgs) &&
        kept.get(asked) !== answered.data &&
        !(asked in state.reach.knownAt),
    )
    // Who somebody is comes first: by that it is told what of the rest may stay.
    for (const [asked, answered] of fresh.sort(
      ([a], [b]) => Number(b === ME_ASKED) - Number(a === ME_ASKED),
    )) {
      const { endpointName, originalArgs, data } = answered as Required<Answered>
      const endpoint = endpointName as KeptEndpoint
      if (endpoint === 'me') await forgetFormer(person.id, data as Me)
      const workshopId = endpoint === 'me' ? null : (selectMembership(state)?.id ?? null)
      kept.set(asked, data)
      await keeper.keep({
        key: keyOf(endpoint, asked, workshopId),
        personId: person.id,
        workshopId,
        endpoint,
        buildId: idIn(endpoint, originalArgs),
        at: Date.now(),
        body: data,
      })
    }
  }

  const keepWithin = (ms: number) => {
    const at = Date.now() + ms
    if (due && due.at <= at) return
    if (due) clearTimeout(due.timer)
    due = { at, timer: setTimeout(() => inTurn(keepAll), ms) }
  }

  const look = () => {
    const state = store.getState()
    if (selectIsOut(state)) {
      if (isOut) return
      isOut = true
      kept.clear()
      inTurn(() => keeper.forget(() => true))
      for (const name of [PHOTOGRAPHS, LOGS]) void globalThis.caches?.delete(name)
      return
    }
    isOut = false
    if (state.reach.wanted !== wanted) {
      wanted = state.reach.wanted
      for (const asked of wanted) kept.delete(asked)
      last = null
    }
    if (state.api.queries === last) return
    last = state.api.queries
    const answers = answersIn(state)
    const isFirst = Object.entries(answers).some(
      ([asked, answered]) => isKept(answered?.endpointName ?? '') && !kept.has(asked),
    )
    // Whoever may see less than before does so at once.
    const isWhoNew = kept.get(ME_ASKED) !== answers[ME_ASKED]?.data
    keepWithin(isFirst || isWhoNew ? FIRST_MS : SETTLED_MS)
  }
  store.subscribe(look)
  look()
  document.addEventListener('visibilitychange', () => document.visibilityState === 'hidden' && keepWithin(0))
  // While others can be heard, what is shown is as it is there.
  setInterval(() => {
    const { live, reach } = store.getState()
    if (live.followed !== null && reach.awaySince === null)
      inTurn(() => keeper.confirm(buildAsked(live.followed as string), Date.now()))
  }, CONFIRMED_MS)
}
