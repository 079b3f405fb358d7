import { PHOTO_TYPES } from '@bold-ballast/contract'
import express, { Router } from 'express'
import { idIn } from '../http/idIn'
import { Refusal } from '../http/Refusal'
import type { RoomOf } from '../workshop/Workrooms'

export const LARGEST_PHOTO = '2mb'

const idsIn = ({ buildId, lineId }: Record<string, unknown>) => ({
  buildId: idIn(buildId, 'photograph'),
  lineId: idIn(lineId, 'photograph'),
})

export function photoRoutes(roomOf: RoomOf): Router {
  const routes = Router()
  const at = '/builds/:buildId/lines/:lineId/photo'
  routes.get('/builds/:buildId/photos', async (request, response) => {
    response.json(await roomOf(request).photos.list(idIn(request.params.buildId, 'build')))
  })
  routes.get(at, async (request, response) => {
    const photo = await roomOf(request).photos.read(idsIn(request.params))
    // Most parts have none; that is no error.
    if (!photo) return void response.status(204).end()
    response.type(photo.type).send(photo.bytes)
  })
  routes.put(at, express.raw({ type: [...PHOTO_TYPES], limit: LARGEST_PHOTO }), async (request, response) => {
    const type = request.headers['content-type'] ?? ''
    if (!Buffer.isBuffer(request.body) || request.body.length === 0)
      throw new Refusal(415, 'not-valid', 'That is no photograph', 'Send a JPEG, PNG or WebP picture.')
    await roomOf(request).photos.keep(idsIn(request.params), type, request.body)
    response.status(204).end()
  })
  routes.delete(at, async (request, response) => {
    await roomOf(request).photos.remove(idsIn(request.params))
    response.status(204).end()
  })
  return routes
}
