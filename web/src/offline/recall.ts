import {
  alongList,
  buildDocument,
  buildList,
  claimList,
  columnsAnswer,
  gearsetList,
  historyPage,
  instrumentList,
  logColumnsList,
  me,
  runLogList,
  upgradeDocument,
  workLibrary,
  workshopInfo,
} from '@bold-ballast/contract'
import type { z } from 'zod'
import { deviceStore } from '../store/device'
import { AnswerKeeper } from './AnswerKeeper'
import { keyOf, ME_ASKED, workshopIn, type KeptEndpoint } from './kept'

const SHAPES: Readonly<Record<KeptEndpoint, z.ZodType>> = {
  me,
  workshop: workshopInfo,
  builds: buildList,
  build: buildDocument,
  instruments: instrumentList,
  gearsets: gearsetList,
  claims: claimList,
  work: workLibrary,
  dynoColumns: columnsAnswer,
  runLogs: runLogList,
  logColumns: logColumnsList,
  history: historyPage,
  along: alongList,
}

export interface Known {
  readonly data: unknown
  /** When it was so, milliseconds since 1970. */
  readonly at: number
}

/**
 * What this device knew last of what is asked for: of whoever was in here last, and nobody else. Null where it knows
 * nothing, or nothing that today's version can read.
 *
 * @param openId the workshop that is open here
 */
export async function recall(
  endpoint: KeptEndpoint,
  asked: string,
  openId: string | null,
): Promise<Known | null> {
  const keeper = new AnswerKeeper(deviceStore)
  const mine = await keeper.recall(ME_ASKED)
  const who = me.safeParse(mine?.body).data
  if (!mine || !who?.person) return null
  if (endpoint === 'me') return { data: who, at: mine.answer.at }
  const found = await keeper.recall(keyOf(endpoint, asked, workshopIn(who, openId)?.id ?? null))
  if (found?.answer.personId !== who.person.id) return null
  const { at, formatVersion } = found.answer
  const body = endpoint === 'build' ? upgradeDocument(found.body, formatVersion) : found.body
  const known = SHAPES[endpoint].safeParse(body)
  return known.success ? { data: known.data, at } : null
}
