/** A worker that reads, packs and looks through logs; each has one file at a time. */
export const startLogWorker = () =>
  new Worker(new URL('../workers/log.worker.ts', import.meta.url), { type: 'module' })
