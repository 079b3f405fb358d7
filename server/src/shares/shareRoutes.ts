import { idStart, shareToAdd } from '@bold-ballast/contract'
import express, { Router } from 'express'
import * as z from 'zod'
import { parse } from '../http/parse'
import { notFound } from '../http/Refusal'
import type { ShareStore } from './ShareStore'

const LARGEST_SHEET = '1mb'
const TOKEN = /^[\w-]{32,64}$/

const uuidIn = (value: unknown, what: string) => {
  const id = z.uuid().safeParse(value)
  if (!id.success) throw notFound(what)
  return id.data
}

/** What anybody with a link may ask for; nothing else is answered to them. */
export function sharedRoutes(shares: ShareStore): Router {
  const routes = Router()
  routes.get('/shared/:token', async (request, response) => {
    if (!TOKEN.test(request.params.token)) throw notFound('shared sheet')
    response.json(await shares.read(request.params.token))
  })
  return routes
}

export function shareRoutes(shares: ShareStore): Router {
  const routes = Router()
  routes.get('/builds/:buildId/shares', async (request, response) => {
    response.json(await shares.list(uuidIn(request.params.buildId, 'build')))
  })
  routes.post(
    '/builds/:buildId/shares',
    express.json({ limit: LARGEST_SHEET }),
    async (request, response) => {
      const buildId = uuidIn(request.params.buildId, 'build')
      response.status(201).json(await shares.add(buildId, parse(shareToAdd, request.body)))
    },
  )
  routes.delete('/builds/:buildId/shares/:shareId', async (request, response) => {
    await shares.withdraw(uuidIn(request.params.buildId, 'build'), uuidIn(request.params.shareId, 'link'))
    response.status(204).end()
  })
  routes.get('/records/:code', async (request, response) => {
    const start = idStart(request.params.code)
    if (start === null) throw notFound('record')
    response.json(await shares.placeOf(start))
  })
  return routes
}
