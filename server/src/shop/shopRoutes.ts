import { may } from '@bold-ballast/contract'
import { Router } from 'express'
import { placeOf } from '../access/Caller'
import type { RoomOf } from '../workshop/Workrooms'

export function shopRoutes(roomOf: RoomOf): Router {
  const routes = Router()
  routes.get('/work', async (request, response) => {
    const sees = may(placeOf(request).role, 'money') ? 'all' : 'noMoney'
    response.json(await roomOf(request).work.list(sees))
  })
  return routes
}
