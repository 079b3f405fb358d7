import type { Request } from 'express'
import type { AuditTrail, Noted } from './AuditTrail'
import { callerOf, placeOf } from './Caller'

/** From where somebody asks, as it is noted. */
export const addressOf = (request: Request): string => (request.ip ?? '').replace(/^::ffff:/, '')

/** Notes what somebody did in a workshop. Without accounts there is nobody to note, and nobody else to read it. */
export async function noteOf(
  audit: AuditTrail,
  request: Request,
  noted: Pick<Noted, 'what'> & Partial<Noted>,
): Promise<void> {
  const { person } = callerOf(request)
  if (!person) return
  await audit.note({
    workshopId: placeOf(request).workshopId,
    personId: person.id,
    who: person.name,
    address: addressOf(request),
    ...noted,
  })
}
