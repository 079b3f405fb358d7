import 'fake-indexeddb/auto'
import { openDB } from 'idb'
import { expect, it } from 'vitest'
import { deviceStore } from './device'
import { waitingFile } from './keptFiles'

it('what a version before logs had waiting comes over: photographs, batches and answers', async () => {
  const before = await openDB('bold-ballast', 2, {
    upgrade: (store) => {
      store.createObjectStore('batches', { keyPath: 'id' }).createIndex('tab', 'tab')
      store.createObjectStore('photos', { keyPath: 'id' })
      store.createObjectStore('answers', { keyPath: 'key' })
      store.createObjectStore('bodies')
    },
  })
  await before.put('batches', { id: 'batch', tab: 'one' })
  await before.put('photos', {
    id: 'photo',
    buildId: 'build',
    lineId: 'line',
    picture: new Blob(['a picture']),
    by: 'Rosa',
  })
  before.close()
  const store = await deviceStore()
  expect([...store.objectStoreNames]).toEqual(['answers', 'batches', 'bodies', 'files'])
  expect(await store.getAllKeys('batches')).toEqual(['batch'])
  expect(await store.get('files', 'photo')).toMatchObject({
    kind: 'photo',
    buildId: 'build',
    recordId: 'line',
    by: 'Rosa',
  })
  expect(await waitingFile('photo', 'line', new Set(['photo']))).toBeDefined()
  expect(await waitingFile('log', 'line', new Set(['photo']))).toBeUndefined()
  expect(await waitingFile('photo', 'line', new Set())).toBeUndefined()
})
