import { FORMAT_VERSION } from '@bold-ballast/contract'
import type { DeviceStore, KeptAnswer } from '../store/device'

/** What answers may take on a device in all, packed; a demo build takes about 60 kB. */
export const MOST_BYTES = 48e6
/** A single one that is larger is not kept: it would push out all others. */
export const LARGEST_BYTES = 16e6

export type AnswerToKeep = Omit<KeptAnswer, 'size' | 'usedAt' | 'formatVersion'> & { readonly body: unknown }
export interface Recalled {
  readonly answer: KeptAnswer
  /** As it was kept, in the shape of its format. */
  readonly body: unknown
}

const through = (bytes: BlobPart, transform: ReadableWritablePair<unknown, unknown>) =>
  new Response(new Blob([bytes]).stream().pipeThrough(transform as never) as never)
const pack = (body: unknown): Promise<ArrayBuffer> =>
  through(JSON.stringify(body), new CompressionStream('gzip') as never).arrayBuffer()
const unpack = (bytes: ArrayBuffer): Promise<unknown> =>
  through(bytes, new DecompressionStream('gzip') as never).json() as Promise<unknown>

/** What was recalled since the page was loaded, and when. */
const wanted = new Map<string, number>()
const lastWanted = ({ key, usedAt }: KeptAnswer): number => Math.max(usedAt, wanted.get(key) ?? 0)

/**
 * Keeps what the server said last on the device, for when it can't be reached. What hasn't been wanted for longest goes
 * where there is no room.
 */
export class AnswerKeeper {
  /**
   * @param isOpen whether a build is looked at: it is never forgotten for others
   */
  constructor(
    private readonly open: () => Promise<DeviceStore>,
    private readonly mostBytes = MOST_BYTES,
    private readonly largestBytes = LARGEST_BYTES,
    private readonly isOpen: (buildId: string) => boolean = () => false,
  ) {}

  /**
   * @returns whether it is kept; one that is too large is not, and neither is what was kept of it before
   */
  async keep({ body, ...said }: AnswerToKeep): Promise<boolean> {
    const bytes = await pack(body)
    const size = bytes.byteLength
    if (size > this.largestBytes) {
      await this.forget(({ key }) => key === said.key)
      return false
    }
    const answer: KeptAnswer = { ...said, size, usedAt: said.at, formatVersion: FORMAT_VERSION }
    const store = await this.open()
    const change = store.transaction(['answers', 'bodies'], 'readwrite')
    const [answers, bodies] = [change.objectStore('answers'), change.objectStore('bodies')]
    const others = (await answers.getAll()).filter(({ key }) => key !== answer.key)
    const doing: Promise<unknown>[] = []
    let room = this.mostBytes - size - others.reduce((sum, other) => sum + other.size, 0)
    for (const other of this.oldestFirst(others)) {
      if (room >= 0) break
      room += other.size
      doing.push(answers.delete(other.key), bodies.delete(other.key))
    }
    doing.push(answers.put(answer), bodies.put(bytes, answer.key))
    await Promise.all([...doing, change.done])
    return true
  }

  /**
   * What was said last, or null. It counts as wanted, once something is kept again: reading writes nothing, which a full
   * device would not let it.
   */
  async recall(key: string): Promise<Recalled | null> {
    const store = await this.open()
    const change = store.transaction(['answers', 'bodies'], 'readonly')
    const [answer, bytes] = await Promise.all([
      change.objectStore('answers').get(key),
      change.objectStore('bodies').get(key),
    ])
    if (!answer || !bytes) return null
    wanted.set(key, Date.now())
    return { answer, body: await unpack(bytes) }
  }

  /** Says that it is still so. */
  async confirm(key: string, at: number): Promise<void> {
    const change = (await this.open()).transaction('answers', 'readwrite')
    const answer = await change.store.get(key)
    if (answer) await change.store.put({ ...answer, at, usedAt: lastWanted(answer) })
    await change.done
  }

  /**
   * Makes room for what can't be asked for again: the build that hasn't been wanted for longest is forgotten, and never one
   * that is looked at.
   *
   * @returns whether there was one
   */
  async makeRoom(): Promise<boolean> {
    const [oldest] = this.oldestFirst((await this.list()).filter(({ endpoint }) => endpoint === 'build'))
    if (!oldest) return false
    await this.forget(({ key }) => key === oldest.key)
    return true
  }

  private oldestFirst(answers: readonly KeptAnswer[]): KeptAnswer[] {
    return answers
      .filter(({ buildId }) => buildId === null || !this.isOpen(buildId))
      .sort((a, b) => lastWanted(a) - lastWanted(b))
  }

  async list(): Promise<readonly KeptAnswer[]> {
    return (await this.open()).getAll('answers')
  }

  async forget(which: (answer: KeptAnswer) => boolean): Promise<void> {
    const change = (await this.open()).transaction(['answers', 'bodies'], 'readwrite')
    const gone = (await change.objectStore('answers').getAll()).filter(which)
    await Promise.all([
      ...gone.flatMap(({ key }) => [
        change.objectStore('answers').delete(key),
        change.objectStore('bodies').delete(key),
      ]),
      change.done,
    ])
  }
}
