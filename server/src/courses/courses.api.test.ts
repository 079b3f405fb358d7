import { courseList } from '@bold-ballast/contract'
import { sampleBuild, sampleCourse } from '@bold-ballast/contract/sampleBuild'
import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { testServer, type TestServer } from '../testing/testServer'

let server: TestServer
const line = {
  from: 'drawn' as const,
  points: [0, 1, 2].map((x) => ({ x, y: 0.5, z: null })),
  origin: null,
  closingError: null,
}
const courses = [
  sampleCourse(randomUUID(), { name: 'Quay' }),
  sampleCourse(randomUUID(), { name: 'Hill', sections: [], line, closed: false }),
]
beforeAll(async () => {
  server = await testServer()
  for (const [i, build] of ['Ember', 'Wren'].entries()) {
    const file = sampleBuild(randomUUID)
    file.build.name = build
    file.courses.push(courses[i]!)
    await server.add(file)
  }
})
afterAll(() => server.close())

describe('the workshop’s courses', () => {
  it('are those of every build, by name, whole, and say whose they are', async () => {
    const { body } = await server.ask('/courses', courseList)
    expect(body.map(({ course, build }) => [course.name, build])).toEqual([
      ['Hill', 'Wren'],
      ['Quay', 'Ember'],
    ])
    expect(body[0]!.course).toEqual(courses[1])
  })
})
