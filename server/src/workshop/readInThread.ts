import { parentPort, workerData } from 'node:worker_threads'
import { Refusal } from '../http/Refusal'
import { readWorkshopFile } from './readWorkshopFile'
import type { WorkerAnswer } from './workshopLines'

/** Reads a workshop file apart from the thread that answers requests: a line each time it is asked for one. */
const lines = readWorkshopFile(workerData as string)
const port = parentPort!
port.on('message', () => {
  void lines.next().then(
    ({ done, value }) =>
      port.postMessage((done ? { is: 'end' } : { is: 'line', ...value }) satisfies WorkerAnswer),
    (error: unknown) => {
      if (!(error instanceof Refusal)) throw error
      const { status, type, title, detail, more } = error
      port.postMessage({ is: 'refused', problem: [status, type, title, detail, more] } satisfies WorkerAnswer)
    },
  )
})
