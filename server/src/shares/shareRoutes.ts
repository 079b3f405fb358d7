import { idStart, shareToAdd } from '@bold-ballast/contract'
import express, { Router } from 'express'
import type { Knex } from 'knex'
import { idIn } from '../http/idIn'
import { parse } from '../http/parse'
import { notFound } from '../http/Refusal'
import { noteOf } from '../access/noteOf'
import type { AuditTrail } from '../access/AuditTrail'
import type { RoomOf } from '../workshop/Workrooms'
import { readShared } from './ShareStore'

const LARGEST_SHEET = '1mb'
const TOKEN = /^[\w-]{32,64}$/

/** What anybody with a link may ask for; nothing else is answered to them. */
export function sharedRoutes(db: Knex): Router {
  const routes = Router()
  routes.get('/shared/:token', async (request, response) => {
    if (!TOKEN.test(request.params.token)) throw notFound('shared sheet')
    response.json(await readShared(db, request.params.token))
  })
  return routes
}

export function shareRoutes(roomOf: RoomOf, audit: AuditTrail): Router {
  const routes = Router()
  routes.get('/builds/:buildId/shares', async (request, response) => {
    response.json(await roomOf(request).shares.list(idIn(request.params.buildId, 'build')))
  })
  routes.post(
    '/builds/:buildId/shares',
    express.json({ limit: LARGEST_SHEET }),
    async (request, response) => {
      const buildId = idIn(request.params.buildId, 'build')
      const wanted = parse(shareToAdd, request.body)
      const share = await roomOf(request).shares.add(buildId, wanted)
      await noteOf(audit, request, { what: 'shared', about: `${wanted.sheet.build}, ${wanted.sheet.stage}` })
      response.status(201).json(share)
    },
  )
  routes.delete('/builds/:buildId/shares/:shareId', async (request, response) => {
    await roomOf(request).shares.withdraw(
      idIn(request.params.buildId, 'build'),
      idIn(request.params.shareId, 'link'),
    )
    response.status(204).end()
  })
  routes.get('/records/:code', async (request, response) => {
    const start = idStart(request.params.code)
    if (start === null) throw notFound('record')
    response.json(await roomOf(request).shares.placeOf(start))
  })
  return routes
}
