import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import express from 'express'
import { pino } from 'pino'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { testServer, type TestServer } from '../testing/testServer'
import { Garage } from './Garage'
import { openGarage } from './openGarage'

const folder = mkdtempSync(join(tmpdir(), 'bold-ballast-open-'))
/** A machine without a local network. */
const garage = new Garage({
  folder,
  host: 'bench',
  port: 0,
  addresses: () => [],
  log: pino({ level: 'silent' }),
})
let server: TestServer
beforeAll(async () => {
  server = await testServer()
})
afterAll(async () => {
  await garage.close()
  await server.close()
  rmSync(folder, { recursive: true, force: true })
})

it('a machine without a local network is told so only where somebody wants the garage open', async () => {
  expect((await openGarage(garage, express(), server.db, false)).hindrance).toBeNull()
  await server.people.owner()
  expect((await openGarage(garage, express(), server.db, true)).hindrance).toContain('no address')
})
