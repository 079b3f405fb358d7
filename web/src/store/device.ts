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

/** A photograph that is on its way, or waits for the line of its part. */
export interface KeptPhoto {
  readonly id: string
  readonly buildId: string
  readonly lineId: string
  readonly picture: Blob
}

interface Device extends DBSchema {
  batches: { key: string; value: KeptBatch; indexes: { tab: string } }
  photos: { key: string; value: KeptPhoto }
}
export type DeviceStore = IDBPDatabase<Device>

let opened: Promise<DeviceStore> | null = null

/** What outlives its tab on this device. Fails where a browser keeps nothing. */
export function deviceStore(): Promise<DeviceStore> {
  opened ??= openDB<Device>('bold-ballast', 1, {
    upgrade: (store) => {
      store.createObjectStore('batches', { keyPath: 'id' }).createIndex('tab', 'tab')
      store.createObjectStore('photos', { keyPath: 'id' })
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
