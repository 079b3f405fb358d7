import { idStart, shareToAdd } from '@bold-ballast/contract'
import express, { Router } from 'express'
import { idIn } from '../http/idIn'
import { parse } from '../http/parse'
import { notFound } from '../http/Refusal'
import type { ShareStore } from './ShareStore'

const LARGEST_SHEET = '1mb'
const TOKEN = /^[\w-]{32,64}$/

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
    response.json(await shares.list(idIn(request.params.buildId, 'build')))
  })
  routes.post(
    '/builds/:buildId/shares',
    express.json({ limit: LARGEST_SHEET }),
    async (request, response) => {
      const buildId = idIn(request.params.buildId, 'build')
      response.status(201).json(await shares.add(buildId, parse(shareToAdd, request.body)))
    },
  )
  routes.delete('/builds/:buildId/shares/:shareId', async (request, response) => {
    await shares.withdraw(idIn(request.params.buildId, 'build'), idIn(request.params.shareId, 'link'))
    response.status(204).end()
  })
  routes.get('/records/:code', async (request, response) => {
    const start = idStart(request.params.code)
    if (start === null) throw notFound('record')
    response.json(await shares.placeOf(start))
  })
  return routes
}
