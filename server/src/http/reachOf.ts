import type { Request } from 'express'
import { TLSSocket } from 'node:tls'

const LOOPBACK_HOSTS = new Set(['127.0.0.1', 'localhost', '[::1]'])
const LOOPBACK_ADDRESS = /^(::ffff:)?127\.|^::1$/

/** The headers in which proxies say for whom they ask, under all the names that are about. */
const FORWARDED =
  /^(forwarded|via|(x-)?real-ip|x-(original-)?forwarded(-.*)?|x-original-(host|url)|.*(client|connecting)-ip)$/

export const isProxied = (headers: object): boolean =>
  Object.keys(headers).some((name) => FORWARDED.test(name))

/** Under which addresses this server is asked for, besides its own machine's. */
export interface Addresses {
  /** Of links to shared sheets, with its port where it has one; null where sheets are shared on this machine only. */
  readonly shareHost: string | null
  /** Of a reverse proxy with HTTPS that hands on everything; null without one. */
  readonly publicHost: string | null
  /** Whether a host is this machine on the local network, where it is served there. */
  readonly isGarageHost: (host: string) => boolean
}

/**
 * From where a request comes.
 *
 * - `machine`: from this machine, under its own name, and no proxy asks for somebody else
 * - `shared`: under the address that links to sheets are given out with, or from a proxy that hands on nothing else
 * - `reached`: under an address that others reach it by
 * - `foreign`: none of these; a rebound name, say
 */
export type Reach = 'machine' | 'shared' | 'reached' | 'foreign'

export const hostOf = (value: string) => value.replace(/:\d+$/, '').toLowerCase()

export function reachOf(request: Request, { shareHost, publicHost, isGarageHost }: Addresses): Reach {
  const host = (request.headers.host ?? '').toLowerCase()
  if (publicHost !== null && host === publicHost) return 'reached'
  if (isProxied(request.headers) || (shareHost !== null && host === shareHost)) return 'shared'
  if (request.socket instanceof TLSSocket) return isGarageHost(host) ? 'reached' : 'foreign'
  const isHere = LOOPBACK_ADDRESS.test(request.socket.remoteAddress ?? '')
  return isHere && LOOPBACK_HOSTS.has(hostOf(host)) ? 'machine' : 'foreign'
}
