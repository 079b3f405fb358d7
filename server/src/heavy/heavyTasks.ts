import type { AlreadyHere } from '@bold-ballast/contract'
import { workerData } from 'node:worker_threads'
import { buildAt } from '../builds/buildAt'
import { buildFileText } from '../builds/buildFileText'
import { keepSummary } from '../builds/BuildSummaries'
import { takeHome } from '../builds/takeHome'
import { takeBuild, takeEdits } from '../builds/takeIn'
import type { Hand } from '../access/Caller'
import { connect } from '../database/connect'
import { readAway, type AwayShape } from '../homes/awayShapes'
import type { Refusal } from '../http/Refusal'
import { refusalFrom } from '../http/refusalFrom'
import { packWorkshop } from '../workshop/packWorkshop'
import { unpackWorkshop } from '../workshop/unpackWorkshop'

type Owner = { workshopId: string; buildId: string }

const db = connect((workerData as { url: string }).url, { connections: 1 })

const bytesOf = (body: Uint8Array) => Buffer.from(body.buffer, body.byteOffset, body.byteLength)

/** Each kind of work, with what it is given. */
const TASKS = {
  takeBuild: ({ workshopId, body, isAlong }: { workshopId: string; body: Uint8Array; isAlong: boolean }) =>
    takeBuild(db, workshopId, bytesOf(body), isAlong),
  takeHome: ({ owner, body, by }: { owner: Owner; body: Uint8Array; by: Hand }) =>
    takeHome(db, owner, bytesOf(body), by),
  takeEdits: ({ owner, body, by }: { owner: Owner; body: Uint8Array; by: Hand }) =>
    takeEdits(db, owner, bytesOf(body), by),
  keepSummary: (owner: Owner) => keepSummary(db, owner),
  buildFileText: (owner: Owner) => buildFileText(db, owner),
  buildAt: ({ owner, moment }: { owner: Owner; moment: string | Date }) => buildAt(db, owner, moment),
  packWorkshop: (given: {
    workshop: { id: string; name: string }
    path: string
    progress: Int32Array | null
  }) => packWorkshop(db, given.workshop, given.path, given.progress),
  readAway: ({ shape, body }: { shape: AwayShape; body: Uint8Array }): Promise<unknown> =>
    Promise.resolve(readAway(shape, body)),
  unpackWorkshop: (given: { workshopId: string; path: string; here: AlreadyHere; look: boolean }) =>
    unpackWorkshop(db, given),
}

type Tasks = typeof TASKS
export type HeavyTask = keyof Tasks
export type Payload<T extends HeavyTask> = Parameters<Tasks[T]>[0]
export type Result<T extends HeavyTask> = Awaited<ReturnType<Tasks[T]>>
export type HeavyAnswer<T extends HeavyTask> =
  | { readonly value: Result<T> }
  | { readonly refused: ConstructorParameters<typeof Refusal>; readonly stack?: string | undefined }

/** Does one piece of work. Errors lose what they are on the way between threads, so a refusal goes as plain data. */
export async function runHeavy<T extends HeavyTask>(given: {
  task: T
  payload: Payload<T>
}): Promise<HeavyAnswer<T>> {
  try {
    const work = TASKS[given.task] as (payload: Payload<T>) => Promise<Result<T>>
    return { value: await work(given.payload) }
  } catch (error) {
    const { status, type, title, detail, more } = refusalFrom(error)
    const stack = status === 500 ? String((error as Error).stack) : undefined
    return { refused: [status, type, title, detail, more], stack }
  }
}
