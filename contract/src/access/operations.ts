import type { Right } from './rights'

/**
 * Who may ask for something: somebody with a right in the workshop; whoever is signed in; anybody at all; or, while there
 * are no accounts, whoever sits at the machine.
 */
export type Needs = Right | 'signedIn' | 'anybody' | 'machine'

/**
 * Every operation of the API with what it needs, below /api/v1. The server lets nothing through that doesn't stand here,
 * and the OpenAPI document says it of each.
 */
export const OPERATIONS = {
  'GET /openapi.json': 'signedIn',
  'GET /schema/build.json': 'signedIn',
  'GET /health': 'anybody',
  'GET /ready': 'anybody',
  'GET /shared/{token}': 'anybody',

  'GET /me': 'anybody',
  'PUT /me': 'signedIn',
  'PUT /me/password': 'signedIn',
  'POST /owner': 'machine',
  'POST /sign-in': 'anybody',
  'POST /sign-out': 'anybody',
  'GET /sessions': 'signedIn',
  'DELETE /sessions': 'signedIn',
  'DELETE /sessions/{sessionId}': 'signedIn',
  'GET /passes/{token}': 'anybody',
  'POST /passes/{token}': 'anybody',
  'POST /workshops': 'signedIn',
  'POST /pairings': 'signedIn',
  'GET /pairings/{pairingId}': 'signedIn',
  'GET /garage/trust': 'anybody',
  'GET /garage/authority': 'anybody',

  'GET /workshop': 'read',
  'PUT /workshop': 'people',
  'GET /workshop/file': 'dump',
  'POST /workshop/file': 'dump',
  'GET /members': 'read',
  'PUT /members/{personId}': 'people',
  'DELETE /members/{personId}': 'people',
  'POST /members/{personId}/reset': 'people',
  'GET /members/{personId}/sessions': 'people',
  'DELETE /members/{personId}/sessions': 'people',
  'GET /invitations': 'people',
  'POST /invitations': 'people',
  'DELETE /invitations/{invitationId}': 'people',
  'GET /audit': 'people',
  'GET /garage': 'people',
  'PUT /garage': 'people',

  'GET /builds': 'read',
  'POST /builds': 'plan',
  'GET /builds/{buildId}': 'read',
  'DELETE /builds/{buildId}': 'plan',
  'GET /builds/{buildId}/file': 'export',
  'GET /builds/{buildId}/homecoming': 'export',
  'POST /builds/{buildId}/homecoming': 'plan',
  'GET /builds/{buildId}/history': 'read',
  'GET /builds/{buildId}/history/{batchId}': 'read',
  'GET /builds/{buildId}/at': 'read',
  /** What each edit needs besides is said by `editsFault`. */
  'POST /builds/{buildId}/edits': 'log',
  'GET /builds/{buildId}/events': 'read',
  'POST /builds/{buildId}/presence': 'read',
  'GET /builds/{buildId}/lines/{lineId}/photo': 'read',
  'PUT /builds/{buildId}/lines/{lineId}/photo': 'log',
  'DELETE /builds/{buildId}/lines/{lineId}/photo': 'plan',
  'GET /builds/{buildId}/logs': 'read',
  'GET /log-columns': 'read',
  'GET /builds/{buildId}/runs/{runId}/log': 'read',
  'PUT /builds/{buildId}/runs/{runId}/log': 'log',
  'DELETE /builds/{buildId}/runs/{runId}/log': 'plan',
  'GET /builds/{buildId}/shares': 'share',
  'POST /builds/{buildId}/shares': 'share',
  'DELETE /builds/{buildId}/shares/{shareId}': 'share',
  'GET /records/{code}': 'read',
  'GET /along': 'read',
  'GET /builds/{buildId}/photos': 'read',
  'GET /homes': 'dump',
  'POST /homes': 'dump',
  'DELETE /homes/{homeId}': 'dump',
  'GET /homes/{homeId}/builds': 'dump',
  'POST /homes/{homeId}/builds': 'dump',
  'GET /homes/{homeId}/builds/{awayId}': 'dump',
  'POST /homes/{homeId}/builds/{awayId}': 'dump',
  'GET /parts': 'read',
  'GET /claims': 'read',
  'GET /courses': 'read',
  'GET /gearsets': 'read',
  'GET /instruments': 'read',
  'GET /dyno-columns': 'read',
  'GET /devices/pads': 'read',
  'POST /devices/pads/orders': 'log',
  'GET /devices/dyno': 'read',
  'POST /devices/dyno/orders': 'log',
  'GET /devices/logger': 'read',
  'POST /devices/logger/orders': 'log',
} as const satisfies Readonly<Record<string, Needs>>

export type Operation = keyof typeof OPERATIONS
export const needsOf = (operation: Operation): Needs => OPERATIONS[operation]
