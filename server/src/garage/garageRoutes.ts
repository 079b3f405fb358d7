import { garageSwitch, type Garage as Shown } from '@bold-ballast/contract'
import { X509Certificate } from 'node:crypto'
import express, { Router } from 'express'
import type { AuditTrail } from '../access/AuditTrail'
import { callerOf } from '../access/Caller'
import { noteOf } from '../access/noteOf'
import { notFound, Refusal } from '../http/Refusal'
import { parse } from '../http/parse'
import type { Garage } from './Garage'

/** Where this server isn't the machine in the garage. */
const NOWHERE: Shown = {
  isOn: false,
  origins: [],
  fingerprint: null,
  endsAt: null,
  hindrance:
    'This server does not run on a machine in the garage: how others reach it is set up where it runs.',
}

/** The switch that serves the local network, and what phones are to trust. */
export function garageRoutes(garage: Garage | null, audit: AuditTrail): Router {
  const routes = Router()
  routes.get('/garage', async (_request, response) => {
    response.json(garage ? await garage.state() : NOWHERE)
  })
  routes.put('/garage', express.json({ limit: '2kb' }), async (request, response) => {
    const { isOn } = parse(garageSwitch, request.body)
    if (!garage) throw notFound('garage')
    if (!callerOf(request).person)
      throw new Refusal(
        409,
        'not-allowed',
        'Nobody owns this yet',
        'Make an owner first: nobody else is let in before there is one.',
      )
    await (isOn ? garage.turnOn() : garage.turnOff())
    await noteOf(audit, request, { what: isOn ? 'garageOpened' : 'garageClosed' })
    response.json(await garage.state())
  })
  routes.get('/garage/trust', async (_request, response) => {
    if (!garage) throw notFound('garage')
    const { authority, fingerprint } = await garage.trusted()
    const name = /CN=(.*)/.exec(new X509Certificate(authority).subject)?.[1] ?? ''
    response.json({ name, fingerprint })
  })
  routes.get('/garage/authority', async (_request, response) => {
    if (!garage) throw notFound('garage')
    const { authority } = await garage.trusted()
    response
      .attachment('bold-ballast.crt')
      .type('application/x-x509-ca-cert')
      .send(new X509Certificate(authority).raw)
  })
  return routes
}
