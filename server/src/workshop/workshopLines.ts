import { once } from 'node:events'
import { Worker } from 'node:worker_threads'
import { Refusal } from '../http/Refusal'
import { refuse, type NumberedLine } from './readWorkshopFile'

export type WorkerAnswer =
  | ({ readonly is: 'line' } & NumberedLine)
  | { readonly is: 'end' }
  | { readonly is: 'refused'; readonly problem: ConstructorParameters<typeof Refusal> }

/** More memory than any workshop takes line by line; a file that wants more ends the worker, and nothing else. */
const MOST_MEGABYTES = 1500

/**
 * The checked lines of a workshop file, read in a thread of its own and no faster than they are taken.
 *
 * @param signal stops the thread at once: its client has gone
 * @throws {Refusal} as `readWorkshopFile` does, and 413 where the thread ran out of memory
 */
export async function* workshopLines(path: string, signal: AbortSignal): AsyncGenerator<NumberedLine> {
  const worker = new Worker(new URL('./workshopFile.worker.mjs', import.meta.url), {
    workerData: path,
    execArgv: [],
    resourceLimits: { maxOldGenerationSizeMb: MOST_MEGABYTES },
  })
  const stop = () => void worker.terminate()
  signal.addEventListener('abort', stop)
  const ended = new Promise<never>((_resolve, reject) => {
    worker.once('error', (error: NodeJS.ErrnoException) =>
      reject(
        error.code === 'ERR_WORKER_OUT_OF_MEMORY'
          ? new Refusal(
              413,
              'too-large',
              'Too large',
              'A line of the file holds more than this machine can read.',
            )
          : error,
      ),
    )
    worker.once('exit', () => reject(refuse('It was not read to its end.')))
  })
  // Nobody may be waiting when the thread ends.
  ended.catch(() => undefined)
  try {
    for (;;) {
      signal.throwIfAborted()
      worker.postMessage('next')
      const [answer] = (await Promise.race([once(worker, 'message'), ended])) as [WorkerAnswer]
      if (answer.is === 'end') return
      if (answer.is === 'refused') throw new Refusal(...answer.problem)
      yield answer
    }
  } finally {
    signal.removeEventListener('abort', stop)
    await worker.terminate()
  }
}
