import type { EditBatch, Problem } from '@bold-ballast/contract'
import { openDB, type DBSchema, type IDBPDatabase } from 'idb'

/** A batch that waits, as this device keeps it. */
export interface KeptBatch {
  /** Of the batch. */
  readonly id: string
  /** Among all that wait: the earlier, the smaller. */
  readonly place: number
  /** The tab whose it is; another takes it over once that is closed. */
  readonly tab: string
  /** Of the records in its edits. */
  readonly formatVersion: number
  readonly buildId: string
  readonly batch: EditBatch
  /** Whose it is; missing in what a version before accounts had kept. */
  readonly by?: string | null
  /** Why the server would not take it; null while it is to be sent. */
  readonly problem: Problem | null
}

/** A file beside a record: a photograph of a line’s part, a picture of a job, the log of a run. */
export type FileKind = 'photo' | 'picture' | 'log'

/** A file that is on its way, or waits for its record. */
export interface KeptFile {
  readonly id: string
  readonly kind: FileKind
  readonly buildId: string
  /** Of its line or run. */
  readonly recordId: string
  readonly body: Blob
  /** Whose it is: nobody else's session sends it. Null without accounts, missing in what a version before them had kept. */
  readonly by?: string | null
  /** What it is of, in words; missing, like all below, in what an earlier version had kept. */
  readonly name?: string
  /** When it was made, milliseconds since 1970. */
  readonly at?: number
  /** SHA-256 of what is in it. */
  readonly sha256?: string
  /** SHA-256 of the one that it takes the place of, as far as that has been seen; null for none. */
  readonly replaces?: string | null
  /** What waited here before it and may have been sent all the same. */
  readonly before?: readonly string[]
  /** Why the server would not take it; missing while it is to be sent. */
  readonly problem?: Problem
}

/** A photograph as a version before logs had kept it. */
interface OldPhoto {
  readonly id: string
  readonly buildId: string
  readonly lineId: string
  readonly picture: Blob
  readonly by?: string | null
}

/** What the server said last, as this device knows it: all but what it said. */
export interface KeptAnswer {
  /** The workshop, and what was asked for. */
  readonly key: string
  readonly personId: string
  /** Null for what is the person's own. */
  readonly workshopId: string | null
  readonly endpoint: string
  /** The build that it is; null for what is none. */
  readonly buildId: string | null
  /** When it was so, milliseconds since 1970. */
  readonly at: number
  /** When it was last wanted, the same. */
  readonly usedAt: number
  /** Packed, bytes. */
  readonly size: number
  /** Of the records in it. */
  readonly formatVersion: number
}

interface Device extends DBSchema {
  batches: { key: string; value: KeptBatch; indexes: { tab: string } }
  files: { key: string; value: KeptFile }
  /** Of a version before logs: it is gone once this one has opened it. */
  photos: { key: string; value: OldPhoto }
  answers: { key: string; value: KeptAnswer }
  /** What was said, as packed JSON, under the same keys: apart, so that looking through the list reads none of it. */
  bodies: { key: string; value: ArrayBuffer }
}
export type DeviceStore = IDBPDatabase<Device>

let opened: Promise<DeviceStore> | null = null

/** What outlives its tab on this device. Fails where a browser keeps nothing. */
export function deviceStore(): Promise<DeviceStore> {
  opened ??= openDB<Device>('bold-ballast', 3, {
    upgrade: async (store, from, _to, change) => {
      if (from < 1) {
        store.createObjectStore('batches', { keyPath: 'id' }).createIndex('tab', 'tab')
      }
      if (from < 2) {
        store.createObjectStore('answers', { keyPath: 'key' })
        store.createObjectStore('bodies')
      }
      const files = store.createObjectStore('files', { keyPath: 'id' })
      // What waited under its old name comes over, and goes on waiting.
      if (!store.objectStoreNames.contains('photos')) return
      for (const { lineId, picture, ...rest } of await change.objectStore('photos').getAll())
        await files.put({ ...rest, kind: 'photo', recordId: lineId, body: picture })
      store.deleteObjectStore('photos')
    },
    // Another tab with a newer version of the application wants it: it opens again when it is asked for.
    blocking: (_current, _wanted, event) => {
      ;(event.target as IDBDatabase).close()
      opened = null
    },
    terminated: () => void (opened = null),
  }).catch((error: unknown) => {
    opened = null
    throw error
  })
  return opened
}
