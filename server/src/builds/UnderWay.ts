/** Work that several ask for at once, and that is done once for all of them. */
export class UnderWay<T> {
  private readonly work = new Map<string, Promise<T>>()

  /** The same work where it is under way by this key, or else begun. */
  get(key: string, begin: () => Promise<T>): Promise<T> {
    const known = this.work.get(key)
    if (known) return known
    const begun = begin()
    this.work.set(key, begun)
    const over = () => void this.work.delete(key)
    begun.then(over, over)
    return begun
  }
}
