const last = new Map<string, Promise<unknown>>()

/**
 * Does one piece of work after the other of those with one key, in the order in which they came.
 *
 * @example await inTurn(buildId, () => applyBatch(db, owner, batch))
 */
export function inTurn<T>(key: string, work: () => Promise<T>): Promise<T> {
  const before = last.get(key) ?? Promise.resolve()
  const mine = before.then(work, work)
  const done = mine.catch(() => undefined)
  last.set(key, done)
  void done.then(() => last.get(key) === done && last.delete(key))
  return mine
}
