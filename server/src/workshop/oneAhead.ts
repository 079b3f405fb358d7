/**
 * The same values, each asked for while the one before is still being worked with.
 *
 * @param source is told when nobody wants more
 */
export async function* oneAhead<T>(source: AsyncIterable<T>): AsyncGenerator<T> {
  const values = source[Symbol.asyncIterator]()
  try {
    let next = values.next()
    for (;;) {
      const { done, value } = await next
      if (done) return
      next = values.next()
      // It is thrown when its turn has come.
      next.catch(() => undefined)
      yield value
    }
  } finally {
    await values.return?.()
  }
}
