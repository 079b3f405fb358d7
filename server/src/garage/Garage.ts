import type { Garage as Shown } from '@bold-ballast/contract'
import type { Express } from 'express'
import { mkdir, readFile, rm, writeFile } from 'node:fs/promises'
import { createServer, type Server } from 'node:https'
import type { AddressInfo } from 'node:net'
import { join } from 'node:path'
import type { Logger } from 'pino'
import { limitClients } from '../http/limitClients'
import { hostOf } from '../http/reachOf'
import { certificatesIn, namesOf, type Certificates } from './certificates'

/** A machine that is carried from network to network is found under its new address so soon. */
const LOOKED_MS = 10_000
/** Certificates are looked at so often while it runs for months. */
const RENEWED_MS = 12 * 3_600_000
const SWITCH = 'on'
const OLDEST_TLS = 'TLSv1.2'

export interface GarageOptions {
  /** Where certificates and the switch are kept; nobody else may read it. */
  readonly folder: string
  /** What the machine is called. */
  readonly host: string
  /** That it listens on; 0 takes any that is free. */
  readonly port: number
  /** Addresses of the machine on local networks, as they are now. */
  readonly addresses: () => readonly string[]
  readonly log: Logger
  readonly now?: () => Date
}

/**
 * The server on the local network, over HTTPS: off until it is switched on, and then on each of the machine's local
 * addresses, whichever they are at the moment. Whether it is on outlives the server.
 */
export class Garage {
  private readonly servers = new Map<string, Server>()
  private certificates: Certificates | null = null
  private app: Express | null = null
  private port: number
  private isOn = false
  private looking: NodeJS.Timeout | undefined
  private renewing: NodeJS.Timeout | undefined
  private turn: Promise<unknown> = Promise.resolve()

  constructor(private readonly options: GarageOptions) {
    this.port = options.port
  }

  /** @param app that answers; goes on where the switch was left */
  async open(app: Express): Promise<void> {
    this.app = app
    const isOn = await readFile(this.switchFile, 'utf8').then(
      () => true,
      () => false,
    )
    if (isOn) await this.turnOn()
  }

  /** Serves the local network from now on, also after the next start. */
  async turnOn(): Promise<void> {
    this.isOn = true
    await mkdir(this.options.folder, { recursive: true, mode: 0o700 })
    await writeFile(this.switchFile, '', { mode: 0o600 })
    await this.look()
    this.looking ??= setInterval(() => this.lookQuietly(), LOOKED_MS).unref()
    this.renewing ??= setInterval(() => this.lookQuietly(true), RENEWED_MS).unref()
  }

  async turnOff(): Promise<void> {
    this.isOn = false
    await rm(this.switchFile, { force: true })
    await this.close()
  }

  /** Stops; the switch stays as it is. */
  async close(): Promise<void> {
    clearInterval(this.looking)
    clearInterval(this.renewing)
    this.looking = this.renewing = undefined
    await this.inTurn(() => Promise.all([...this.servers.keys()].map((address) => this.leave(address))))
  }

  /** What phones are to trust; made where there is none yet. */
  async trusted(): Promise<Certificates> {
    return (this.certificates ??= await this.made(this.options.addresses()))
  }

  async state(): Promise<Shown> {
    const known = this.isOn ? await this.trusted() : this.certificates
    const hindrance =
      this.options.addresses().length === 0
        ? 'This machine has no address on a local network at the moment. Join the garage’s network first.'
        : null
    return {
      isOn: this.isOn,
      origins: [...this.servers.keys()].map((address) => this.originOf(address)),
      fingerprint: known?.fingerprint ?? null,
      endsAt: known?.endsAt.toISOString() ?? null,
      hindrance,
    }
  }

  /** Where phones open it, while it is on. */
  origin(): string | null {
    const [address] = this.servers.keys()
    return this.isOn && address !== undefined ? this.originOf(address) : null
  }

  /** Whether a Host is this machine on the local network, with the port that it listens on. */
  isHost(host: string): boolean {
    const names = [...this.servers.keys(), ...namesOf(this.options.host)]
    return this.isOn && names.includes(hostOf(host)) && host.endsWith(`:${this.port}`)
  }

  private get switchFile(): string {
    return join(this.options.folder, SWITCH)
  }

  private originOf(address: string): string {
    return `https://${address}:${this.port}`
  }

  private made(addresses: readonly string[]): Promise<Certificates> {
    const { folder, host, now = () => new Date() } = this.options
    return certificatesIn(folder, host, addresses, now())
  }

  /** One change of what is listened on after the other. */
  private inTurn<T>(work: () => Promise<T>): Promise<T> {
    const done = this.turn.then(work, work)
    this.turn = done.catch(() => undefined)
    return done
  }

  private lookQuietly(isRenewed = false): void {
    this.look(isRenewed).catch((error: unknown) =>
      this.options.log.error(error, 'the local network is not served as it should be'),
    )
  }

  /** Listens on all addresses that the machine has now, and on none that it had. */
  private look(isRenewed = false): Promise<void> {
    return this.inTurn(async () => {
      if (!this.isOn) return
      const addresses = this.options.addresses()
      const isSame =
        addresses.length === this.servers.size && addresses.every((address) => this.servers.has(address))
      if (isSame && this.certificates && !isRenewed) return
      this.certificates = await this.made(addresses)
      const { leaf } = this.certificates
      for (const address of this.servers.keys()) if (!addresses.includes(address)) await this.leave(address)
      for (const server of this.servers.values())
        server.setSecureContext({ cert: leaf.certificate, key: leaf.key, minVersion: OLDEST_TLS })
      for (const address of addresses) if (!this.servers.has(address)) await this.listen(address)
    })
  }

  private async listen(address: string): Promise<void> {
    const { app, certificates } = this
    if (!app || !certificates) return
    const { certificate, key } = certificates.leaf
    const server = createServer({ cert: certificate, key, minVersion: OLDEST_TLS }, app)
    limitClients(server)
    await new Promise<void>((done, failed) => {
      server.once('error', failed)
      server.listen(this.port, address, () => done())
    })
    server.on('error', (error) => this.options.log.warn(error, 'the local network'))
    // What was taken from those that are free holds for all addresses.
    this.port = (server.address() as AddressInfo).port
    this.servers.set(address, server)
  }

  private async leave(address: string): Promise<void> {
    const server = this.servers.get(address)
    this.servers.delete(address)
    if (!server) return
    await new Promise<void>((done) => {
      server.close(() => done())
      server.closeAllConnections()
    })
  }
}
