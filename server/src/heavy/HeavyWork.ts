import { availableParallelism } from 'node:os'
import { Piscina } from 'piscina'
import { Refusal } from '../http/Refusal'
import type { HeavyAnswer, HeavyTask, Payload, Result } from './heavyTasks'

/** More memory than any build or workshop takes; work that wants more ends its thread, and nothing else. */
const MOST_MEGABYTES = 1500
/** Work that waits for a thread; more than that is asked to come again. */
const MOST_WAITING = 32
const IDLE_MS = 30_000

/**
 * What takes long, apart from the thread that answers requests: each thread has its own connection to the database, so
 * that neither processor nor connections are missing to what is quick.
 */
export class HeavyWork {
  private readonly threads: Piscina

  /**
   * @param url of the database
   * @param ready threads that are begun at once and stay: one takes seconds to begin, and somebody would wait for it
   */
  constructor(url: string, ready = 0) {
    this.threads = new Piscina({
      filename: new URL('./heavy.worker.mjs', import.meta.url).href,
      workerData: { url },
      execArgv: [],
      minThreads: ready,
      maxThreads: Math.max(1, Math.min(2, availableParallelism())),
      maxQueue: MOST_WAITING,
      idleTimeout: IDLE_MS,
      resourceLimits: { maxOldGenerationSizeMb: MOST_MEGABYTES },
    })
  }

  /**
   * @param signal stops the work at once, and its transaction with it: whoever asked has gone
   * @throws {Refusal} as the work does, 413 where it ran out of memory, 503 where too much waits
   */
  async run<T extends HeavyTask>(task: T, payload: Payload<T>, signal?: AbortSignal): Promise<Result<T>> {
    let answer: HeavyAnswer<T>
    try {
      answer = (await this.threads.run({ task, payload }, signal ? { signal } : {})) as HeavyAnswer<T>
    } catch (error) {
      throw asRefusal(error as NodeJS.ErrnoException)
    }
    if ('value' in answer) return answer.value
    const refusal = new Refusal(...answer.refused)
    if (answer.stack !== undefined) refusal.stack = answer.stack
    throw refusal
  }

  close(): Promise<void> {
    return this.threads.destroy()
  }
}

function asRefusal(error: NodeJS.ErrnoException): Error {
  if (error.code === 'ERR_WORKER_OUT_OF_MEMORY')
    return new Refusal(413, 'too-large', 'Too large', 'It holds more than this machine can read at once.')
  if (error.message === 'Task queue is at limit')
    return new Refusal(
      503,
      'too-many',
      'One after the other',
      'Much that takes long is waiting already. Try again in a moment.',
    )
  if (error.name === 'AbortError') return new Refusal(400, 'not-valid', 'Gone', 'The client has gone.')
  return error
}
