import { RUN_LOG_TYPE } from '@bold-ballast/contract'
import express, { Router } from 'express'
import { besideRoutes } from '../beside/besideRoutes'
import { Refusal } from '../http/Refusal'
import type { RoomOf } from '../workshop/Workrooms'
import { refuseBrokenLog } from './refuseBrokenLog'
import { runLogMore, type RunLogMore } from './runLogMore'

export const LARGEST_LOG = '16mb'
/** What every gzip begins with. */
const GZIP = [0x1f, 0x8b] as const

const noLog = () =>
  new Refusal(
    415,
    'not-valid',
    'That is no packed log',
    'Read the logger’s file under Days, Logs: it is packed there.',
  )

export function runLogRoutes(roomOf: RoomOf): Router {
  const routes = Router()
  routes.get('/log-columns', async (request, response) => {
    response.json(await roomOf(request).logColumns.known())
  })
  routes.use(
    besideRoutes<RunLogMore>(roomOf, {
      records: 'runs',
      file: 'log',
      list: 'logs',
      named: 'log',
      storeOf: (room) => room.logs,
      body: express.raw({ type: RUN_LOG_TYPE, limit: LARGEST_LOG, inflate: false }),
      check: async (bytes) => {
        if (!Buffer.isBuffer(bytes) || GZIP.some((byte, i) => bytes[i] !== byte)) throw noLog()
        await refuseBrokenLog(bytes)
        return runLogMore(bytes)
      },
      typeOf: () => RUN_LOG_TYPE,
      listed: ({ recordId, bytes, sha256 }) => ({ runId: recordId, bytes, sha256 }),
    }),
  )
  return routes
}
