/** A value, and a way to have the next one fetched while this one is waited for. */
export interface Ahead<T> {
  readonly value: T
  /** Asks for the next one now; without it, it is asked for when this one is done with. */
  readonly goOn: () => void
}

/**
 * The same values, each with a word by which the next is asked for: whoever waits for something else then has it worked out
 * meanwhile, and not in a moment in which it would hold them up.
 *
 * @param source is told when nobody wants more
 */
export async function* oneAhead<T>(source: AsyncIterable<T>): AsyncGenerator<Ahead<T>> {
  const values = source[Symbol.asyncIterator]()
  try {
    let next = values.next()
    for (;;) {
      const { done, value } = await next
      if (done) return
      let begun: typeof next | null = null
      const goOn = () => {
        if (begun) return begun
        begun = values.next()
        // It is thrown when its turn has come.
        begun.catch(() => undefined)
        return begun
      }
      yield { value, goOn: () => void goOn() }
      next = goOn()
    }
  } finally {
    await values.return?.()
  }
}
