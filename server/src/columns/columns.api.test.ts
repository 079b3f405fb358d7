import { columnsAnswer } from '@bold-ballast/contract'
import { sampleBuild, sampleDynoDay } from '@bold-ballast/contract/sampleBuild'
import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { testServer, type TestServer } from '../testing/testServer'

const columns = {
  columns: { speed: { title: 'n', unit: 'rpm' }, torque: { title: 'Md', unit: 'lb·ft' } },
  decimal: ',' as const,
}
let server: TestServer
beforeAll(async () => {
  server = await testServer()
  const file = sampleBuild(randomUUID)
  file.dynoDays.push(
    {
      ...sampleDynoDay(file.stages[0]!.id, randomUUID()),
      dyno: 'Harbour Street rollers',
      sheetColumns: columns,
    },
    { ...sampleDynoDay(file.stages[0]!.id, randomUUID()), dyno: 'Port Varrow hubs' },
  )
  await server.add(file)
})
afterAll(() => server.close())
const of = async (dyno: string) =>
  (await server.ask(`/dyno-columns?dyno=${encodeURIComponent(dyno)}`, columnsAnswer)).body.columns

describe('columns of a dyno', () => {
  it('are those that were matched last, whichever build it was for, in any case of letters', async () => {
    expect(await of('harbour street ROLLERS ')).toEqual(columns)
  })
  it('are null where nothing was matched yet', async () => {
    expect(await of('Port Varrow hubs')).toBeNull()
    expect(await of('Nobody’s dyno')).toBeNull()
  })
  it('ask which dyno', async () => {
    const { status, body } = await server.refuse('/dyno-columns')
    expect(status).toBe(422)
    expect(body.errors?.[0]).toMatchObject({ field: 'dyno', problem: 'Say which dyno.' })
  })
})
