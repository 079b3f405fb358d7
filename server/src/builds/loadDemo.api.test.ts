import { buildDocument, fileOf, historyPage, sameRecord } from '@bold-ballast/contract'
import { documentFrom } from '@bold-ballast/contract/sampleBuild'
import { demo } from '@bold-ballast/demo'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { WorkshopRow } from '../database/models/WorkshopRow'
import { testServer, type TestServer } from '../testing/testServer'
import { currentWorkshop } from './currentWorkshop'
import { loadDemo } from './loadDemo'

let server: TestServer
let loaded: WorkshopRow
beforeAll(async () => {
  server = await testServer()
  loaded = await loadDemo(server.db, await currentWorkshop(server.db), demo)
})
afterAll(() => server.close())

describe('the demo, loaded', () => {
  it('is what it says, build for build, and is loaded once only', async () => {
    expect(loaded.name).toBe('Lantern Yard')
    // Nothing of it is still to be worked out when the Garage is first opened.
    expect((await server.listNow()).body.map((build) => build.isWorkingOut)).toEqual([
      undefined,
      undefined,
      undefined,
    ])
    for (const file of demo.builds()) {
      const { body } = await server.read(file.build.id)
      expect(sameRecord(fileOf(body), fileOf(documentFrom(file))), file.build.name).toBe(true)
    }
    await loadDemo(server.db, await currentWorkshop(server.db), demo)
    expect((await server.list()).body).toHaveLength(3)
  })
  it('has a history with names and times, which leads back to what was only said', async () => {
    for (const file of demo.builds()) {
      const at = `/builds/${file.build.id}`
      const { entries } = (await server.ask(`${at}/history`, historyPage)).body
      expect(entries.length, file.build.name).toBe(
        file.lines.filter((l) => l.said).length + file.seals.length,
      )
      expect(entries.every((e) => e.author !== '' && e.isKept && e.at < '2026-11-27')).toBe(true)
      const first = entries.at(-1)!
      const early = new Date(Date.parse(first.at) - 1000).toISOString()
      const then = (await server.ask(`${at}/at?time=${early}`, buildDocument)).body
      expect(then.seals).toEqual([])
      for (const line of file.lines.filter((l) => l.said)) {
        const before = then.lines.find((l) => l.id === line.id)!
        expect([before.mass, before.grade]).toEqual([line.said!.mass, line.said!.grade])
      }
    }
  })
})

describe('a first start', () => {
  it('by two servers at once loads the demo once', async () => {
    const own = await testServer()
    try {
      const start = async () => loadDemo(own.db, await currentWorkshop(own.db), demo)
      const found = await Promise.all([start(), start()])
      expect(found.map(({ name }) => name)).toEqual(['Lantern Yard', 'Lantern Yard'])
      expect((await own.list()).body.map(({ id }) => id).sort()).toEqual(
        demo
          .builds()
          .map((file) => file.build.id)
          .sort(),
      )
    } finally {
      await own.close()
    }
  })
  it('that is killed halfway leaves nothing, and the next one loads all of it', async () => {
    const own = await testServer()
    try {
      const builds = demo.builds()
      const halfway = {
        ...demo,
        builds: function* () {
          yield builds[0]!
          throw new Error('killed')
        },
      } as unknown as typeof demo
      await expect(loadDemo(own.db, await currentWorkshop(own.db), halfway)).rejects.toThrow('killed')
      expect((await own.list()).body).toEqual([])
      expect((await currentWorkshop(own.db)).demoLoadedAt).toBeNull()
      await loadDemo(own.db, await currentWorkshop(own.db), demo)
      expect((await own.list()).body.map(({ id }) => id).sort()).toEqual(
        builds.map((file) => file.build.id).sort(),
      )
    } finally {
      await own.close()
    }
  })
})
