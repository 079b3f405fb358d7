import type { WorkshopExport } from '@bold-ballast/contract'
import { randomUUID } from 'node:crypto'
import { rm, stat } from 'node:fs/promises'
import { join } from 'node:path'
import type { HeavyWork } from '../heavy/HeavyWork'
import { notFound, Refusal } from '../http/Refusal'
import { scratchFolder } from './scratch'

/** So long after it was last wanted the file is kept: a download that broke is gone on with. */
const KEPT_MS = 900_000
const MOST = 4

interface Export {
  readonly workshopId: string
  readonly name: string
  readonly folder: string
  readonly path: string
  /** How much is packed, and of how much: shared with the thread that does it. */
  readonly progress: Int32Array
  readonly stop: AbortController
  bytes: number | null
  problem: string | null
  forget: NodeJS.Timeout | null
}

/**
 * Whole workshops that are being packed, or were: packed once, to be fetched for a while, from wherever a fetch broke off.
 */
export class WorkshopExports {
  private readonly all = new Map<string, Export>()

  constructor(private readonly heavy: HeavyWork) {}

  /** Begins to pack a workshop. */
  async begin(workshop: { readonly id: string; readonly name: string }): Promise<string> {
    if (this.all.size >= MOST)
      throw new Refusal(
        503,
        'too-many',
        'One after the other',
        `${MOST} workshop files are kept here already. The oldest goes within a quarter of an hour.`,
      )
    const id = randomUUID()
    const folder = await scratchFolder()
    const made: Export = {
      workshopId: workshop.id,
      name: workshop.name,
      folder,
      path: join(folder, 'workshop.gz'),
      progress: new Int32Array(new SharedArrayBuffer(8)),
      stop: new AbortController(),
      bytes: null,
      problem: null,
      forget: null,
    }
    this.all.set(id, made)
    const { path, progress, stop } = made
    this.heavy
      .run(
        'packWorkshop',
        { workshop: { id: workshop.id, name: workshop.name }, path, progress },
        stop.signal,
      )
      .then(() => stat(path))
      .then(
        ({ size }) => void (made.bytes = size),
        (error: unknown) =>
          void (made.problem =
            error instanceof Refusal
              ? error.detail
              : 'It could not be packed. Try again, or look at the log.'),
      )
      .finally(() => this.keep(id))
    return id
  }

  state(workshopId: string, id: string): WorkshopExport {
    const { progress, bytes, problem } = this.find(workshopId, id)
    if (bytes !== null || problem !== null) this.keep(id)
    return { id, done: Atomics.load(progress, 0), of: Atomics.load(progress, 1), bytes, problem }
  }

  /** @throws {Refusal} 404 where it is gone, 409 while it is being packed */
  file(workshopId: string, id: string): { path: string; name: string } {
    const { path, name, bytes } = this.find(workshopId, id)
    if (bytes === null)
      throw new Refusal(409, 'conflict', 'Not yet', 'It is still being packed. Ask again in a moment.')
    this.keep(id)
    return { path, name }
  }

  async drop(workshopId: string, id: string): Promise<void> {
    this.find(workshopId, id)
    await this.remove(id)
  }

  /** Leaves nothing behind. */
  async close(): Promise<void> {
    await Promise.all([...this.all.keys()].map((id) => this.remove(id)))
  }

  private find(workshopId: string, id: string): Export {
    const found = this.all.get(id)
    if (found?.workshopId !== workshopId) throw notFound('workshop file that is being made')
    return found
  }

  private keep(id: string): void {
    const found = this.all.get(id)
    if (!found) return
    if (found.forget) clearTimeout(found.forget)
    found.forget = setTimeout(() => void this.remove(id), KEPT_MS)
    found.forget.unref()
  }

  private async remove(id: string): Promise<void> {
    const found = this.all.get(id)
    if (!found) return
    this.all.delete(id)
    if (found.forget) clearTimeout(found.forget)
    found.stop.abort()
    await rm(found.folder, { recursive: true, force: true })
  }
}
