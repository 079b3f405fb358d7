/**
 * What some work gives; or, where its figures make no sense, what is made of the reason. Everything of ours says nonsense
 * with a RangeError; any other error is a mistake of ours and goes on up.
 *
 * @source definition
 * @example orWhy(() => lapTime(axleCar, circle).time, (why) => why) // 9.78
 */
export function orWhy<T, U>(work: () => T, otherwise: (why: string) => U): T | U {
  try {
    return work()
  } catch (error) {
    if (error instanceof RangeError) return otherwise(error.message)
    throw error
  }
}
